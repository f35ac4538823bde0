import type { jsPDF } from 'jspdf'

/** Letters of every tongue that a builder may write a name in; those of the printer's own know but a few. */
const FONT = 'DejaVuSansCondensed'
const CHUNK = 0x8000

/** Writes with these letters from here on. */
export function useLetters(pdf: jsPDF, font: ArrayBuffer): void {
  const bytes = new Uint8Array(font)
  let text = ''
  for (let at = 0; at < bytes.length; at += CHUNK)
    text += String.fromCharCode(...bytes.subarray(at, at + CHUNK))
  pdf.addFileToVFS(`${FONT}.ttf`, btoa(text))
  pdf.addFont(`${FONT}.ttf`, FONT, 'normal')
  pdf.setFont(FONT, 'normal')
}
