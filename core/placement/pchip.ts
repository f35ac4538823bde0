/**
 * Slopes of the cubic through rising places that overshoots nowhere its points do not (shape-preserving: weighted harmonic
 * mean of the two chords, nought where they turn; three-point formula at the ends).
 *
 * @param x - rising, two at least
 * @param y - as many
 * @returns dy/dx at each place, in the units of y over those of x
 * @example shapePreservingSlopes([0, 1, 3], [1, 3, 7]) // [2, 2, 2]
 */
export function shapePreservingSlopes(x: readonly number[], y: readonly number[]): number[] {
  const at = (list: readonly number[], i: number) => list[i] ?? NaN
  const last = x.length - 1
  const width = (i: number) => at(x, i + 1) - at(x, i)
  const chord = (i: number) => (at(y, i + 1) - at(y, i)) / width(i)
  if (last === 1) return [chord(0), chord(0)]
  return x.map((_, i) => {
    if (i === 0) return endSlope(width(0), width(1), chord(0), chord(1))
    if (i === last) return endSlope(width(last - 1), width(last - 2), chord(last - 1), chord(last - 2))
    const [before, after] = [chord(i - 1), chord(i)]
    if (before * after <= 0) return 0
    const [first, second] = [2 * width(i) + width(i - 1), width(i) + 2 * width(i - 1)]
    return (first + second) / (first / before + second / after)
  })
}

/** At an end: the parabola through three points, held back where it would turn the curve round. */
function endSlope(near: number, next: number, chord: number, beyond: number): number {
  const slope = ((2 * near + next) * chord - near * beyond) / (near + next)
  if (slope * chord <= 0) return 0
  return chord * beyond <= 0 && Math.abs(slope) > 3 * Math.abs(chord) ? 3 * chord : slope
}
