import type { Column } from '../../base/columns/graph'
import type { Cells, Row } from '../../base/columns/kernel'
import { borderOf, newRun, type Run } from '../../base/columns/run'
import type { FigureColumn } from '../../line/figureColumns'
import { namedFigures } from '../../model/namedFigures'
import { plannedChecks, type CompiledBuild } from '../../model/compile'
import type { Input } from '../../measure/figures/inputs'
import { drawErrors, seededState, type RandomState } from '../../base/chance/random'
import { deviationOf, scatterVariance } from '../../base/chance/spread'

/** Rows worked at a time: their columns stay in the processor's own memory. */
export const TRUTHS_AT_ONCE = 250

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

/** More figures than this, some 60 MB, are not kept: a build of hundreds of points draws its truths anew. */
const MOST_KEPT = 8e6

interface KeptBlock extends TruthBlock {
  readonly border: readonly Float64Array[]
}

/**
 * Truths of a compiled build.
 *
 * @param isKept - to be handed out more than once
 * @param wanted - what is asked of them; everything that is sampled when nothing is said
 */
export function newTruths(
  compiled: CompiledBuild,
  options: SamplingOptions,
  isKept = false,
  wanted: readonly Column[] = sampledColumns(compiled),
): Truths {
  const { graph, measured, levers } = compiled
  const { inputs, columns } = measured.list
  const count = inputs.every((input) => deviationOf(input) === 0) ? 0 : options.samples
  const run = newRun(graph, Math.max(1, Math.min(TRUTHS_AT_ONCE, count)))
  const border = borderOf(graph, [...levers.values(), ...setWheels(compiled)], wanted)
  const stock: Stock = {
    inputs,
    columns,
    border,
    options,
    count,
    run,
    keeps: isKept && count * (border.length + inputs.length) <= MOST_KEPT,
    kept: null,
  }
  const means = border.map(graph.at)
  return {
    options,
    count,
    run,
    given: new Set(border),
    setMeans: () => {
      border.forEach((column, k) => run.set(column, means[k] ?? NaN))
    },
    blocks: () => (stock.kept ? recalled(stock, stock.kept) : drawn(stock)),
  }
}

/** What truths are drawn from, and all blocks once they have all been drawn. */
interface Stock {
  readonly inputs: readonly Input[]
  readonly columns: readonly Column[]
  readonly border: readonly Column[]
  readonly options: SamplingOptions
  readonly count: number
  readonly run: Run
  readonly keeps: boolean
  kept: readonly KeptBlock[] | null
}

// Not inside `newTruths`: a generator made anew each time holds what it sees until all of the memory is cleared.
function* drawn(stock: Stock): Generator<TruthBlock> {
  const { inputs, columns, border, options, count, run, keeps } = stock
  const draw = drawing(inputs, options.seed)
  const blocks: KeptBlock[] = []
  const reused = keeps ? [] : inputs.map(() => new Float64Array(run.capacity))
  for (let done = 0; done < count; done += TRUTHS_AT_ONCE) {
    const rows = Math.min(TRUTHS_AT_ONCE, count - done)
    const cells = run.fillAll(columns)
    const scores = keeps ? inputs.map(() => new Float64Array(rows)) : reused
    draw(cells, scores, rows)
    run.bring(border, rows)
    if (keeps) blocks.push({ rows, scores, border: border.map((column) => run.cells(column).slice(0, rows)) })
    if (keeps && done + rows >= count) stock.kept = blocks
    yield { rows, scores }
  }
}

function* recalled({ run, border }: Stock, blocks: readonly KeptBlock[]): Generator<TruthBlock> {
  for (const block of blocks) {
    run.fillAll(border).forEach((cells, k) => cells.set(block.border[k] as Float64Array))
    yield block
  }
}

/** Wheels of places that are set anew for each setting of the levers. */
const setWheels = ({ travel, subjects }: CompiledBuild): Column[] =>
  [...(travel?.spares ?? []), ...subjects.flatMap(({ spares }) => spares)].flatMap(({ wheels }) =>
    [...wheels.values()].flatMap(({ leftUp, rightUp, rack }) => [
      leftUp,
      rightUp,
      ...(rack === undefined ? [] : [rack]),
    ]),
  )

/** Everything of a compiled build that may be sampled, whatever the levers do. */
const sampledColumns = (compiled: CompiledBuild): Column[] => [
  ...namedFigures(compiled).flatMap(columnsOf),
  ...plannedChecks(compiled).flatMap(({ value }) =>
    value === null || typeof value === 'number' ? [] : columnsOf(value),
  ),
]

const columnsOf = ({ column, vector }: FigureColumn): Column[] => [column, ...(vector?.columns ?? [])]

/** Draws rows of the inputs, one input after the other. */
function drawing(inputs: readonly Input[], seed: number) {
  const state = seededState(seed)
  return (cells: readonly Float64Array[], scores: readonly Float64Array[], rows: number) =>
    inputs.forEach((input, index) =>
      drawInput(input, state, cells[index] as Float64Array, scores[index] as Float64Array, rows),
    )
}

/** Draws an input uniformly for its tool and normally for its scatter. */
function drawInput(
  input: Input,
  state: RandomState,
  cells: Float64Array,
  scores: Float64Array,
  rows: number,
): void {
  const { mean, halfWidth } = input
  const scatter = Math.sqrt(scatterVariance(input))
  const weight = 1 / (deviationOf(input) || 1)
  const [figures, errors] = [cells, scores] as unknown as [Cells, Cells]
  drawErrors(state, scores, rows, halfWidth, scatter)
  for (let row: Row = 0; row < rows; row++) {
    const error = errors[row]
    figures[row] = mean + error
    errors[row] = error * weight
  }
}
