import { strToU8, unzipSync, zipSync } from 'fflate'
import { buildText } from '../../core/file/open/parseBuild'
import type { Build } from '../../core/file/build/build'
import { changedDemo, demoBuild } from '../../core/testdata/builds'
import { backupZip, readBuildFile } from './backup'
import { fileName } from './fileName'

const reading = (name: string, bytes: Uint8Array) => readBuildFile(name, new Blob([bytes as BlobPart]))
const demoText = () => buildText(demoBuild())
const plain = (builds: readonly Build[]) => builds.map((build) => ({ build, pictures: [] }))
const namedDemo = (name: string) => changedDemo((raw) => void (raw.name = name))

describe('a backup', () => {
  it('holds every build as an ordinary file and brings all back', async () => {
    const builds = [namedDemo('Fen tender'), namedDemo('Heron punt'), namedDemo('Ürpel "9"')]
    const bytes = await backupZip(plain(builds))
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'heron-punt.lurvan.json',
      'urpel-9.lurvan.json',
    ])
    expect(await reading('backup.zip', bytes)).toEqual({ builds: plain(builds), refused: [] })
  })

  it('keeps builds of one name apart', async () => {
    const bytes = await backupZip(
      plain([demoBuild(), { ...demoBuild(), id: 'two' }, { ...demoBuild(), id: 'three' }]),
    )
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'fen-tender-2.lurvan.json',
      'fen-tender-3.lurvan.json',
    ])
    expect((await reading('b.zip', bytes)).builds.map(({ build }) => build.id)).toEqual([
      'fen-tender',
      'two',
      'three',
    ])
  })

  it('is refused when damaged, empty, or without a build file', async () => {
    const whole = await backupZip(plain([demoBuild()]))
    for (const length of [4, 60, whole.length - 30])
      expect((await reading('b.zip', whole.slice(0, length))).refused).toEqual([
        { file: 'b.zip', reasons: ['the backup is damaged and cannot be unpacked'] },
      ])
    const picture = zipSync({ 'photo.png': strToU8('no build') })
    expect((await reading('p.zip', picture)).refused[0]!.reasons).toEqual(['the backup holds no build files'])
  })

  it('takes the good files in it and names the bad ones', async () => {
    const bytes = zipSync({
      'good.json': strToU8(demoText()),
      'broken.json': strToU8('{ "format": '),
      'notes.txt': strToU8('passed over'),
    })
    const read = await reading('b.zip', bytes)
    expect(read.builds).toEqual(plain([demoBuild()]))
    expect(read.refused.map(({ file }) => file)).toEqual(['broken.json'])
    expect(read.refused[0]!.reasons[0]).toContain('breaks off at line 1, column 13')
  })

  it('says which file was too large to be unpacked', async () => {
    // A small zip that would fill the memory: 21 MB of blanks pack into 20 kB.
    const bytes = zipSync({
      'blanks.json': new Uint8Array(21_000_000).fill(32),
      'good.json': strToU8(demoText()),
    })
    expect(bytes.length).toBeLessThan(100_000)
    const read = await reading('b.zip', bytes)
    expect(read.builds).toHaveLength(1)
    expect(read.refused).toEqual([{ file: 'blanks.json', reasons: ['the file is larger than 5 MB'] }])
  })

  it('leaves no build out without a word, however many there are', async () => {
    const files = Object.fromEntries(Array.from({ length: 503 }, (_, i) => [`b${i}.json`, strToU8('{}')]))
    const read = await reading('b.zip', zipSync(files, { level: 0 }))
    const uncounted = read.refused.filter(({ reasons }) =>
      reasons[0]!.startsWith('a backup is read up to 500'),
    )
    expect(uncounted.map(({ file }) => file)).toEqual(['b500.json', 'b501.json', 'b502.json'])
    expect(read.refused).toHaveLength(503)
  })
})

/** Where a mark of four bytes stands in a zip. */
const places = (bytes: Uint8Array, mark: readonly number[]) =>
  [...bytes.keys()].filter((at) => mark.every((byte, i) => bytes[at + i] === byte))

