import { strToU8, unzipSync, zipSync } from 'fflate'
import { buildText } from '../../core/project/parseBuild'
import { changedDemo, demoBuild } from '../../core/testdata/builds'
import { backupZip, readBuildFile } from './backup'
import { fileName } from './fileName'

const demoText = () => buildText(demoBuild())
const namedDemo = (name: string) => changedDemo((raw) => void (raw.name = name))

describe('a backup', () => {
  it('holds every build as an ordinary file and brings all back', () => {
    const builds = [namedDemo('Fen tender'), namedDemo('Heron punt'), namedDemo('Ürpel "9"')]
    const bytes = backupZip(builds)
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'heron-punt.lurvan.json',
      'urpel-9.lurvan.json',
    ])
    expect(readBuildFile('backup.zip', bytes)).toEqual({ builds, refused: [] })
  })

  it('keeps builds of one name apart', () => {
    const bytes = backupZip([demoBuild(), { ...demoBuild(), id: 'two' }, { ...demoBuild(), id: 'three' }])
    expect(Object.keys(unzipSync(bytes))).toEqual([
      'fen-tender.lurvan.json',
      'fen-tender-2.lurvan.json',
      'fen-tender-3.lurvan.json',
    ])
    expect(readBuildFile('b.zip', bytes).builds.map(({ id }) => id)).toEqual(['fen-tender', 'two', 'three'])
  })

  it('is refused when damaged, empty, or without a build file', () => {
    const whole = backupZip([demoBuild()])
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
    expect(read.builds).toEqual([demoBuild()])
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

describe('a build file', () => {
  it('is taken in, or refused with its place', () => {
    expect(readBuildFile('good.json', strToU8(demoText())).builds).toEqual([demoBuild()])
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
