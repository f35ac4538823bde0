/**
 * Slopes of the cubic through rising places that overshoots nowhere its points do not (shape-preserving: weighted harmonic
 * mean of the two chords, nought where they turn; three-point formula at the ends).
 *
 * @param x - rising, two at least
 * @param y - as many
 * @returns dy/dx at each place, in the units of y over those of x
 * @example shapePreservingSlopes([0, 1, 3], [1, 3, 7]) // [2, 2, 2]
 */
export const shapePreservingSlopes = (x: readonly number[], y: readonly number[]): number[] =>
  x.map((_, i) => slopeAt(x, y, i))

/** The slope at one place of that cubic; for inner loops, with columns of so many rows at the least. */
export function slopeAt(x: ArrayLike<number>, y: ArrayLike<number>, i: number): number {
  const last = x.length - 1
  if (last === 1) return chordOf(x, y, 0)
  if (i === 0) return endSlope(widthOf(x, 0), widthOf(x, 1), chordOf(x, y, 0), chordOf(x, y, 1))
  if (i === last)
    return endSlope(
      widthOf(x, last - 1),
      widthOf(x, last - 2),
      chordOf(x, y, last - 1),
      chordOf(x, y, last - 2),
    )
  const before = chordOf(x, y, i - 1)
  const after = chordOf(x, y, i)
  if (before * after <= 0) return 0
  const first = 2 * widthOf(x, i) + widthOf(x, i - 1)
  const second = widthOf(x, i) + 2 * widthOf(x, i - 1)
  return (first + second) / (first / before + second / after)
}

const widthOf = (x: ArrayLike<number>, i: number): number => (x[i + 1] as number) - (x[i] as number)
const chordOf = (x: ArrayLike<number>, y: ArrayLike<number>, i: number): number =>
  ((y[i + 1] as number) - (y[i] as number)) / widthOf(x, i)

/** At an end: the parabola through three points, held back where it would turn the curve round. */
function endSlope(near: number, next: number, chord: number, beyond: number): number {
  const slope = ((2 * near + next) * chord - near * beyond) / (near + next)
  if (slope * chord <= 0) return 0
  return chord * beyond <= 0 && Math.abs(slope) > 3 * Math.abs(chord) ? 3 * chord : slope
}