describe('a zip that lies', () => {
  const MARKS = { local: [0x50, 0x4b, 3, 4], central: [0x50, 0x4b, 1, 2] } as const

  it('is read no further than it says, however much it would give', async () => {
    const bytes = zipSync({
      'a.lurvan.json': new Uint8Array(60_000_000).fill(32),
      'good.json': strToU8(demoText()),
    })
    const view = new DataView(bytes.buffer)
    view.setUint32(places(bytes, MARKS.local)[0]! + 22, 1000, true)
    view.setUint32(places(bytes, MARKS.central)[0]! + 24, 1000, true)
    const before = process.memoryUsage().arrayBuffers
    const read = await reading('b.zip', bytes)
    expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(20_000_000)
    expect(read.refused).toEqual([{ file: 'a.lurvan.json', reasons: ['it holds more than it says'] }])
    expect(read.builds).toEqual(plain([demoBuild()]))
  })

  it('is found out by its checksums', async () => {
    const bytes = zipSync({ 'a.json': strToU8(demoText()), 'b.json': strToU8(demoText()) }, { level: 0 })
    const named = new TextDecoder().decode(bytes).indexOf('Fen tender')
    bytes[named] = 'P'.charCodeAt(0)
    const read = await reading('b.zip', bytes)
    expect(read.refused).toEqual([{ file: 'a.json', reasons: ['it is damaged and cannot be unpacked'] }])
    expect(read.builds).toEqual(plain([demoBuild()]))
  })

  it('of two files of one name neither is taken, and both are told', async () => {
    const bytes = zipSync({ 'aa.json': strToU8(demoText()), 'ab.json': strToU8('{}') }, { level: 0 })
    for (const at of [places(bytes, MARKS.local)[1]! + 30, places(bytes, MARKS.central)[1]! + 46])
      bytes[at + 1] = 'a'.charCodeAt(0)
    const twice = { file: 'aa.json', reasons: ['the backup holds two files of this name; neither is taken'] }
    expect(await reading('b.zip', bytes)).toEqual({ builds: [], refused: [twice, twice] })
  })
})

describe('pictures of a build', () => {
  const jpeg = (size = 40) => new Uint8Array(size).fill(7).fill(0xff, 0, 1).fill(0xd8, 1, 2).fill(0xff, 2, 3)
  const pictured = () => changedDemo((raw) => void (raw.photos = [{ id: 'p1', name: 'from the left' }]))

  it('go out in a folder beside it and come back with it', async () => {
    const builds = [{ build: pictured(), pictures: [{ id: 'p1', bytes: jpeg() }] }, ...plain([demoBuild()])]
    const bytes = await backupZip(builds)
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'fen-tender.photos/p1.jpg',
      'fen-tender-2.lurvan.json',
    ])
    expect(await reading('b.zip', bytes)).toEqual({ builds, refused: [] })
  })

  it('do not go out when the build has let go of them, and are never taken for what they are not', async () => {
    const bytes = await backupZip([
      {
        build: pictured(),
        pictures: [
          { id: 'gone', bytes: jpeg() },
          { id: 'p1', bytes: strToU8('<svg onload="x">') },
        ],
      },
    ])
    expect(Object.keys(unzipSync(bytes))).toEqual(['fen-tender.lurvan.json'])
  })

  it('are named with the reason when they come to no build', async () => {
    const bytes = zipSync({
      'a.lurvan.json': strToU8(buildText(pictured())),
      'a.photos/p1.jpg': strToU8('no picture at all'),
      'a.photos/p2.jpg': jpeg(),
      'b.photos/p1.png': jpeg(),
      'a.photos/large.jpg': jpeg(5_000_001),
      'a.photos/../../p1.jpg': jpeg(),
    })
    const { builds, refused } = await reading('b.zip', bytes)
    expect(builds).toEqual(plain([pictured()]))
    expect(Object.fromEntries(refused.map(({ file, reasons }) => [file, reasons[0]]))).toEqual({
      'a.photos/large.jpg': 'the picture is larger than 5 MB',
      'a.photos/p1.jpg': 'it is no picture',
      'a.photos/p2.jpg': 'its build does not speak of it',
      'b.photos/p1.png': 'there is no build file beside it',
    })
  })
})

describe('a build file', () => {
  it('is taken in, or refused with its place', async () => {
    expect((await reading('good.json', strToU8(demoText()))).builds).toEqual(plain([demoBuild()]))
    const bad = { ...demoBuild(), lines: 5 }
    expect(await reading('bad.lurvan.json', strToU8(JSON.stringify(bad)))).toEqual({
      builds: [],
      refused: [{ file: 'bad.lurvan.json', reasons: ['lines: must be a list, got 5'] }],
    })
    expect((await reading('blanks.json', new Uint8Array(21_000_000).fill(32))).refused[0]!.reasons).toEqual([
      'the file is larger than 5 MB',
    ])
  })

  it('has a safe name', async () => {
    expect(fileName('Fen tender')).toBe('fen-tender.lurvan.json')
    expect(fileName('../../é "x"')).toBe('e-x.lurvan.json')
    expect(fileName('***')).toBe('build.lurvan.json')
  })
})
