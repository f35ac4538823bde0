import type { Column } from '../columns/graph'
import type { Cells, Row } from '../columns/kernel'
import type { Window } from '../limits/limit'
import { noughtInterval } from './noughtInterval'
import type { SampledFigure } from './sampleModel'

/** How sure one figure is. */
export interface FigureSpread {
  /** Two standard deviations, in the figure's unit. */
  readonly plusMinus: number
  /**
   * 95 % of the likely truths, for a figure that is the length of a vector which may as well be nought: there the figure's
   * own scatter about its value says nothing of how near nought the truth may be. Null for all others.
   */
  readonly interval: readonly [number, number] | null
  /** Share of the samples that keep the failing limits, or the warning ones where there are no failing ones; null without limits. */
  readonly probability: number | null
  /** Share of the variance that each input brings, in the order of the inputs; only for checks, else empty. */
  readonly shares: readonly number[]
}

/** Running sums of one figure, about its value at the means so that nothing cancels. */
export interface FigureTally {
  readonly figure: SampledFigure
  readonly nominal: number
  readonly isLimited: boolean
  /** From where to where its limits are kept: the failing ones, else the warning ones; and the failing ones alone. */
  readonly inside: readonly [number, number]
  readonly allowed: readonly [number, number]
  /** Samples that have an answer; one without is no kept limit. */
  count: number
  drawn: number
  sum: number
  squares: number
  kept: number
  readonly products: Float64Array
  /** The samples themselves, for a figure that has a vector behind it, and sums of x, y, x², y², x·y of that. */
  readonly samples: Float64Array
  readonly vectorSums: Float64Array
}

/** An empty tally for as many samples as will be drawn at the most. */
export function newTally(
  figure: SampledFigure,
  nominal: number,
  inputs: number,
  samples: number,
): FigureTally {
  const { window, vector } = figure
  const { failLow, warnLow, warnHigh, failHigh } = window ?? {}
  return {
    figure,
    nominal,
    isLimited: window !== null && Object.values(window).some((edge) => edge !== null),
    inside: [failLow ?? warnLow ?? -Infinity, failHigh ?? warnHigh ?? Infinity],
    allowed: [failLow ?? -Infinity, failHigh ?? Infinity],
    count: 0,
    drawn: 0,
    sum: 0,
    squares: 0,
    kept: 0,
    products: new Float64Array(window ? inputs : 0),
    samples: new Float64Array(vector ? samples : 0),
    vectorSums: new Float64Array(5),
  }
}

/** How far each row lies off the nominal figure; 0 where it has no answer. One is enough: figures are added up one by one. */
let away = new Float64Array(0)

/**
 * Adds some rows to a tally.
 *
 * @param scores - of the inputs, in their standard deviations
 * @param isKept - cleared for rows in which the figure is past a failing limit
 */
export function addFigure(
  tally: FigureTally,
  cellsOf: (column: Column) => Float64Array,
  rows: number,
  scores: readonly Float64Array[],
  isKept: Uint8Array,
): void {
  const { figure, nominal, isLimited, inside, allowed } = tally
  const values = cellsOf(figure.column)
  if (away.length < rows) away = new Float64Array(rows)
  let [count, sum, squares, kept] = [0, 0, 0, 0]
  for (let row = 0; row < rows; row++) {
    const value = values[row] ?? NaN
    const off = value - nominal
    // Neither NaN nor an infinity is an answer, and no answer keeps no limit.
    const isAnswer = off - off === 0
    away[row] = isAnswer ? off : 0
    if (isAnswer) {
      count++
      sum += off
      squares += off * off
    }
    if (!isLimited) continue
    if (isAnswer && value >= inside[0] && value <= inside[1]) kept++
    if (!isAnswer || value < allowed[0] || value > allowed[1]) isKept[row] = 0
  }
  tally.count += count
  tally.drawn += rows
  tally.sum += sum
  tally.squares += squares
  tally.kept += kept
  for (let i = 0; i < tally.products.length; i++)
    tally.products[i] = (tally.products[i] ?? 0) + product(away, scores[i] as Float64Array, rows)
  if (figure.vector) {
    tally.samples.set(values.subarray(0, rows), tally.drawn - rows)
    addVector(tally.vectorSums, cellsOf(figure.vector.columns[0]), cellsOf(figure.vector.columns[1]), rows)
  }
}

function product(a: Float64Array, b: Float64Array, rows: number): number {
  const [first, second] = [a, b] as unknown as [Cells, Cells]
  let sum = 0
  for (let row: Row = 0; row < rows; row++) sum += first[row] * second[row]
  return sum
}

function addVector(sums: Float64Array, first: Float64Array, second: Float64Array, rows: number): void {
  const [xs, ys] = [first, second] as unknown as [Cells, Cells]
  let [sx, sy, sxx, syy, sxy] = [0, 0, 0, 0, 0]
  for (let row: Row = 0; row < rows; row++) {
    const x = xs[row]
    const y = ys[row]
    if (x - x !== 0 || y - y !== 0) continue
    sx += x
    sy += y
    sxx += x * x
    syy += y * y
    sxy += x * y
  }
  ;[sx, sy, sxx, syy, sxy].forEach((term, i) => (sums[i] = (sums[i] ?? 0) + term))
}

/** What a full tally says of its figure. */
export function spreadOf(tally: FigureTally, vector: readonly number[]): FigureSpread {
  const { figure, nominal, count, drawn, sum, squares, kept, isLimited, inside, products } = tally
  if (count < 2) {
    const isSure = drawn === 0 && nominal >= inside[0] && nominal <= inside[1]
    const probability = figure.window && isLimited ? (isSure ? 1 : 0) : null
    return { plusMinus: 0, interval: null, probability, shares: [...products].map(() => 0) }
  }
  const mean = sum / count
  const variance = Math.max(0, (squares - count * mean * mean) / (count - 1))
  return {
    plusMinus: 2 * Math.sqrt(variance),
    interval: figure.vector ? noughtInterval(tally, vector, figure.vector.figureAtNought) : null,
    probability: isLimited ? kept / drawn : null,
    shares: sharesOf(products, count, variance),
  }
}

/** Squared correlation of each input with the figure, less what chance alone would give it. */
function sharesOf(products: Float64Array, count: number, variance: number): number[] {
  return [...products].map((product) => {
    if (variance === 0) return 0
    const covariance = product / count
    return Math.max(0, Math.min(1, (covariance * covariance) / variance - 1 / count))
  })
}
