import type { Pattern } from '../vehicle/halfshaft/pattern'
import type { DonorPattern } from '../file/parts/donorPattern'

/** Two donor pieces as they are clamped, in pixels: inner joint on the left. */
export interface PatternPicture {
  readonly width: number
  readonly inner: { readonly from: number; readonly to: number }
  readonly outer: { readonly from: number; readonly to: number }
  /** Where the outer piece's cut end lies on the inner one: at either stop, and as it is to be clamped. */
  readonly marks: readonly { readonly key: 'bottomed' | 'pulled' | 'set'; readonly x: number }[]
}

const WIDTH = 640
const PAD = 40

/** The pieces of a pattern that is known, to scale along the shaft. */
export function patternPicture(
  { outerPieceMm = 0, innerPieceMm = 0, overlapBottomedMm = 0, overlapPulledMm = 0 }: DonorPattern,
  { shaftMm, overlapMm }: Pick<Pattern, 'shaftMm' | 'overlapMm'>,
): PatternPicture {
  const factor = (WIDTH - 2 * PAD) / shaftMm
  const at = (mm: number) => PAD + mm * factor
  const cutEnd = (overlap: number) => at(innerPieceMm - overlap)
  return {
    width: WIDTH,
    inner: { from: at(0), to: at(innerPieceMm) },
    outer: { from: at(shaftMm - outerPieceMm), to: at(shaftMm) },
    marks: [
      { key: 'bottomed', x: cutEnd(overlapBottomedMm) },
      { key: 'pulled', x: cutEnd(overlapPulledMm) },
      { key: 'set', x: cutEnd(overlapMm) },
    ],
  }
}
