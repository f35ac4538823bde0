import { openedBay, storedBuild } from '../../tests/support/opened'
import { UnusablePicture } from '../storage/smallPicture'
import { usePhotoRepository } from '../storage/storage'
import { photosOf, usePhotos } from './photos'

/** A JPEG by its first bytes. */
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3])
let isUsable = true

jest.mock('../storage/smallPicture', () => {
  const actual = jest.requireActual('../storage/smallPicture')
  return {
    ...actual,
    smallPicture: async () => {
      if (!isUsable) throw new actual.UnusablePicture('it is larger than 60 MB')
      return JPEG
    },
    pictureSize: async () => ({ widthPx: 1200, heightPx: 900 }),
  }
})

const gone: string[] = []
beforeAll(() => {
  let count = 0
  Object.assign(globalThis, { navigator: {} })
  Object.assign(URL, {
    createObjectURL: () => `blob:picture-${++count}`,
    revokeObjectURL: (url: string) => gone.push(url),
  })
})

const file = (name: string) => new File([JPEG], name)

describe('photographs', () => {
  it('are stored before the build speaks of them, shown, put away, and brought back by undo', async () => {
    const workbench = await openedBay()
    const photos = usePhotos()
    const id = (await photos.take(file('left side.JPG'), 'radiator'))!
    const kept = await storedBuild()
    expect(photosOf(kept, 'radiator')).toMatchObject([{ id, name: 'left side', shows: 'radiator' }])
    await photos.show(id)
    expect(photos.shown).toMatchObject({ id, widthPx: 1200, heightPx: 900 })
    const { url } = photos.shown!
    await photos.show(null)
    expect([photos.shown, gone.includes(url)]).toEqual([null, true])

    photos.remove(id)
    expect((await storedBuild()).photos ?? []).toEqual([])
    await workbench.undo()
    expect(photosOf(await storedBuild(), 'radiator')).toHaveLength(1)
    await photos.show(id)
    expect(photos.shown?.id).toBe(id)
  })

  it('that are not in this browser are missed, and put back under their own id', async () => {
    const workbench = await openedBay()
    const photos = usePhotos()
    workbench.change('Add a photograph', (draft) => {
      draft.photos = [{ id: 'elsewhere', name: 'engine', takenAt: '2026-11-01T10:00:00Z', shows: 'radiator' }]
    })
    await photos.show('elsewhere')
    expect([photos.shown, photos.isMissing]).toEqual([null, true])
    expect(await photos.take(file('engine.jpg'), 'radiator', 'elsewhere')).toBe('elsewhere')
    await photos.show('elsewhere')
    expect([photos.shown?.id, photos.isMissing]).toEqual(['elsewhere', false])
    expect((await storedBuild()).photos).toHaveLength(1)
  })

  it('that cannot be used are refused by name and with the reason, and change nothing', async () => {
    const workbench = await openedBay()
    const photos = usePhotos()
    isUsable = false
    expect(await photos.take(file('huge.png'), 'radiator')).toBeNull()
    isUsable = true
    expect(photos.failure).toContain('huge.png')
    expect(photos.failure).toContain(new UnusablePicture('it is larger than 60 MB').message)
    expect(workbench.build!.photos ?? []).toEqual([])
    expect(await usePhotoRepository().get(workbench.build!.id, 'none')).toBeFalsy()
    expect(photos.isTaking).toBe(false)
  })
})
