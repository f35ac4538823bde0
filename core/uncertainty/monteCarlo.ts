import { standing } from '../limits/verdict'
import type { Window } from '../limits/limit'
import type { Input } from '../readings/inputs'
import { addFigure, newTally, spreadOf, type FigureSpread } from './figureTally'
import type { SampledFigure, SampleModel } from './sampleModel'
import { newTruths, type SamplingOptions, type Truths } from './truths'

/** Samples that every published ± rests on at the least. */
export const LEAST_SAMPLES = 20_000
/** Seed of the published figures: the same build always gives the same ±. */
export const DEFAULT_SEED = 4620

export type { FigureSpread, SamplingOptions }

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
 * @param truths - of the same build, where several settings are to be compared on them
 * @see docs/methods/uncertainty.md (JCGM 101:2008, propagation of distributions)
 */
export function* monteCarlo(
  model: SampleModel,
  options: SamplingOptions,
  truths: Truths = newTruths(model.compiled, options),
): Generator<number, Sureness, void> {
  const { compiled, settings, figures, wanted } = model
  const { inputs } = compiled.measured.list
  const { run, given, count } = truths
  for (const [id, column] of compiled.levers) run.set(column, settings[id] ?? 0)
  truths.setMeans()
  run.bring(wanted, 1, given)
  const nominal = figures.map(({ column }) => run.figure(column))
  const vectors = figures.map(({ vector }) => vector?.columns.map(run.figure) ?? [])
  const tallies = figures.map((figure, k) => newTally(figure, nominal[k] ?? NaN, inputs.length, count))
  const isKept = new Uint8Array(run.capacity)
  let [done, together] = [0, 0]
  for (const { rows, scores } of truths.blocks()) {
    run.bring(wanted, rows, given)
    isKept.fill(1)
    for (const tally of tallies) addFigure(tally, run.cells, rows, scores, isKept)
    for (let row = 0; row < rows; row++) together += isKept[row] ?? 0
    done += rows
    yield done
  }
  const isLimited = tallies.some((one) => one.isLimited)
  return {
    samples: count,
    seed: options.seed,
    inputs,
    figures: Object.fromEntries(
      figures.map(({ id }, k) => [id, spreadOf(tallies[k] as (typeof tallies)[number], vectors[k] ?? [])]),
    ),
    together: !isLimited ? null : count === 0 ? Number(keepsAll(figures, nominal)) : together / count,
  }
}

const keepsAll = (figures: readonly SampledFigure[], values: readonly number[]): boolean =>
  figures.every(({ window }, k) => !window || isAllowed(values[k] ?? NaN, window))

const isAllowed = (value: number, window: Window): boolean => standing(value, window).verdict !== 'out'

/** Runs a sampling to its end at once. */
export function runMonteCarlo(
  model: SampleModel,
  options: SamplingOptions = { samples: LEAST_SAMPLES, seed: DEFAULT_SEED },
  truths?: Truths,
): Sureness {
  const run = monteCarlo(model, options, truths)
  for (;;) {
    const step = run.next()
    if (step.done) return step.value
  }
}
