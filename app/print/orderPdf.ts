import { jsPDF } from 'jspdf'
import { paperDrawing, type PaperDrawing } from '~~/core/drawing/paper/paperDrawing'
import type { PaperLook, PaperMark } from '~~/core/drawing/paper/paperMarks'
import { TEXT_MM } from '~~/core/drawing/paper/dimensionRows'
import type { OrderSheet } from '~~/core/show/orders/orderSheet'
import { orders as words } from '../texts/orders'
import { PAPERS, type Paper } from './papers'
import { useLetters } from './pdfLetters'
import { bottomOf, heightOf, line, newPage, POINT_MM, write, type Page } from './pdfPage'

/** Sizes of the text tried one after the other until all stands on one page, as shares of the usual one. */
const SIZES = [1.3, 1.2, 1.1, 1, 0.95, 0.9, 0.85, 0.8, 0.75, 0.7, 0.65, 0.6, 0.55, 0.5, 0.45]
const TEXT = { title: 4.6, head: 3.1, body: 2.75, small: 2.45 }
const DRAWING_SHARE = 0.3

/** An order on one page: what to make, drawn with its sizes, by which figures, measured how. */
export function orderPdf(sheet: OrderSheet, paper: Paper, font: ArrayBuffer, printedOn: string): ArrayBuffer {
  for (const size of SIZES) {
    const { pdf, fits } = pageAt(sheet, paper, font, printedOn, size)
    if (fits || size === SIZES.at(-1)) return pdf.output('arraybuffer')
  }
  throw new Error('no size of text')
}

function pageAt(sheet: OrderSheet, paper: Paper, font: ArrayBuffer, printedOn: string, size: number) {
  const format = [...PAPERS[paper]]
  const pdf = new jsPDF({ unit: 'mm', format, orientation: 'portrait', compress: true })
  pdf.setProperties({ title: sheet.title })
  useLetters(pdf, font)
  const page = newPage(pdf, paper, size)
  head(page, sheet, printedOn)
  if (sheet.drawing) {
    const drawn = paperDrawing(sheet.drawing, [
      page.width,
      PAPERS[paper][1] * DRAWING_SHARE * Math.min(1, size),
    ])
    drawPaper(page, drawn)
  }
  for (const section of sheet.sections) table(page, section)
  foot(page, sheet)
  return { pdf, fits: page.y <= bottomOf(page) }
}

function head(page: Page, sheet: OrderSheet, printedOn: string): void {
  line(page, sheet.title, TEXT.title, true)
  line(page, words.sheet.about(sheet, printedOn), TEXT.body)
  for (const stamp of [...(sheet.stamp ? [sheet.stamp] : []), ...sheet.warnings.map(({ text }) => text)])
    boxed(page, stamp)
  page.y += 1.5
}

function boxed(page: Page, text: string): void {
  const top = page.y + 0.8
  page.y = top + 0.8
  const high = write(page, text, { x: page.left + 2, width: page.width - 4, mm: TEXT.head, isStrong: true })
  page.pdf.setLineWidth(0.5)
  page.pdf.rect(page.left, top, page.width, high + 1.2)
  page.y = top + high + 1.6
}

function table(page: Page, { title, rows }: OrderSheet['sections'][number]): void {
  page.y += 1.4 * page.size
  line(page, title, TEXT.head, true)
  page.pdf.setLineWidth(0.25)
  page.pdf.line(page.left, page.y, page.left + page.width, page.y)
  page.y += 0.6
  const [name, value, spread] = [0.33, 0.34, 0.1].map((share) => share * page.width) as [
    number,
    number,
    number,
  ]
  for (const row of rows) {
    const isStrong = row.isMain === true
    const cells = [
      { text: row.name, x: page.left, width: name - 2 },
      { text: row.value, x: page.left + name, width: value - 2, isStrong },
      { text: row.plusMinus ?? '', x: page.left + name + value, width: spread },
      {
        text: row.remark ?? '',
        x: page.left + name + value + spread,
        width: page.width - name - value - spread,
      },
    ]
    page.y += Math.max(
      ...cells.map(({ text, ...at }) => (text === '' ? 0 : write(page, text, { ...at, mm: TEXT.body }))),
    )
  }
}

function foot(page: Page, sheet: OrderSheet): void {
  page.y += 1.6 * page.size
  line(page, words.sheet.measured, TEXT.head, true)
  for (const one of sheet.measured) line(page, words.sheet.setup(one), TEXT.small)
  if (sheet.measured.length === 0) line(page, words.sheet.byHand, TEXT.small)
  line(page, words.sheet.spread, TEXT.small)
  for (const caution of sheet.cautions) line(page, `! ${caution}`, TEXT.small, true)
  page.y += 6 * page.size
  const third = page.width / 3
  words.sheet.signs.forEach((sign, i) => {
    const x = page.left + i * third
    page.pdf.setLineWidth(0.2)
    page.pdf.line(x, page.y, x + third - 6, page.y)
    write(page, sign, { x, width: third - 6, mm: TEXT.small })
  })
  page.y += heightOf(page, 1, TEXT.small)
}

const WIDTHS: Readonly<Record<PaperLook, number>> = {
  edge: 0.35,
  hidden: 0.2,
  centre: 0.12,
  dimension: 0.15,
  main: 0.4,
  thin: 0.1,
  arrow: 0.1,
}
const DASHES: Readonly<Partial<Record<PaperLook, number[]>>> = { hidden: [1.6, 1], centre: [5, 1, 1, 1] }

function drawPaper(page: Page, drawn: PaperDrawing): void {
  const { pdf } = page
  const left = page.left + Math.max(0, (page.width - drawn.size[0]) / 2)
  const at = ([x, y]: readonly [number, number]): [number, number] => [left + x, page.y + y]
  for (const mark of drawn.marks) drawMark(pdf, mark, at)
  page.y += drawn.size[1]
  page.y += write(page, words.sheet.scale(drawn.scale), { x: page.left, width: page.width, mm: TEXT.small })
}

function drawMark(
  pdf: jsPDF,
  mark: PaperMark,
  at: (place: readonly [number, number]) => [number, number],
): void {
  if (mark.form === 'text') {
    pdf.setFontSize(TEXT_MM / POINT_MM)
    pdf.setLineWidth(0.12)
    pdf.setLineDashPattern([], 0)
    return void pdf.text(mark.text, ...at(mark.at), {
      renderingMode: mark.isStrong ? 'fillThenStroke' : 'fill',
      ...(mark.isUpright && { angle: 90 }),
    })
  }
  pdf.setLineWidth(WIDTHS[mark.look])
  pdf.setLineDashPattern(DASHES[mark.look] ?? [], 0)
  if (mark.form === 'circle') return void pdf.circle(...at(mark.at), mark.radius)
  const points = mark.points.map(at)
  points.forEach((point, i) => (i === 0 ? pdf.moveTo(...point) : pdf.lineTo(...point)))
  if (mark.isClosed) pdf.close()
  if (mark.look === 'arrow') pdf.fillStroke()
  else pdf.stroke()
}
