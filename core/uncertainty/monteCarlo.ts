import type { Window } from '../limits/limit'
import { standing } from '../limits/verdict'
import type { Input } from '../readings/formula'
import { meansOf } from '../readings/formula'
import { seededRandom, type Random } from './random'
import { countVector, newVectorTally, noughtInterval, type VectorTally } from './noughtInterval'
import type { SampledFigure, SampleModel } from './sampleModel'
import { deviationOf, scatterVariance } from './spread'

/** Samples that every published ± rests on at the least. */
export const LEAST_SAMPLES = 20_000
/** Seed of the published figures: the same build always gives the same ±. */
export const DEFAULT_SEED = 4620
/** Samples between two reports of progress. */
const CHUNK = 1000

export interface SamplingOptions {
  readonly samples: number
  readonly seed: number
}

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

/** How sure every figure of a build is, at one setting of its levers. */
export interface Sureness {
  readonly samples: number
  readonly seed: number
  readonly inputs: readonly Input[]
  readonly figures: Readonly<Record<string, FigureSpread>>
  /** Share of the samples in which nothing is past a failing limit; null when nothing is limited. */
  readonly together: number | null
}

/**
 * Monte Carlo through a whole model: each reading is drawn about its mean, uniformly for its tool and normally for its
 * scatter, and every figure computed.
 *
 * Yields the number of samples done, so that the caller can report and stop; returns the result.
 *
 * @see docs/methods/uncertainty.md (JCGM 101:2008, propagation of distributions)
 */
export function* monteCarlo(
  model: SampleModel,
  { samples, seed }: SamplingOptions,
): Generator<number, Sureness, void> {
  const { inputs, figures, columns } = model
  const deviations = inputs.map(deviationOf)
  const means = meansOf(inputs)
  const nominal = new Float64Array(columns)
  model.evaluate(means, nominal)
  const isSure = deviations.every((deviation) => deviation === 0)
  const count = isSure ? 0 : samples
  const tally = figures.map((figure) => newTally(figure, inputs.length, count))
  const random = seededRandom(seed)
  const values = new Float64Array(inputs.length)
  const out = new Float64Array(columns)
  const scores = new Float64Array(inputs.length)
  let together = 0
  for (let done = 0; done < count; done++) {
    for (let i = 0; i < inputs.length; i++) {
      const input = inputs[i] as Input
      const error = drawError(input, random)
      values[i] = input.mean + error
      scores[i] = error === 0 ? 0 : error / (deviations[i] as number)
    }
    model.evaluate(values, out)
    let isKept = true
    for (let k = 0; k < figures.length; k++)
      isKept = countIn(tally[k] as Tally, out[k] as number, nominal[k] as number, scores, out) && isKept
    if (isKept) together++
    if ((done + 1) % CHUNK === 0) yield done + 1
  }
  const isLimited = tally.some((one) => one.isLimited)
  const keptNow = () =>
    figures.every(({ window }, k) => !window || standing(nominal[k] as number, window).verdict !== 'out')
  return {
    samples: count,
    seed,
    inputs,
    figures: Object.fromEntries(
      figures.map(({ id }, k) => [id, spreadOf(tally[k] as Tally, nominal[k] as number, nominal)]),
    ),
    together: !isLimited ? null : count === 0 ? Number(keptNow()) : together / count,
  }
}

/** Runs a sampling to its end at once. */
export function runMonteCarlo(
  model: SampleModel,
  options: SamplingOptions = { samples: LEAST_SAMPLES, seed: DEFAULT_SEED },
): Sureness {
  const run = monteCarlo(model, options)
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}

function drawError(input: Input, random: Random): number {
  const tool = input.halfWidth === 0 ? 0 : input.halfWidth * (2 * random.uniform() - 1)
  return input.scatter === 0 ? tool : tool + Math.sqrt(scatterVariance(input)) * random.normal()
}

/** Running sums of one figure, about its value at the means so that nothing cancels. */
interface Tally {
  /** Samples that have an answer; one without is no kept limit. */
  count: number
  drawn: number
  sum: number
  squares: number
  inside: number
  readonly window: Window | null
  readonly isLimited: boolean
  readonly products: Float64Array
  readonly vector: VectorTally | null
}

const newTally = ({ window, vector }: SampledFigure, inputs: number, samples: number): Tally => ({
  count: 0,
  drawn: 0,
  sum: 0,
  squares: 0,
  inside: 0,
  window,
  isLimited: window !== null && Object.values(window).some((edge) => edge !== null),
  products: new Float64Array(window ? inputs : 0),
  vector: vector ? newVectorTally(vector, samples) : null,
})

/** Counts one sample; false when it is past a failing limit of the figure. */
function countIn(
  tally: Tally,
  value: number,
  nominal: number,
  scores: Float64Array,
  out: Float64Array,
): boolean {
  tally.drawn++
  // No answer keeps no limit.
  if (!Number.isFinite(value)) return !tally.isLimited
  const away = value - nominal
  tally.count++
  tally.sum += away
  tally.squares += away * away
  for (let i = 0; i < tally.products.length; i++)
    tally.products[i] = (tally.products[i] as number) + away * (scores[i] as number)
  if (tally.vector) countVector(tally.vector, value, out)
  if (!tally.isLimited || !tally.window) return true
  if (isInside(value, tally.window)) tally.inside++
  const { failLow, failHigh } = tally.window
  return value >= (failLow ?? -Infinity) && value <= (failHigh ?? Infinity)
}

function isInside(value: number, { failLow, warnLow, warnHigh, failHigh }: Window): boolean {
  return value >= (failLow ?? warnLow ?? -Infinity) && value <= (failHigh ?? warnHigh ?? Infinity)
}

function spreadOf(tally: Tally, nominal: number, columns: Float64Array): FigureSpread {
  const { count, drawn, sum, squares, window, isLimited, products } = tally
  if (count < 2) {
    const kept = window && isLimited ? (drawn === 0 && isInside(nominal, window) ? 1 : 0) : null
    return { plusMinus: 0, interval: null, probability: kept, shares: [...products].map(() => 0) }
  }
  const mean = sum / count
  const variance = Math.max(0, (squares - count * mean * mean) / (count - 1))
  return {
    plusMinus: 2 * Math.sqrt(variance),
    interval: tally.vector && noughtInterval(tally.vector, columns),
    probability: isLimited ? tally.inside / drawn : null,
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
