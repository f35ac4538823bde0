import { jsPDF } from 'jspdf'
import type { BuildRecord, RecordPart } from '~~/core/show/log/recordPart'
import { pictureEnding } from '../storage/pictureKind'
import { PAPERS, type Paper } from './papers'
import { useLetters } from './pdfLetters'
import { bottomOf, brokenText, EDGE_MM, heightOf, line, newPage, write, type Page } from './pdfPage'

const TEXT = { title: 5.5, head: 3.6, body: 2.9, small: 2.4 }
const PICTURE_MM = { wide: 88, high: 66, apart: 6 }

/**
 * A record over as many pages as it takes.
 *
 * @param pictures - by their ids; those that are not here are said to be missing
 * @param lost - said under a picture that is not here
 */
export function recordPdf(
  record: BuildRecord,
  paper: Paper,
  font: ArrayBuffer,
  { pictures, lost }: { readonly pictures: ReadonlyMap<string, Uint8Array>; readonly lost: string },
): ArrayBuffer {
  const pdf = new jsPDF({ unit: 'mm', format: [...PAPERS[paper]], orientation: 'portrait', compress: true })
  pdf.setProperties({ title: record.title })
  useLetters(pdf, font)
  const page = newPage(pdf, paper)
  line(page, record.title, TEXT.title, true)
  line(page, record.about, TEXT.body)
  for (const part of record.parts) {
    head(page, part)
    for (const text of part.lines) row(page, [text])
    for (const cells of part.rows) row(page, cells)
    photos(page, part.photos, pictures, lost)
  }
  const count = pdf.getNumberOfPages()
  for (let number = 1; number <= count; number++) {
    pdf.setPage(number)
    page.y = PAPERS[paper][1] - EDGE_MM + 3
    write(page, `${record.title}, ${number} / ${count}`, { x: page.left, width: page.width, mm: TEXT.small })
  }
  return pdf.output('arraybuffer')
}

/** Goes on where there is room for so much, on the next page if need be. */
function room(page: Page, high: number): void {
  if (page.y + high <= bottomOf(page)) return
  page.pdf.addPage([...PAPERS[page.paper]], 'portrait')
  page.y = EDGE_MM
}

/** A head never stands alone at the foot of a page. */
function head(page: Page, { title }: RecordPart): void {
  page.y += 3
  room(page, heightOf(page, 3, TEXT.head))
  line(page, title, TEXT.head, true)
  page.pdf.setLineWidth(0.25)
  page.pdf.line(page.left, page.y, page.left + page.width, page.y)
  page.y += 1
}

function row(page: Page, cells: readonly string[]): void {
  const wide = page.width / cells.length
  const at = (i: number) => ({ x: page.left + i * wide, width: wide - 2, mm: TEXT.body })
  const lines = Math.max(...cells.map((cell, i) => brokenText(page, cell, at(i)).length))
  room(page, heightOf(page, lines, TEXT.body))
  cells.forEach((cell, i) => write(page, cell, at(i)))
  page.y += heightOf(page, lines, TEXT.body) + 0.6
}

function photos(
  page: Page,
  all: RecordPart['photos'],
  pictures: ReadonlyMap<string, Uint8Array>,
  lost: string,
): void {
  for (let first = 0; first < all.length; first += 2) {
    const pair = all.slice(first, first + 2)
    room(page, PICTURE_MM.high + heightOf(page, 2, TEXT.small))
    pair.forEach(({ id, caption }, i) => {
      const x = page.left + i * (PICTURE_MM.wide + PICTURE_MM.apart)
      const bytes = pictures.get(id)
      const ending = bytes && pictureEnding(bytes)
      if (bytes && ending) picture(page, bytes, ending, x)
      const top = page.y
      page.y += PICTURE_MM.high
      write(page, ending ? caption : `${caption}: ${lost}`, { x, width: PICTURE_MM.wide, mm: TEXT.small })
      page.y = top
    })
    page.y += PICTURE_MM.high + heightOf(page, 2, TEXT.small)
  }
}

/** As large as its place lets it. */
function picture({ pdf, y }: Page, bytes: Uint8Array, ending: string, x: number): void {
  const { width, height } = pdf.getImageProperties(bytes)
  const scale = Math.min(PICTURE_MM.wide / width, PICTURE_MM.high / height)
  pdf.addImage(bytes, ending === 'jpg' ? 'JPEG' : ending.toUpperCase(), x, y, width * scale, height * scale)
}
