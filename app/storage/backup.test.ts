import { strToU8, unzipSync, zipSync } from 'fflate'
import { buildText } from '../../core/project/parseBuild'
import type { Build } from '../../core/project/build'
import { changedDemo, demoBuild } from '../../core/testdata/builds'
import { backupZip, readBuildFile } from './backup'
import { fileName } from './fileName'

const demoText = () => buildText(demoBuild())
const plain = (builds: readonly Build[]) => builds.map((build) => ({ build, pictures: [] }))
const namedDemo = (name: string) => changedDemo((raw) => void (raw.name = name))

describe('a backup', () => {
  it('holds every build as an ordinary file and brings all back', () => {
    const builds = [namedDemo('Fen tender'), namedDemo('Heron punt'), namedDemo('Ürpel "9"')]
    const bytes = backupZip(plain(builds))
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'heron-punt.lurvan.json',
      'urpel-9.lurvan.json',
    ])
    expect(readBuildFile('backup.zip', bytes)).toEqual({ builds: plain(builds), refused: [] })
  })

  it('keeps builds of one name apart', () => {
    const bytes = backupZip(
      plain([demoBuild(), { ...demoBuild(), id: 'two' }, { ...demoBuild(), id: 'three' }]),
    )
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'fen-tender-2.lurvan.json',
      'fen-tender-3.lurvan.json',
    ])
    expect(readBuildFile('b.zip', bytes).builds.map(({ build }) => build.id)).toEqual([
      'fen-tender',
      'two',
      'three',
    ])
  })

  it('is refused when damaged, empty, or without a build file', () => {
    const whole = backupZip(plain([demoBuild()]))
    for (const length of [4, 60, whole.length - 30])
      expect(readBuildFile('b.zip', whole.slice(0, length)).refused).toEqual([
        { file: 'b.zip', reasons: ['the backup is damaged and cannot be unpacked'] },
      ])
    const picture = zipSync({ 'photo.png': strToU8('no build') })
    expect(readBuildFile('p.zip', picture).refused[0]!.reasons).toEqual(['the backup holds no build files'])
  })

  it('takes the good files in it and names the bad ones', () => {
    const bytes = zipSync({
      'good.json': strToU8(demoText()),
      'broken.json': strToU8('{ "format": '),
      'notes.txt': strToU8('passed over'),
    })
    const read = readBuildFile('b.zip', bytes)
    expect(read.builds).toEqual(plain([demoBuild()]))
    expect(read.refused.map(({ file }) => file)).toEqual(['broken.json'])
    expect(read.refused[0]!.reasons[0]).toContain('breaks off at line 1, column 13')
  })

  it('says which file was too large to be unpacked', () => {
    // A small zip that would fill the memory: 21 MB of blanks pack into 20 kB.
    const bytes = zipSync({
      'blanks.json': new Uint8Array(21_000_000).fill(32),
      'good.json': strToU8(demoText()),
    })
    expect(bytes.length).toBeLessThan(100_000)
    const read = readBuildFile('b.zip', bytes)
    expect(read.builds).toHaveLength(1)
    expect(read.refused).toEqual([{ file: 'blanks.json', reasons: ['the file is larger than 5 MB'] }])
  })

  it('leaves no build out without a word, however many there are', () => {
    const files = Object.fromEntries(Array.from({ length: 503 }, (_, i) => [`b${i}.json`, strToU8('{}')]))
    const read = readBuildFile('b.zip', zipSync(files, { level: 0 }))
    const uncounted = read.refused.filter(({ reasons }) =>
      reasons[0]!.startsWith('a backup is read up to 500'),
    )
    expect(uncounted.map(({ file }) => file)).toEqual(['b500.json', 'b501.json', 'b502.json'])
    expect(read.refused).toHaveLength(503)
  })
})

describe('pictures of a build', () => {
  const jpeg = (size = 40) => new Uint8Array(size).fill(7).fill(0xff, 0, 1).fill(0xd8, 1, 2).fill(0xff, 2, 3)
  const pictured = () => changedDemo((raw) => void (raw.photos = [{ id: 'p1', name: 'from the left' }]))

  it('go out in a folder beside it and come back with it', () => {
    const builds = [{ build: pictured(), pictures: [{ id: 'p1', bytes: jpeg() }] }, ...plain([demoBuild()])]
    const bytes = backupZip(builds)
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'fen-tender.photos/p1.jpg',
      'fen-tender-2.lurvan.json',
    ])
    expect(readBuildFile('b.zip', bytes)).toEqual({ builds, refused: [] })
  })

  it('do not go out when the build has let go of them, and are never taken for what they are not', () => {
    const bytes = backupZip([
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

  it('are named with the reason when they come to no build', () => {
    const bytes = zipSync({
      'a.lurvan.json': strToU8(buildText(pictured())),
      'a.photos/p1.jpg': strToU8('no picture at all'),
      'a.photos/p2.jpg': jpeg(),
      'b.photos/p1.png': jpeg(),
      'a.photos/large.jpg': jpeg(5_000_001),
      'a.photos/../../p1.jpg': jpeg(),
    })
    const { builds, refused } = readBuildFile('b.zip', bytes)
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
  it('is taken in, or refused with its place', () => {
    expect(readBuildFile('good.json', strToU8(demoText())).builds).toEqual(plain([demoBuild()]))
    const bad = { ...demoBuild(), lines: 5 }
    expect(readBuildFile('bad.lurvan.json', strToU8(JSON.stringify(bad)))).toEqual({
      builds: [],
      refused: [{ file: 'bad.lurvan.json', reasons: ['lines: must be a list, got 5'] }],
    })
    expect(readBuildFile('blanks.json', new Uint8Array(21_000_000).fill(32)).refused[0]!.reasons).toEqual([
      'the file is larger than 5 MB',
    ])
  })

  it('has a safe name', () => {
    expect(fileName('Fen tender')).toBe('fen-tender.lurvan.json')
    expect(fileName('../../é "x"')).toBe('e-x.lurvan.json')
    expect(fileName('***')).toBe('build.lurvan.json')
  })
})
