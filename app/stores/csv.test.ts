import { openedDemo, storedBuild } from '../../tests/support/opened'
import { useCsv } from './csv'

const downloads: { name: string; text: string }[] = []
jest.mock('../storage/download', () => ({
  download: (name: string, text: string) => void downloads.push({ name, text }),
}))
const file = (text: string) => ({ size: text.length, text: async () => text }) as File

describe('useCsv', () => {
  beforeEach(() => void (downloads.length = 0))

  it('writes every reading out and takes the same file in again', async () => {
    await openedDemo((raw) => (raw.readings[4].note = '=HYPERLINK("x")'))
    const csv = useCsv()
    await csv.exportCsv()
    const [{ name, text }] = downloads as [{ name: string; text: string }]
    expect(name).toBe('fen-tender-readings.csv')
    // No cell that a spreadsheet would run.
    expect(text).not.toMatch(/(^|,)"?=/m)
    expect(await csv.importCsv(file(text))).toBe(23)
    expect(csv.problems).toEqual([])
    const build = await storedBuild()
    expect(build.readings).toHaveLength(46)
    expect(build.readings[27]).toMatchObject({ note: '=HYPERLINK("x")', values: ['2317'] })
    expect(new Set(build.readings.map(({ id }) => id)).size).toBe(46)
  })

  it('takes in nothing of a table with one fault, and names its line', async () => {
    await openedDemo()
    const csv = useCsv()
    const table =
      'setup;kind;of;way;angle [deg]\nOn the floor, loaded;axis-level;pinion;rear;4,1\nOn the floor, loaded;axis-level;moon;rear;4,1\n'
    expect(await csv.importCsv(file(table))).toBe(0)
    expect(csv.problems).toEqual([{ line: 3, message: 'there is no axis "moon"' }])
    expect((await storedBuild()).readings).toHaveLength(23)
    expect(await csv.importCsv(file(table.replace('moon', 'pinion')))).toBe(2)
    expect(csv.problems).toEqual([])
  })

  it('refuses what is no table, too large, or quoted without an end', async () => {
    await openedDemo()
    const csv = useCsv()
    expect(await csv.importCsv(file('hello'))).toBe(0)
    expect(csv.problems[0]!.message).toBe('the column "setup" is missing')
    expect(await csv.importCsv({ size: 3_000_000, text: async () => '' } as File)).toBe(0)
    expect(csv.problems[0]!.message).toBe('the file is larger than 2 MB')
    expect(await csv.importCsv(file('setup,kind\n"a,b\n'))).toBe(0)
    expect(csv.problems[0]!.message).toContain('quotation mark')
  })

  it('refuses more readings than a file may hold, before any is taken', async () => {
    await openedDemo()
    const csv = useCsv()
    const rows = Array.from({ length: 4990 }, () => 'setup-1;chassis-fall;front;0.8').join('\n')
    expect(await csv.importCsv(file(`setup;kind;way;angle [deg]\n${rows}\n`))).toBe(0)
    expect(csv.problems[0]!.message).toContain('holds 5013 entries, more than 5000')
    expect((await storedBuild()).readings).toHaveLength(23)
  })
})
