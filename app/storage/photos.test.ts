import 'fake-indexeddb/auto'
import { LurvanDatabase } from './database'
import { photoRepository } from './photos'
import { pictureEnding } from './pictureKind'

const bytes = (...marks: number[]) => new Uint8Array([...marks, ...new Array<number>(12).fill(1)])

describe('pictures of builds', () => {
  const db = new LurvanDatabase('photos-test')
  const photos = photoRepository(db.photos)
  afterAll(() => db.delete())

  it('are kept by build and id, copied with a duplicate and thrown away with their build alone', async () => {
    await photos.put({ buildId: 'a', id: 'p', bytes: bytes(1) })
    await photos.put({ buildId: 'a', id: 'q', bytes: bytes(2) })
    await photos.put({ buildId: 'b', id: 'p', bytes: bytes(3) })
    expect((await photos.get('b', 'p'))?.bytes[0]).toBe(3)
    await photos.copy('a', 'c')
    expect((await photos.ofBuild('c')).map(({ id, bytes: [first] }) => [id, first])).toEqual([
      ['p', 1],
      ['q', 2],
    ])
    await photos.purge('a')
    expect(await photos.ofBuild('a')).toEqual([])
    expect(await photos.ofBuild('c')).toHaveLength(2)
    expect(await photos.get('b', 'p')).toBeDefined()
  })
})

describe('what kind of picture it is', () => {
  it('is told by how its bytes begin, whatever its name says', () => {
    expect(pictureEnding(bytes(0xff, 0xd8, 0xff))).toBe('jpg')
    expect(pictureEnding(bytes(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a))).toBe('png')
    expect(pictureEnding(bytes(0x52, 0x49, 0x46, 0x46, 9, 9, 9, 9, 0x57, 0x45, 0x42, 0x50))).toBe('webp')
    // A sound file begins like the last.
    expect(pictureEnding(bytes(0x52, 0x49, 0x46, 0x46, 9, 9, 9, 9, 0x57, 0x41, 0x56, 0x45))).toBeNull()
    expect(pictureEnding(new TextEncoder().encode('<svg onload="alert(1)">'))).toBeNull()
    expect(pictureEnding(new Uint8Array())).toBeNull()
  })
})
