import { deviationOf } from '../../base/chance/spread'
import type { Column, Graph } from '../../base/columns/graph'
import { newRun, sourcesOf, type Run } from '../../base/columns/run'
import type { Input, InputList } from './inputs'
import { sideGroups, sidesVariance } from './zeroSides'

/** What each input alone makes of some figures. */
export interface MovedInputs {
  /** The inputs that the figures rest on, with their columns. */
  readonly inputs: readonly Input[]
  readonly columns: readonly Column[]
  /** A figure with every input at its mean. */
  readonly figure: (column: Column) => number
  /** What one standard deviation of an input, by its number, adds to a figure. */
  readonly change: (column: Column, input: number) => number
}

/** Rows worked at a time: their columns stay in the processor's own memory. */
const MOST_ROWS = 250

/**
 * Moves each input that some figures rest on by its standard deviation, one after the other: first-order propagation.
 *
 * @param given - sources that are no inputs, such as levers, by their column
 * @see docs/methods/uncertainty.md
 */
export function oneByOne(
  { graph, list }: { readonly graph: Graph; readonly list: Pick<InputList, 'inputs' | 'columns'> },
  wanted: readonly Column[],
  given: ReadonlyMap<Column, number> = new Map(),
): MovedInputs {
  const sources = sourcesOf(graph, wanted)
  const rests = list.columns.flatMap((column, index) =>
    sources.has(column) ? [{ column, input: list.inputs[index] as Input }] : [],
  )
  const run = newRun(graph, Math.max(1, Math.min(MOST_ROWS, rests.length)))
  for (const [column, figure] of given) run.set(column, figure)
  for (const { column, input } of rests) run.set(column, input.mean)
  run.bring(wanted, 1)
  const figures = new Map(wanted.map((column) => [column, run.figure(column)] as const))
  const up = new Map(wanted.map((column) => [column, new Float64Array(rests.length)] as const))
  moveEach(run, rests, wanted, 1, (column, at, figure) => {
    const changes = up.get(column)
    if (changes) changes[at] = figure - (figures.get(column) ?? NaN)
  })
  // A level at its end, as at 90°, can only have shown less.
  if ([...up.values()].some((changes) => changes.some(Number.isNaN)))
    moveEach(run, rests, wanted, -1, (column, at, figure) => {
      const changes = up.get(column)
      if (changes && Number.isNaN(changes[at])) changes[at] = (figures.get(column) ?? NaN) - figure
    })
  return {
    inputs: rests.map(({ input }) => input),
    columns: rests.map(({ column }) => column),
    figure: (column) => figures.get(column) ?? NaN,
    change: (column, input) => up.get(column)?.[input] ?? NaN,
  }
}

function moveEach(
  run: Run,
  rests: readonly { readonly column: Column; readonly input: Input }[],
  wanted: readonly Column[],
  sense: 1 | -1,
  tell: (column: Column, input: number, figure: number) => void,
): void {
  for (let first = 0; first < rests.length; first += run.capacity) {
    const block = rests.slice(first, first + run.capacity)
    block.forEach(({ column, input }, row) => {
      run.fill(column).fill(input.mean)[row] = input.mean + sense * deviationOf(input)
    })
    run.bring(wanted, block.length)
    for (const column of wanted) {
      const cells = run.cells(column)
      block.forEach((_, row) => tell(column, first + row, cells[row] ?? NaN))
    }
    for (const { column, input } of block) run.set(column, input.mean)
  }
}

/**
 * Variance of a figure by first-order propagation, a level's one zero error counted both ways where its side was not said.
 *
 * @param changeOf - what one standard deviation of an input makes of the figure
 * @returns NaN where an input may not be moved either way
 */
export function varianceOf(inputs: readonly Input[], changeOf: (input: number) => number): number {
  const alone = inputs.reduce((sum, _, index) => sum + changeOf(index) ** 2, 0)
  return alone + sidesVariance(inputs, sideGroups(inputs), changeOf)
}
