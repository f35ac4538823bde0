import type { Column, Graph } from '../../base/columns/graph'
import type { Id } from '../../file/parts/id'

/** One measured figure a model rests on, and how sure it is. */
export interface Input {
  /** The reading it comes from; the tool, setup or axis for what is no reading. */
  readonly readingId: Id
  /** `tool`: an error all readings of a tool share; `assumed`: taken for granted; `misfit`: of datum points; else read. */
  readonly source?: 'tool' | 'assumed' | 'misfit'
  /** Which figure of the reading. */
  readonly field: string
  /** What was read, in words: "pinion, level". */
  readonly label: string
  readonly unit: 'mm' | 'deg'
  /** Signed mean of the repeats, corrected for the tool's zero error. */
  readonly mean: number
  /** Half-width of the tool's uniform error. */
  readonly halfWidth: number
  /** The level whose zero its half-width is, where nobody said which way the display looked: its sign is not known. */
  readonly zeroOf?: Id
  /** Standard deviation of one repeat; its mean has this over √count. */
  readonly scatter: number
  readonly count: number
}

/** The same figure of the same reading is the same input. */
export const inputKey = ({ readingId, field }: Pick<Input, 'readingId' | 'field'>): string =>
  `${readingId}/${field}`

/** Collects the inputs of a graph; the same figure of the same reading is one input however often it is used. */
export interface InputList {
  readonly inputs: readonly Input[]
  /** Where each input stands in the graph, in the same order. */
  readonly columns: readonly Column[]
  readonly add: (input: Input) => Column
}

/** An empty list of inputs to a graph. */
export function inputList(graph: Graph): InputList {
  const inputs: Input[] = []
  const columns: Column[] = []
  const places = new Map<string, Column>()
  return {
    inputs,
    columns,
    add: (input) => {
      const key = inputKey(input)
      const there = places.get(key)
      if (there !== undefined) return there
      const column = graph.source(input.mean)
      inputs.push(input)
      columns.push(column)
      places.set(key, column)
      return column
    },
  }
}
