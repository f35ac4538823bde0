import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import DxfParser from 'dxf-parser'
import parseStl from 'parse-stl'
import { pieceTemplate } from '~~/core/making/templates/pieceTemplate'
import { memberTemplate } from '~~/core/making/templates/memberTemplate'
import { titled, type Template } from '~~/core/making/templates/template'
import { templateSvg } from '~~/core/making/templates/templateSvg'
import { templateDxf } from './templateDxf'
import { templatePdf, tilesOf } from './templatePdf'
import { templateStl } from './templateStl'

const FLAT = {
  id: 'w',
  kind: 'bent',
  widthMm: 80,
  heightMm: 10,
  insideRadiusMm: 12,
  kFactor: 0.4,
  yieldMPa: 235,
} as const
const TUBE = { id: 'w', kind: 'folded', widthMm: 40, heightMm: 40, wallMm: 3, yieldMPa: 235 } as const
const CORNERS = [
  { atMm: 90, turnDeg: 20 },
  { atMm: 300, turnDeg: -20 },
]
const font = new Uint8Array(readFileSync('node_modules/dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf')).buffer
const flat = memberTemplate({ name: 'bar <1> & "more"', endMm: 90 }, FLAT, 735.5, CORNERS)
const tube = memberTemplate({ name: 'tube', endMm: 90 }, TUBE, 600, CORNERS)

const layered = (template: Template) => {
  const parsed = new DxfParser().parseSync(templateDxf(template))!
  return parsed.entities as unknown as {
    type: string
    layer: string
    shape?: boolean
    vertices?: { x: number; y: number }[]
    text?: string
  }[]
}

describe('a part at its true size', () => {
  it('is a drawing in millimetres, a layer for what is done, its outlines closed', () => {
    const [outline, ...rest] = layered(flat)
    expect([outline!.type, outline!.layer, outline!.shape]).toEqual(['LWPOLYLINE', 'cut', true])
    expect(outline!.vertices!.map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [735.5, 0],
      [735.5, 80],
      [0, 80],
    ])
    const bends = rest.filter(({ layer }) => layer === 'bend')
    expect(bends.map(({ vertices }) => vertices!.map(({ x }) => x))).toEqual([
      [90, 90],
      [300, 300],
    ])
    // 20° round 12 + 0.4 · 10 is 5.585 of metal, half of it to either side.
    const tangents = rest.filter(({ layer, type }) => layer === 'scribe' && type === 'LINE')
    expect(tangents[0]!.vertices![0]!.x).toBeCloseTo(90 - 2.7925, 3)
    expect(rest.filter(({ type }) => type === 'TEXT').map(({ text }) => text)).toEqual([
      '90.0 up 20.0°',
      '300.0 down 20.0°',
    ])
    const notches = layered(tube)
      .filter(({ layer, type }) => layer === 'cut' && type === 'LWPOLYLINE')
      .slice(1)
    const [up, down] = notches.map(({ vertices }) => vertices!.map(({ x, y }) => [x, y] as const))
    // Mouth 2 · (40 − 3) · tan 10°, from the top where it turns up and from below where it turns down.
    expect(up![2]![0] - up![1]![0]).toBeCloseTo(2 * 37 * Math.tan(Math.PI / 18), 6)
    expect([up![0], up![1]![1]]).toEqual([[90, 3], 40])
    expect([down![0], down![1]![1]]).toEqual([[300, 37], 0])
  })

  it('is an SVG whose unit is a millimetre, with its names escaped', () => {
    const svg = templateSvg(flat)
    expect(svg).toContain('<title>bar &lt;1&gt; &amp; &quot;more&quot;</title>')
    expect(svg).toContain('width="745.5mm"')
    expect(svg).toContain('viewBox="-5 -5 745.5 98"')
    expect(svg).toMatch(/<g id="bend"[^>]*><line x1="90" y1="88" x2="90" y2="8"\/><line x1="300"/)
  })

  it('goes over the fewest sheets', () => {
    expect(tilesOf({ size: [735.5, 110] }, 'a4')).toMatchObject({ columns: 3, rows: 1, isLying: true })
    expect(tilesOf({ size: [150, 200] }, 'a4')).toMatchObject({ columns: 1, rows: 1, isLying: false })
    expect(tilesOf({ size: [735.5, 110] }, 'letter')).toMatchObject({ columns: 4, rows: 1, isLying: true })
  })
})

describe('a flat part as a solid', () => {
  const block = pieceTemplate({
    ...{ id: 'g', name: 'guide', kind: 'guide', longMm: 60, wideMm: 40, highMm: 30, holeMm: 8.4, inMm: 18 },
  })
  const solid = async (template: Template, thickMm: number) => {
    const { positions, cells } = parseStl(
      Buffer.from(await templateStl(titled(template, ['a'], 'up'), thickMm)),
    )
    return { positions, cells }
  }

  it('stands up by its thickness, its hole goes through, to 0.01 mm', async () => {
    const { positions, cells } = await solid(block, 30)
    const range = (k: 0 | 1 | 2) => {
      const all = positions.map((one) => one[k])
      return Math.max(...all) - Math.min(...all)
    }
    expect([range(0), range(1), range(2)]).toEqual([60, 40, 30].map((mm) => expect.closeTo(mm, 3)))
    // Volume by signed tetrahedra: closed, turned outward.
    const volume = cells.reduce((sum, cell) => {
      const [a, b, c] = cell.map((i) => positions[i]!) as [Vec, Vec, Vec]
      return sum + dot(a, cross(b, c)) / 6
    }, 0)
    expect(volume).toBeCloseTo((60 * 40 - Math.PI * 4.2 ** 2) * 30, -1.5)
    const foot = Math.min(...positions.map(([, y]) => y))
    const round = positions.filter(([x, y]) => Math.hypot(x - 30, y - foot - 18) < 10)
    for (const [x, y] of round) expect(Math.abs(Math.hypot(x - 30, y - foot - 18) - 4.2)).toBeLessThan(0.01)
    expect(round.length).toBeGreaterThan(24)
  })

  it('is refused where nothing is cut round it', async () => {
    await expect(templateStl({ name: '', size: [1, 1], marks: [] }, 5)).rejects.toThrow('cut round')
  })
})

