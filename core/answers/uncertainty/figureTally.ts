import type { Column } from '../../base/columns/graph'
import type { Cells, Row } from '../../base/columns/kernel'
import { noughtInterval, type VectorSums } from './noughtInterval'
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
  /** How much wider it is for levels whose one zero error may count both ways; 1 where their sides were said. */
  readonly widening: number
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
  /** Numbers of the inputs it rests on. */
  readonly restsOn: readonly number[]
  /** The samples themselves, for a figure whose vector may yet turn out to be as good as nought. */
  samples: Float64Array
}

/**
 * An empty tally.
 *
 * @param samples - to be kept to begin with, where the figure has a vector behind it
 */
export function newTally(
  figure: SampledFigure,
  nominal: number,
  restsOn: readonly number[],
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
    restsOn,
    samples: new Float64Array(vector ? samples : 0),
  }
}

/** How far each row lies off the nominal figure; 0 where it has no answer. One is enough: figures are added up one by one. */
let scratch = new Float64Array(0)

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
  const { figure, nominal, isLimited, products } = tally
  const values = cellsOf(figure.column)
  tally.drawn += rows
  addDistances(tally, values, rows)
  if (isLimited) tally.kept += countKept(tally, values, rows, isKept)
  if (products.length > 0) {
    if (scratch.length < rows) scratch = new Float64Array(rows)
    const away = answered(values, nominal, scratch, rows)
    for (const input of tally.restsOn)
      products[input] = (products[input] ?? 0) + product(away, scores[input] as Float64Array, rows)
  }
  if (tally.samples.length > 0) tally.samples.set(values.subarray(0, rows), tally.drawn - rows)
}

/** From now on keeps as many samples in all, those so far among them; none for 0. */
export function keepSamples(tally: FigureTally, samples: number): void {
  const kept = new Float64Array(samples)
  if (samples > 0) kept.set(tally.samples.subarray(0, tally.drawn))
  tally.samples = kept
}

/** Sums up the distances from the nominal figure; where some rows have no answer, of the others. */
function addDistances(tally: FigureTally, values: Float64Array, rows: number): void {
  const cells = values as unknown as Cells
  const { nominal } = tally
  let sum = 0
  let squares = 0
  for (let row: Row = 0; row < rows; row++) {
    const off = cells[row] - nominal
    sum += off
    squares += off * off
  }
  const isAnswered = Number.isFinite(squares)
  const answers = isAnswered ? null : values.subarray(0, rows).filter(Number.isFinite)
  tally.count += answers ? answers.length : rows
  tally.sum += answers ? answers.reduce((total, value) => total + (value - nominal), 0) : sum
  tally.squares += answers ? answers.reduce((total, value) => total + (value - nominal) ** 2, 0) : squares
}

/** How far each row lies off the nominal figure; 0 where it has no answer. */
function answered(values: Float64Array, nominal: number, away: Float64Array, rows: number): Float64Array {
  const [cells, distances] = [values, away] as unknown as [Cells, Cells]
  for (let row: Row = 0; row < rows; row++) {
    const off = cells[row] - nominal
    distances[row] = off - off === 0 ? off : 0
  }
  return away
}

/** Counts the rows within the limits and marks those past a failing one; no answer keeps no limit. */
function countKept(
  { inside: [low, high], allowed: [least, most] }: FigureTally,
  values: Float64Array,
  rows: number,
  isKept: Uint8Array,
): number {
  const [figures, flags] = [values, isKept] as unknown as [Cells, Cells]
  let kept = 0
  for (let row: Row = 0; row < rows; row++) {
    const value = figures[row]
    if (value >= low && value <= high) kept++
    if (!(value >= least && value <= most)) flags[row] = 0
  }
  return kept
}

function product(a: Float64Array, b: Float64Array, rows: number): number {
  const [first, second] = [a, b] as unknown as [Cells, Cells]
  let sum = 0
  for (let row: Row = 0; row < rows; row++) sum += first[row] * second[row]
  return sum
}

/** What a full tally says of its figure. */
export function spreadOf(tally: FigureTally, vector: VectorSums | null, widening: number): FigureSpread {
  const { figure, nominal, count, drawn, sum, squares, kept, isLimited, inside, products } = tally
  if (count < 2) {
    const isSure = drawn === 0 && nominal >= inside[0] && nominal <= inside[1]
    const probability = figure.window && isLimited ? (isSure ? 1 : 0) : null
    return { plusMinus: 0, interval: null, probability, shares: [...products].map(() => 0), widening }
  }
  const mean = sum / count
  const variance = Math.max(0, (squares - count * mean * mean) / (count - 1))
  return {
    plusMinus: 2 * Math.sqrt(variance),
    interval: figure.vector && vector ? noughtInterval(tally, vector, figure.vector.figureAtNought) : null,
    probability: isLimited ? kept / drawn : null,
    shares: sharesOf(products, count, variance),
    widening,
  }
}

/** Squared correlation of each input with the figure, less what chance alone would give it. */
function sharesOf(products: Float64Array, count: number, variance: number): number[] {
  return [...products].map((product) => {
    if (variance === 0) return 0
    const covariance = product / count
    // Chance alone gives every input 1/n of the variance.
    return Math.max(0, Math.min(1, (covariance * covariance) / variance - 1 / count))
  })
}
