import { slopeAt } from './pchip'

/**
 * What was read at heights of the wheels, between them by a cubic that overshoots nowhere; nothing beyond the heights that were read.
 *
 * @param heights - rising, in mm
 * @param values - as many
 * @returns in the unit of the values; NaN beyond
 */
export function valueAtHeight(heights: ArrayLike<number>, values: ArrayLike<number>, up: number): number {
  if (heights.length === 1) return up === heights[0] ? (values[0] as number) : NaN
  const last = heights.length - 2
  let row = 0
  while (row < last && up > (heights[row + 1] as number)) row++
  const width = (heights[row + 1] as number) - (heights[row] as number)
  const t = (up - (heights[row] as number)) / width
  // A row itself counts as read, though its place may come out a rounding beyond.
  if (!(t >= -1e-9 && t <= 1 + 1e-9)) return NaN
  const s = 1 - t
  // The cubic by its ends and slopes (Hermite).
  return (
    s * s * (1 + 2 * t) * (values[row] as number) +
    t * t * (1 + 2 * s) * (values[row + 1] as number) +
    t * s * width * (s * slopeAt(heights, values, row) - t * slopeAt(heights, values, row + 1))
  )
}