type Vec = readonly [number, number, number]
const cross = ([a, b, c]: Vec, [x, y, z]: Vec): Vec => [b * z - c * y, c * x - a * z, a * y - b * x]
const dot = ([a, b, c]: Vec, [x, y, z]: Vec): number => a * x + b * y + c * z

/** Sheets of a PDF as they come out of a printer: ten dots to a millimetre, true where there is ink. */
function printedSheets(pdf: ArrayBuffer) {
  const folder = mkdtempSync(join(tmpdir(), 'lurvan-print-'))
  try {
    writeFileSync(join(folder, 'part.pdf'), new Uint8Array(pdf))
    execFileSync('pdftoppm', ['-r', '254', '-gray', join(folder, 'part.pdf'), join(folder, 'sheet')])
    return readdirSync(folder)
      .filter((name) => name.endsWith('.pgm'))
      .sort()
      .map((name) => {
        const bytes = readFileSync(join(folder, name))
        const [head = '', width = '', height = ''] =
          /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40)) ?? []
        const wide = Number(width)
        const isInk = (x: number, y: number) => bytes[head.length + y * wide + x]! < 225
        return { wide, high: Number(height), isInk }
      })
  } finally {
    rmSync(folder, { recursive: true })
  }
}
type Sheet = ReturnType<typeof printedSheets>[number]

/** Middles of the strokes that a row or column of dots goes through, in mm. */
function strokes(count: number, isInk: (at: number) => boolean): number[] {
  const found: number[] = []
  for (let from = 0; from < count; from++) {
    if (!isInk(from)) continue
    let to = from
    while (isInk(to + 1)) to++
    found.push((from + to + 1) / 20)
    from = to
  }
  return found
}
const acrossAt = ({ wide, isInk }: Sheet, mm: number) => strokes(wide, (x) => isInk(x, Math.round(mm * 10)))
const downAt = ({ high, isInk }: Sheet, mm: number) => strokes(high, (y) => isInk(Math.round(mm * 10), y))
const near = (mm: number) => expect.closeTo(mm, 0)

describe('printed sheets, dot by dot', () => {
  const dot = (found: number, wanted: number) => expect(Math.abs(found - wanted)).toBeLessThanOrEqual(0.11)

  it('show the part at its true size, with crosses and a check line each way', () => {
    const sheets = printedSheets(templatePdf(titled(flat, ['S355'], 'forward'), 'a4', font))
    expect(sheets.map(({ wide, high }) => [wide / 10, high / 10])).toEqual(
      Array(3).fill([near(297), near(210)]),
    )
    const [first, second] = sheets as [Sheet, Sheet]
    // Through a dash of the bend: its left end, the first bend with its two tangents, and the end of the sheet.
    const row = acrossAt(first, 39)
    dot(row[0]!, 24)
    dot(row[1]!, 24 + 90 - 2.79)
    dot(row[2]!, 24 + 90)
    dot(row[3]!, 24 + 90 + 2.79)
    // The second bend lies on the second sheet: 297 − 46 of the part further on.
    const next = acrossAt(second, 39)
    expect(next.some((one) => Math.abs(one - (24 + 300 - 251)) <= 0.11)).toBe(true)
    // Top and bottom of the flat are 80 apart.
    const column = downAt(first, 24 + 200)
    dot(column[1]! - column[0]!, 80)
    dot(column[0]!, 12 + 8)
    // The check lines end in a tick each.
    const ticks = acrossAt(first, 210 - 12 - 1.5)
    dot(ticks.at(-1)! - ticks.at(-2)!, 100)
    const upright = downAt(first, 12 - 1.5)
    dot(upright[1]! - upright[0]!, 100)
    // Crosses in the corners of the shared part.
    const cross = acrossAt(first, 12 - 3)
    dot(cross[0]!, 24)
    dot(cross[1]!, 24 + 261)
  })

  it('carry names in the letters in which they are written', () => {
    const named = { ...flat, name: 'příčka Ω, żebro, поперечина' }
    const pdf = templatePdf(titled(named, ['±0,5 · Ж'], 'forward'), 'a4', font)
    const text = execFileSync('pdftotext', ['-', '-'], { input: Buffer.from(pdf), encoding: 'utf8' })
    expect(text.match(/příčka Ω, żebro, поперечина: sheet \d of 3/g)).toHaveLength(3)
    expect(text).toContain('±0,5 · Ж')
  })

  it('are corrected each way by what an earlier print measured', () => {
    const [sheet] = printedSheets(templatePdf(flat, 'letter', font, { acrossMm: 98, upMm: 101.5 })) as [Sheet]
    const row = acrossAt(sheet, 37.7)
    dot(row[2]! - row[0]!, (90 * 100) / 98)
    const column = downAt(sheet, 24 + 200)
    dot(column[1]! - column[0]!, (80 * 100) / 101.5)
    const ticks = acrossAt(sheet, sheet.high / 10 - 12 - 1.5)
    dot(ticks.at(-1)! - ticks.at(-2)!, (100 * 100) / 98)
  })
})
