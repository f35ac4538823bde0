import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { rowsOf, type OrderSheet } from '~~/core/show/orders/orderSheet'
import { demoSheets, sheetOf } from '~~/core/testdata/orderSites'
import { orderPdf } from './orderPdf'
import type { Paper } from './papers'

interface Read {
  readonly pages: number
  readonly size: readonly [number, number]
  readonly text: string
  readonly lowest: number
  readonly lines: readonly number[]
}

const font = new Uint8Array(readFileSync('node_modules/dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf')).buffer
const folder = mkdtempSync(join(tmpdir(), 'orders-'))
afterAll(() => rmSync(folder, { recursive: true }))

/** Each as PDF, read back by another package. */
function readBack(sheets: readonly OrderSheet[], paper: Paper): Read[] {
  const files = sheets.map((sheet, i) => {
    const file = join(folder, `${paper}-${i}.pdf`)
    writeFileSync(file, new Uint8Array(orderPdf(sheet, paper, font, '2026-12-01')))
    return file
  })
  const told = execFileSync('node', ['tests/support/readPdf.mjs', ...files], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  })
  return JSON.parse(told.split('\n').at(-1) ?? '') as Read[]
}
/** Without the breaks that lines of a column make. */
const plain = (text: string) => text.replace(/\s+/g, '')

const all = demoSheets().map((one) => ({ ...one, sheet: sheetOf(one.build, one.order) }))

describe.each([
  ['a4', 297],
  ['letter', 279.4],
] as const)('an order as a PDF on %s', (paper, high) => {
  const read = readBack(
    all.map(({ sheet }) => sheet),
    paper,
  )

  it.each(all.map(({ demo, sheet }, i) => [demo, sheet, i] as const))('%s', (_, sheet, i) => {
    const { pages, size, text, lowest, lines } = read[i]!
    expect([pages, size[1]]).toEqual([1, expect.closeTo(high, 1)])
    expect(lowest).toBeGreaterThan(8)
    const letters = plain(text)
    for (const { value } of rowsOf(sheet)) expect(letters).toContain(plain(value))
    for (const { text: warning } of sheet.warnings) expect(letters).toContain(plain(warning))
    for (const { text: size } of sheet.drawing!.dimensions) expect(letters).toContain(plain(size))
    // Lines of sizes, measured on the paper, against the sizes of the model.
    const scale = Number(/Drawn1:(\d+\.?\d*);/.exec(letters)![1])
    for (const { from, to, along } of sheet.drawing!.dimensions) {
      const [x, y] = [Math.abs(to[0] - from[0]), Math.abs(to[1] - from[1])]
      const mm = (along === 'x' ? x : along === 'y' ? y : Math.hypot(x, y)) / scale
      expect(Math.min(...lines.map((line) => Math.abs(line - mm)))).toBeLessThan(0.02)
    }
  })
})

it('is one page however long its names, in any letters', () => {
  const { sheet } = all[0]!
  const long = 'вал из мастерской Ødegård, très long '.repeat(5).trim()
  const rows = Array.from({ length: 45 }, (_, i) => ({
    name: `size ${i}`,
    value: `${i}.5 mm`,
    remark: long.slice(0, 70),
  }))
  const [back] = readBack([{ ...sheet, title: long, sections: [{ title: 'Many', rows }] }], 'letter')
  expect(back!.pages).toBe(1)
  expect(back!.lowest).toBeGreaterThan(8)
  expect(plain(back!.text)).toContain(plain(long))
  expect(plain(back!.text)).toContain('size4444.5mm')
})
