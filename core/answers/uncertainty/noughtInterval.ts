import type { Cells, Row } from '../../base/columns/kernel'

/** Sums over the samples of a vector behind figures. */
export interface VectorSums {
  /** At the means of the readings. */
  readonly nominal: readonly [number, number]
  count: number
  x: number
  y: number
  xx: number
  yy: number
  xy: number
}

export const newVectorSums = (nominal: readonly [number, number]): VectorSums => ({
  nominal,
  count: 0,
  x: 0,
  y: 0,
  xx: 0,
  yy: 0,
  xy: 0,
})

/** Adds some rows of the vector's two parts. */
export function addVector(sums: VectorSums, first: Float64Array, second: Float64Array, rows: number): void {
  const [xs, ys] = [first, second] as unknown as [Cells, Cells]
  let count = 0
  let sx = 0
  let sy = 0
  let sxx = 0
  let syy = 0
  let sxy = 0
  for (let row: Row = 0; row < rows; row++) {
    const x = xs[row]
    const y = ys[row]
    if (x - x !== 0 || y - y !== 0) continue
    count++
    sx += x
    sy += y
    sxx += x * x
    syy += y * y
    sxy += x * y
  }
  sums.count += count
  sums.x += sx
  sums.y += sy
  sums.xx += sxx
  sums.yy += syy
  sums.xy += sxy
}

/** Chi-squared that 95 % of normal vectors stay below, of two parts and of one. */
const CHI_PLANE = 5.991
const CHI_LINE = 3.841
/**
 * A cloud whose variance across is below this share of that along is a line: what is across is of second order, as with
 * two axes that differ in fall alone.
 */
const THIN = 0.02

/**
 * The 95 % interval of a vector's length where the vector may as well be nought.
 *
 * About such a figure its scatter says nothing: the length of (truth + error) is nearly always more than nought, so the
 * truth "nought" would never be covered. It is covered just when nought lies inside the 95 % ellipse of the vector; then the
 * interval runs from nought to where 95 % of the lengths end.
 *
 * @param figureAtNought - the figure when the vector is nought
 * @returns from the smaller to the larger figure; null when the vector is clearly not nought
 * @see docs/methods/uncertainty.md
 */
export function noughtInterval(
  {
    count,
    drawn,
    samples,
  }: { readonly count: number; readonly drawn: number; readonly samples: Float64Array },
  vector: VectorSums,
  figureAtNought: number,
): readonly [number, number] | null {
  if (count < 2 || !(noughtDistance(vector) <= 1)) return null
  const sorted = samples.slice(0, drawn).filter(Number.isFinite).sort()
  // One-sided: the other end is nought itself.
  const low = sorted[Math.floor(0.05 * count)] ?? NaN
  const high = sorted[Math.min(count - 1, Math.ceil(0.95 * count))] ?? NaN
  // A ratio falls away from one as its vector grows; all else rises from nought.
  return high > figureAtNought ? [figureAtNought, high] : [low, figureAtNought]
}

/**
 * Beyond this nought is out of the question already after some hundred samples: their ellipse may be off by a fifth, never by
 * half.
 */
const FAR = 4

/** True when nought is so far outside the ellipse of the samples so far that the rest of them cannot bring it in. */
export const isFarFromNought = (sums: VectorSums): boolean => noughtDistance(sums) > FAR

/** How far nought lies from the vector, squared: 1 on the 95 % ellipse; NaN for a vector that does not vary and is not nought. */
function noughtDistance({ nominal: [x, y], count, ...sums }: VectorSums): number {
  const xx = sums.xx / count - (sums.x / count) ** 2
  const yy = sums.yy / count - (sums.y / count) ** 2
  const xy = sums.xy / count - (sums.x * sums.y) / count ** 2
  const trace = xx + yy
  if (!(trace > 0)) return x === 0 && y === 0 ? 0 : NaN
  const determinant = xx * yy - xy * xy
  if (determinant < THIN * trace * trace) return (x * x + y * y) / trace / CHI_LINE
  return (x * x * yy - 2 * x * y * xy + y * y * xx) / determinant / CHI_PLANE
}
