import type { jsPDF } from 'jspdf'
import { PAPERS, type Paper } from './papers'

export const EDGE_MM = 12
/** From points, in which a text's size is told. */
export const POINT_MM = 25.4 / 72
/** A line of text takes so much more than its size. */
const LEADING = 1.32
const STROKE_MM = 0.12

/** A page that is written from its top down. */
export interface Page {
  readonly pdf: jsPDF
  readonly paper: Paper
  /** Of all its texts, as a share of the usual. */
  readonly size: number
  readonly left: number
  readonly width: number
  /** Where the next line begins. */
  y: number
}

export const newPage = (pdf: jsPDF, paper: Paper, size = 1): Page => ({
  pdf,
  paper,
  size,
  left: EDGE_MM,
  width: PAPERS[paper][0] - 2 * EDGE_MM,
  y: EDGE_MM,
})
export const bottomOf = ({ paper }: Page): number => PAPERS[paper][1] - EDGE_MM

interface Writing {
  readonly x: number
  readonly width: number
  readonly mm: number
  readonly isStrong?: boolean
}

/** A text in as many lines as it takes. */
export function brokenText(
  { pdf, size }: Page,
  text: string,
  { width, mm }: Pick<Writing, 'width' | 'mm'>,
): string[] {
  pdf.setFontSize((mm * size) / POINT_MM)
  return pdf.splitTextToSize(text, width) as string[]
}
export const heightOf = ({ size }: Page, lines: number, mm: number): number => lines * mm * size * LEADING

/** Writes a text below where the page stands; strong where it is said so. @returns how high it is */
export function write(page: Page, text: string, at: Writing): number {
  const { pdf, size } = page
  const mm = at.mm * size
  const lines = brokenText(page, text, at)
  pdf.setLineWidth(STROKE_MM)
  pdf.setLineDashPattern([], 0)
  lines.forEach((line, i) =>
    pdf.text(line, at.x, page.y + mm * (1 + LEADING * i), {
      renderingMode: at.isStrong === true ? 'fillThenStroke' : 'fill',
    }),
  )
  return heightOf(page, lines.length, at.mm)
}

/** Writes a text over the whole width and goes on below it. */
export const line = (page: Page, text: string, mm: number, isStrong = false): void => {
  page.y += write(page, text, { x: page.left, width: page.width, mm, isStrong })
}
