import type { Column } from '../columns/graph'
import { borderOf, newRun, type Run } from '../columns/run'
import type { CompiledBuild } from '../model/compile'
import type { Input } from '../readings/inputs'
import { seededRandom, type Random } from './random'
import { deviationOf, scatterVariance } from './spread'

/** Rows worked at a time: their columns stay in the processor's own memory. */
export const BLOCK = 500

/** How many truths are drawn, from which seed: the same two give the same ones. */
export interface SamplingOptions {
  readonly samples: number
  readonly seed: number
}

/** Some rows of likely truths, set in a run. */
export interface TruthBlock {
  readonly rows: number
  /** How far each input lies off its mean in its own standard deviations, a column an input. */
  readonly scores: readonly Float64Array[]
}

/**
 * Likely truths behind the readings of a build, drawn once and handed out again for every setting of its levers: settings are
 * compared on the same truths, and what no lever moves is worked but once.
 */
export interface Truths {
  readonly options: SamplingOptions
  /** Truths there are: none where every reading is exact. */
  readonly count: number
  readonly run: Run
  /** Quantities that no lever moves; they stand ready in each block. */
  readonly given: ReadonlySet<Column>
  /** Puts every reading at its mean, in one row. */
  readonly setMeans: () => void
  readonly blocks: () => Iterable<TruthBlock>
}

interface KeptBlock extends TruthBlock {
  readonly border: readonly Float64Array[]
}

/**
 * Truths of a compiled build.
 *
 * @param isKept - to be handed out more than once
 */
export function newTruths(compiled: CompiledBuild, options: SamplingOptions, isKept = false): Truths {
  const { graph, measured, levers } = compiled
  const { inputs, columns } = measured.list
  const count = inputs.every((input) => deviationOf(input) === 0) ? 0 : options.samples
  const run = newRun(graph, Math.max(1, Math.min(BLOCK, count)))
  const border = borderOf(graph, [...levers.values()], sampledColumns(compiled))
  /** All blocks, once they have all been drawn. */
  let kept: readonly KeptBlock[] | null = null
  const means = border.map(graph.at)

  function* drawn(): Generator<TruthBlock> {
    const draw = drawing(inputs, options.seed)
    const blocks: KeptBlock[] = []
    for (let done = 0; done < count; done += BLOCK) {
      const rows = Math.min(BLOCK, count - done)
      const cells = columns.map((column) => run.fill(column))
      const scores = inputs.map(() => new Float64Array(rows))
      draw(cells, scores, rows)
      run.bring(border, rows)
      if (isKept) blocks.push({ rows, scores, border: border.map((column) => run.cells(column).slice(0, rows)) })
      yield { rows, scores }
    }
    if (isKept) kept = blocks
  }

  function* recalled(blocks: readonly KeptBlock[]): Generator<TruthBlock> {
    for (const block of blocks) {
      border.forEach((column, k) => run.fill(column).set(block.border[k] as Float64Array))
      yield block
    }
  }

  return {
    options,
    count,
    run,
    given: new Set(border),
    setMeans: () => {
      border.forEach((column, k) => run.set(column, means[k] ?? NaN))
    },
    blocks: () => (kept ? recalled(kept) : drawn()),
  }
}

/** Everything of a compiled build that may be sampled, whatever the levers do. */
function sampledColumns({ placeFigures, lines }: CompiledBuild): Column[] {
  const states = lines.flatMap((line) => line.states)
  const plans = lines.flatMap(({ checks }) => checks.flatMap((plan) => ('certain' in plan ? [] : plan.inStates)))
  return [
    ...placeFigures.map(({ column }) => column),
    ...states.flatMap(({ figures }) => figures?.named ?? []).flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])]),
    ...plans.flatMap(({ value }) =>
      value === null || typeof value === 'number' ? [] : [value.column, ...(value.vector?.columns ?? [])],
    ),
  ]
}

/** Draws rows of inputs, row by row, uniformly for their tools and normally for their scatter. */
function drawing(inputs: readonly Input[], seed: number) {
  const random = seededRandom(seed)
  const widths = inputs.map(({ halfWidth }) => halfWidth)
  const scatters = inputs.map((input) => (input.scatter === 0 ? 0 : Math.sqrt(scatterVariance(input))))
  const deviations = inputs.map(deviationOf)
  return (cells: readonly Float64Array[], scores: readonly Float64Array[], rows: number) => {
    for (let row = 0; row < rows; row++) {
      for (let i = 0; i < inputs.length; i++) {
        const error = drawError(widths[i] ?? 0, scatters[i] ?? 0, random)
        ;(cells[i] as Float64Array)[row] = (inputs[i] as Input).mean + error
        ;(scores[i] as Float64Array)[row] = error === 0 ? 0 : error / (deviations[i] ?? NaN)
      }
    }
  }
}

function drawError(halfWidth: number, scatter: number, random: Random): number {
  const tool = halfWidth === 0 ? 0 : halfWidth * (2 * random.uniform() - 1)
  return scatter === 0 ? tool : tool + scatter * random.normal()
}
