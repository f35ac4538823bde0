import type { SampledFigure } from './sampleModel'

/** Samples of a figure that is the length of a vector, and of that vector. */
export interface VectorTally {
  count: number
  readonly at: number
  readonly figureAtNought: number
  readonly figures: Float64Array
  /** Sums of x, y, x², y², x·y. */
  readonly sums: Float64Array
}

/** An empty tally for as many samples as will be drawn at the most. */
export const newVectorTally = (
  { at, figureAtNought }: NonNullable<SampledFigure['vector']>,
  samples: number,
): VectorTally => ({
  count: 0,
  at,
  figureAtNought,
  figures: new Float64Array(samples),
  sums: new Float64Array(5),
})

/** Counts one sample: the figure, and its vector out of the filled columns. */
export function countVector(tally: VectorTally, figure: number, columns: Float64Array): void {
  const [x, y] = [columns[tally.at] ?? NaN, columns[tally.at + 1] ?? NaN]
  if (!Number.isFinite(x) || !Number.isFinite(y)) return
  tally.figures[tally.count++] = figure
  const { sums } = tally
  const terms = [x, y, x * x, y * y, x * y]
  terms.forEach((term, i) => (sums[i] = (sums[i] as number) + term))
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
 * @param nominal - the filled columns at the means of the readings
 * @returns from the smaller to the larger figure; null when the vector is clearly not nought
 * @see docs/methods/uncertainty.md
 */
export function noughtInterval(tally: VectorTally, nominal: Float64Array): readonly [number, number] | null {
  const { count, figureAtNought } = tally
  if (count < 2 || !isNoughtLikely(tally, nominal[tally.at] ?? NaN, nominal[tally.at + 1] ?? NaN)) return null
  const sorted = tally.figures.slice(0, count).sort()
  const low = sorted[Math.floor(0.05 * count)] ?? NaN
  const high = sorted[Math.min(count - 1, Math.ceil(0.95 * count))] ?? NaN
  // A ratio falls away from one as its vector grows; all else rises from nought.
  return high > figureAtNought ? [figureAtNought, high] : [low, figureAtNought]
}

function isNoughtLikely({ count, sums }: VectorTally, x: number, y: number): boolean {
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
