import { standing } from '../../file/limits/verdict'
import type { Window } from '../../file/build/limit'
import type { Input } from '../../measure/figures/inputs'
import type { Column } from '../../base/columns/graph'
import { sourcesOf } from '../../base/columns/run'
import type { CompiledBuild } from '../../model/compile'
import { givenFigures } from '../../model/screen'
import { addVector, isFarFromNought, newVectorSums, type VectorSums } from './noughtInterval'
import {
  addFigure,
  keepSamples,
  newTally,
  spreadOf,
  type FigureSpread,
  type FigureTally,
} from './figureTally'
import { widened, zeroWidening } from './zeroWidening'
import type { SampledFigure, SampleModel } from './sampleModel'
import { TRUTHS_AT_ONCE, newTruths, type SamplingOptions, type Truths } from './truths'

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
 * @param truths - of the same build, where several settings are to be compared on them; as many of them as are asked for
 * @see docs/methods/uncertainty.md (JCGM 101:2008, propagation of distributions)
 */
export function* monteCarlo(
  model: SampleModel,
  options: SamplingOptions,
  truths: Truths = newTruths(model.compiled, options),
): Generator<number, Sureness, void> {
  const { compiled, settings, set, figures, wanted } = model
  const { inputs } = compiled.measured.list
  const { run, given } = truths
  const count = Math.min(truths.count, options.samples)
  for (const [column, figure] of givenFigures(compiled, settings, set)) run.set(column, figure)
  truths.setMeans()
  run.bring(wanted, 1, given)
  const nominal = figures.map(({ column }) => run.figure(column))
  const vectors = vectorsOf(figures, run.figure)
  const tallies = figures.map((figure, k) =>
    newTally(
      figure,
      nominal[k] ?? NaN,
      figure.window ? inputsOf(compiled, figure.column) : [],
      inputs.length,
      Math.min(count, TRUTHS_AT_ONCE),
    ),
  )
  const widenings = zeroWidening(model)
  const cellsOf = widened(run, widenings)
  const isKept = new Uint8Array(run.capacity)
  let [done, together] = [0, 0]
  let asked: readonly Column[] = wanted
  for (const block of truths.blocks()) {
    const { scores } = block
    const rows = Math.min(block.rows, count - done)
    run.bring(asked, rows, given)
    isKept.fill(1)
    for (const tally of tallies) addFigure(tally, cellsOf, rows, scores, isKept)
    for (const { columns, sums } of vectors.values())
      addVector(sums, cellsOf(columns[0]), cellsOf(columns[1]), rows)
    for (let row = 0; row < rows; row++) together += isKept[row] ?? 0
    done += rows
    if (done === rows && done < count) asked = leaveFarVectors(figures, tallies, vectors, count)
    yield done
    if (done >= count) break
  }
  const isLimited = tallies.some((one) => one.isLimited)
  return {
    samples: count,
    seed: options.seed,
    inputs,
    figures: Object.fromEntries(
      tallies.map((tally) => {
        const { id, column, vector } = tally.figure
        const sums = vector ? (vectors.get(vector.columns[0])?.sums ?? null) : null
        return [id, spreadOf(tally, sums, widenings.get(column)?.factor ?? 1)]
      }),
    ),
    together: !isLimited ? null : count === 0 ? Number(keepsAll(figures, nominal)) : together / count,
  }
}

/**
 * After the first rows: vectors that are clearly not nought are looked at no longer, and samples kept only for the others.
 *
 * @returns the columns that are still wanted
 */
function leaveFarVectors(
  figures: readonly SampledFigure[],
  tallies: readonly FigureTally[],
  vectors: ReturnType<typeof vectorsOf>,
  count: number,
): Column[] {
  for (const [first, { sums }] of vectors) if (isFarFromNought(sums)) vectors.delete(first)
  const open = ({ vector }: SampledFigure) => (vector ? vectors.get(vector.columns[0]) : undefined)
  for (const tally of tallies) if (tally.figure.vector) keepSamples(tally, open(tally.figure) ? count : 0)
  return figures.flatMap((figure) => [figure.column, ...(open(figure)?.columns ?? [])])
}

/** Numbers of the inputs that a column rests on. */
function inputsOf({ graph, measured }: CompiledBuild, column: Column): number[] {
  const sources = sourcesOf(graph, [column])
  return measured.list.columns.flatMap((input, index) => (sources.has(input) ? [index] : []))
}

/** The vectors behind figures, each once: several figures rise with the same one. */
function vectorsOf(figures: readonly SampledFigure[], figure: (column: Column) => number) {
  const vectors = new Map<
    Column,
    { readonly columns: readonly [Column, Column]; readonly sums: VectorSums }
  >()
  for (const { vector } of figures) {
    if (!vector || vectors.has(vector.columns[0])) continue
    const [first, second] = vector.columns
    vectors.set(first, { columns: vector.columns, sums: newVectorSums([figure(first), figure(second)]) })
  }
  return vectors
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
