import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import Papa from 'papaparse'
import { csvText } from './csvText'

const ROOT = join(__dirname, '../../..')
const sources = (folder: string): string[] =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(ts|vue)$/.test(file) && !file.endsWith('.test.ts'))
    .map((file) => `${folder}/${file}`)

describe('csvText', () => {
  it('lets no name run as a formula, in a row or at its head', () => {
    const names = ['=HYPERLINK("x")', '+1', '-1+2', '@SUM(A1)', '\tx', '\rx']
    const { data } = Papa.parse<string[]>(csvText({ header: names, rows: [names] }).replace(/^\uFEFF/, ''))
    for (const row of data.slice(0, 2)) expect(row).toEqual(names.map((name) => `'${name}`))
  })

  it('leaves figures and plain words as they are', () => {
    expect(csvText({ header: ['lever', 'amount'], rows: [['Tail, up', -3.5]] })).toBe(
      '\uFEFFlever,amount\r\n"Tail, up",-3.5\r\n',
    )
  })

  it('is the only writer of such files', () => {
    const writers = ['core', 'app', 'cli', 'server']
      .flatMap(sources)
      .filter((file) => /\bunparse\b/.test(readFileSync(join(ROOT, file), 'utf8')))
    expect(writers).toEqual(['core/measure/csv/csvText.ts'])
  })
})
