import { newKept, type Kept } from './kept'
import type { Columns, Kernel, Parameters } from './kernel'

/** A quantity of a graph, by its number. */
export type Column = number & { readonly isColumn: true }
/** A point in mm or a direction, chassis frame. */
export type VectorColumns = readonly [Column, Column, Column]
/** A rigid move: the rotation row by row, then the shift in mm. */
export type MoveColumns = readonly [...VectorColumns, ...VectorColumns, ...VectorColumns, ...VectorColumns]

/** Reads the figure of a quantity. */
export type FigureOf = (column: Column) => number

/** One kernel at work in a graph. */
export interface Step {
  readonly kernel: Kernel
  readonly from: readonly Column[]
  readonly to: readonly Column[]
  readonly parameters: readonly number[]
}

/**
 * Quantities and the steps that work them out of one another, put together once for a build and then run as often as wanted.
 *
 * Every quantity is worked out at once from the sources' own figures, so that whoever puts the graph together can look at
 * it: two points too close together, an attitude that cannot be.
 */
export interface Graph {
  /** In the order of their working: each rests on sources and on steps before it. */
  readonly steps: readonly Step[]
  /** How many quantities there are. A function, as is `isClosed`: an object with a getter outlives its use until all of the memory is cleared. */
  readonly columns: () => number
  /** What is worked out of it when it is first asked for. */
  readonly kept: Kept
  readonly isClosed: () => boolean
  /** From now on nothing is added: whoever asks finds what was put together. */
  readonly close: () => void
  /** A graph of its own with all that is in this one and the same numbers, to be added to. */
  readonly extended: () => Graph
  /** Adds a figure from outside. */
  readonly source: (figure: number) => Column
  /** Adds a step and returns the columns it fills. */
  readonly step: (
    kernel: Kernel,
    from: readonly Column[],
    parameters?: readonly number[],
  ) => readonly Column[]
  /** A quantity at the sources' own figures. */
  readonly at: (column: Column) => number
  /** The step that fills a column; null for a source. */
  readonly maker: (column: Column) => Step | null
  /** Says in a builder's words what columns are; the first name given stays. What is a figure by itself says its unit. */
  readonly name: (columns: readonly Column[], name: string, unit?: 'mm' | 'deg') => void
  /** Unit of a column that was named with one; null for all others. */
  readonly unitOf: (column: Column) => 'mm' | 'deg' | null
  /** What a column was named; null for steps on the way. */
  readonly nameOf: (column: Column) => string | null
  /** All columns of a name. */
  readonly named: (name: string) => readonly Column[]
}

/** Read where a step asks for what is not there. */
const NOTHING = Float64Array.of(NaN)

/** What a graph holds. */
interface Held {
  readonly steps: Step[]
  readonly makers: (Step | null)[]
  /** Each in a column of one row, which the steps behind it read; shared by what is extended. */
  readonly cells: Float64Array[]
  readonly names: Map<Column, string>
  readonly groups: Map<string, Column[]>
  readonly units: Map<Column, 'mm' | 'deg'>
}

/** An empty graph. */
export const newGraph = (): Graph =>
  graphOf({
    steps: [],
    makers: [],
    cells: [],
    names: new Map(),
    groups: new Map(),
    units: new Map(),
  })

function graphOf(held: Held): Graph {
  const { steps, makers, cells, names, groups, units } = held
  let isClosed = false
  const add = (cell: Float64Array, maker: Step | null): Column => {
    if (isClosed) throw new Error('nothing is added to a graph that is closed')
    makers.push(maker)
    return (cells.push(cell) - 1) as Column
  }
  const cellOf = (column: Column) => cells[column] ?? NOTHING
  return {
    steps,
    kept: newKept(),
    isClosed: () => isClosed,
    close: () => {
      isClosed = true
    },
    extended: () =>
      graphOf({
        steps: [...steps],
        makers: [...makers],
        cells: [...cells],
        names: new Map(names),
        groups: new Map(groups),
        units: new Map(units),
      }),
    columns: () => cells.length,
    source: (figure) => add(Float64Array.of(figure), null),
    step: (kernel, from, parameters = []) => {
      const read = from.map(cellOf) as unknown as Columns
      const written = Array.from({ length: kernel.outputs }, () => new Float64Array(1))
      kernel.run(1, read, written as unknown as Columns, parameters as unknown as Parameters)
      const to: Column[] = []
      const step: Step = { kernel, from, to, parameters }
      for (const cell of written) to.push(add(cell, step))
      steps.push(step)
      return to
    },
    at: (column) => cellOf(column)[0] ?? NaN,
    maker: (column) => makers[column] ?? null,
    name: (columns, name, unit) =>
      columns.forEach((column) => {
        if (names.has(column)) return
        if (unit) units.set(column, unit)
        names.set(column, name)
        groups.set(name, [...(groups.get(name) ?? []), column])
      }),
    named: (name) => groups.get(name) ?? [],
    unitOf: (column) => units.get(column) ?? null,
    nameOf: (column) => names.get(column) ?? null,
  }
}

/** Adds a step that fills one column. */
export const scalarStep = (
  { step }: Graph,
  kernel: Kernel,
  from: readonly Column[],
  parameters?: readonly number[],
): Column => step(kernel, from, parameters)[0] as Column

/** Adds a step that fills a point or direction. */
export const vectorStep = (
  { step }: Graph,
  kernel: Kernel,
  from: readonly Column[],
  parameters?: readonly number[],
): VectorColumns => step(kernel, from, parameters) as unknown as VectorColumns

/** Adds a step that fills a rigid move. */
export const moveStep = (
  { step }: Graph,
  kernel: Kernel,
  from: readonly Column[],
  parameters?: readonly number[],
): MoveColumns => step(kernel, from, parameters) as unknown as MoveColumns
