import type { FigureTally } from './figureTally'

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
 * @param vector - at the means of the readings
 * @param figureAtNought - the figure when the vector is nought
 * @returns from the smaller to the larger figure; null when the vector is clearly not nought
 * @see docs/methods/uncertainty.md
 */
export function noughtInterval(
  { count, drawn, samples, vectorSums }: Pick<FigureTally, 'count' | 'drawn' | 'samples' | 'vectorSums'>,
  [x = NaN, y = NaN]: readonly number[],
  figureAtNought: number,
): readonly [number, number] | null {
  if (count < 2 || !isNoughtLikely(vectorSums, count, x, y)) return null
  const sorted = samples.slice(0, drawn).filter(Number.isFinite).sort()
  const low = sorted[Math.floor(0.05 * count)] ?? NaN
  const high = sorted[Math.min(count - 1, Math.ceil(0.95 * count))] ?? NaN
  // A ratio falls away from one as its vector grows; all else rises from nought.
  return high > figureAtNought ? [figureAtNought, high] : [low, figureAtNought]
}

function isNoughtLikely(sums: Float64Array, count: number, x: number, y: number): boolean {
  const [sumX = 0, sumY = 0, sumXX = 0, sumYY = 0, sumXY = 0] = sums
  const xx = sumXX / count - (sumX / count) ** 2
  const yy = sumYY / count - (sumY / count) ** 2
  const xy = sumXY / count - (sumX * sumY) / count ** 2
  const trace = xx + yy
  if (!(trace > 0)) return x === 0 && y === 0
  const determinant = xx * yy - xy * xy
  if (determinant < THIN * trace * trace) return (x * x + y * y) / trace <= CHI_LINE
  return (x * x * yy - 2 * x * y * xy + y * y * xx) / determinant <= CHI_PLANE
}
