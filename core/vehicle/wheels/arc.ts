/**
 * How far the seat of a leaf spring goes forward on its arc while it comes up, in mm; NaN past the arc's top or bottom.
 *
 * @param alongX - from the arc's centre to the seat at ride height, forward and up
 * @example forwardOnArc(-570, 30, 0) // 0
 */
export function forwardOnArc(alongX: number, aboveZ: number, upMm: number): number {
  const height = aboveZ + upMm
  const square = alongX * alongX + aboveZ * aboveZ - height * height
  if (!(square >= 0)) return NaN
  return (alongX < 0 ? -Math.sqrt(square) : Math.sqrt(square)) - alongX
}
