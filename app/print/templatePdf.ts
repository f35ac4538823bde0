import { jsPDF } from 'jspdf'
import type { Template, TemplateLayer, TemplateMark } from '~~/core/making/templates/template'
import { PAPERS, type Paper } from './papers'
import { POINT_MM } from './pdfPage'
import { useLetters } from './pdfLetters'

/** What both check lines of an earlier print measured, in mm; as drawn when absent. */
export interface PrintedCheck {
  readonly acrossMm?: number
  readonly upMm?: number
}

/** What no printer reaches, and what two sheets share. */
const EDGE_MM = 12
const SHARED_MM = 10
export const CHECK_MM = 100
const CROSS_MM = 4
const LOOKS: Readonly<Record<TemplateLayer, { readonly width: number; readonly dash: readonly number[] }>> = {
  cut: { width: 0.25, dash: [] },
  drill: { width: 0.25, dash: [] },
  bend: { width: 0.2, dash: [4, 2] },
  scribe: { width: 0.12, dash: [] },
}

/** How a part lies over its sheets, by columns from the left and rows from the top. */
export interface Tiles {
  readonly columns: number
  readonly rows: number
  /** Of the part on one sheet, less what it shares with the next. */
  readonly stepMm: readonly [number, number]
  readonly isLying: boolean
}

/** The fewest sheets, upright or lying. */
export function tilesOf({ size: [width, height] }: Pick<Template, 'size'>, paper: Paper): Tiles {
  const [short, long] = PAPERS[paper]
  const laid = (isLying: boolean): Tiles => {
    const [across, up] = isLying ? [long, short] : [short, long]
    // The check lines stand below and to the left of the part.
    const stepMm = [across - 3 * EDGE_MM - SHARED_MM, up - 3 * EDGE_MM - SHARED_MM] as const
    const count = (size: number, step: number) => Math.max(1, Math.ceil((size - SHARED_MM) / step))
    return { columns: count(width, stepMm[0]), rows: count(height, stepMm[1]), stepMm, isLying }
  }
  const [upright, lying] = [laid(false), laid(true)]
  return lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright
}

/**
 * A template at its true size over as many sheets as it takes: crosses to lay them by, a check line each way, and corrected by what those of an earlier
 * print measured.
 *
 * @param font - letters that names are written in
 */
export function templatePdf(
  template: Template,
  paper: Paper,
  font: ArrayBuffer,
  printed: PrintedCheck = {},
): ArrayBuffer {
  const tiles = tilesOf(template, paper)
  const format = [...PAPERS[paper]]
  const pdf = new jsPDF({
    unit: 'mm',
    format,
    orientation: tiles.isLying ? 'landscape' : 'portrait',
    compress: true,
  })
  pdf.setProperties({ title: template.name })
  useLetters(pdf, font)
  const grown = [CHECK_MM / (printed.acrossMm ?? CHECK_MM), CHECK_MM / (printed.upMm ?? CHECK_MM)] as const
  for (let row = 0; row < tiles.rows; row++)
    for (let column = 0; column < tiles.columns; column++) {
      if (row + column > 0) pdf.addPage(format, tiles.isLying ? 'landscape' : 'portrait')
      sheet({ pdf, template, tiles, grown }, column, row)
    }
  return pdf.output('arraybuffer')
}

interface Printing {
  readonly pdf: jsPDF
  readonly template: Template
  readonly tiles: Tiles
  readonly grown: readonly [number, number]
}

function sheet(printing: Printing, column: number, row: number): void {
  const { pdf, template, tiles, grown } = printing
  const [stepX, stepY] = tiles.stepMm
  const [left, top] = [2 * EDGE_MM, EDGE_MM]
  const [wide, high] = [stepX + SHARED_MM, stepY + SHARED_MM]
  const place = ([x, y]: readonly [number, number]): [number, number] => [
    left + (x - column * stepX) * grown[0],
    top + (template.size[1] - y - row * stepY) * grown[1],
  ]
  pdf.saveGraphicsState()
  pdf.rect(left - 1, top - 1, wide * grown[0] + 2, high * grown[1] + 2, null)
  pdf.clip()
  pdf.discardPath()
  for (const mark of template.marks) draw(pdf, mark, place, grown)
  pdf.restoreGraphicsState()
  crosses(printing, [left, top], [wide * grown[0], high * grown[1]])
  checkLines(
    pdf,
    grown,
    `${template.name}: sheet ${row * tiles.columns + column + 1} of ${tiles.rows * tiles.columns}, row ${row + 1}, column ${column + 1}`,
  )
}

function draw(
  pdf: jsPDF,
  mark: TemplateMark,
  place: (at: readonly [number, number]) => [number, number],
  [across, up]: readonly [number, number],
): void {
  const { width, dash } = LOOKS[mark.layer]
  pdf.setLineWidth(width)
  pdf.setLineDashPattern([...dash], 0)
  switch (mark.form) {
    case 'outline': {
      const all = mark.points.map(place)
      all.forEach((from, i) => pdf.line(...from, ...(all[(i + 1) % all.length] ?? from)))
      return
    }
    case 'line':
      return void pdf.line(...place(mark.from), ...place(mark.to))
    case 'circle':
      return void pdf.ellipse(...place(mark.at), mark.radius * across, mark.radius * up)
    case 'text':
      pdf.setFontSize(mark.size / POINT_MM)
      return void pdf.text(mark.text, ...place(mark.at))
  }
}

/** In all four corners: those of two sheets that lie right cover each other. */
function crosses(
  { pdf }: Printing,
  [left, top]: readonly [number, number],
  [wide, high]: readonly [number, number],
): void {
  pdf.setLineWidth(0.15)
  pdf.setLineDashPattern([], 0)
  for (const x of [left, left + wide])
    for (const y of [top, top + high]) {
      pdf.line(x - CROSS_MM, y, x + CROSS_MM, y)
      pdf.line(x, y - CROSS_MM, x, y + CROSS_MM)
    }
}

/** Printers stretch one way, so there is a line each way. */
function checkLines(pdf: jsPDF, [across, up]: readonly [number, number], foot: string): void {
  const high = pdf.internal.pageSize.getHeight()
  const [x, y] = [2 * EDGE_MM, high - EDGE_MM]
  pdf.setLineWidth(0.25)
  pdf.line(x, y, x + CHECK_MM * across, y)
  pdf.line(EDGE_MM, y - EDGE_MM, EDGE_MM, y - EDGE_MM - CHECK_MM * up)
  for (const end of [x, x + CHECK_MM * across]) pdf.line(end, y - 2, end, y + 2)
  for (const end of [y - EDGE_MM, y - EDGE_MM - CHECK_MM * up]) pdf.line(EDGE_MM - 2, end, EDGE_MM + 2, end)
  pdf.setFontSize(8)
  pdf.text(`${CHECK_MM} mm, measure both lines. ${foot}`, x, y + 5)
}
