import { newKept, type Kept } from './kept'
import { workedOnce, type Kernel } from './kernel'

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
  readonly columns: number
  /** What is worked out of it when it is first asked for. */
  readonly kept: Kept
  readonly isClosed: boolean
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

/** What a graph holds. */
interface Held {
  readonly steps: Step[]
  readonly makers: (Step | null)[]
  readonly figures: number[]
  readonly names: Map<Column, string>
  readonly groups: Map<string, Column[]>
  readonly units: Map<Column, 'mm' | 'deg'>
}

/** An empty graph. */
export const newGraph = (): Graph =>
  graphOf({
    steps: [],
    makers: [],
    figures: [],
    names: new Map(),
    groups: new Map(),
    units: new Map(),
  })

function graphOf(held: Held): Graph {
  const { steps, makers, figures, names, groups, units } = held
  let isClosed = false
  const add = (figure: number, maker: Step | null): Column => {
    if (isClosed) throw new Error('nothing is added to a graph that is closed')
    makers.push(maker)
    return (figures.push(figure) - 1) as Column
  }
  return {
    steps,
    kept: newKept(),
    get isClosed() {
      return isClosed
    },
    close: () => {
      isClosed = true
    },
    extended: () =>
      graphOf({
        steps: [...steps],
        makers: [...makers],
        figures: [...figures],
        names: new Map(names),
        groups: new Map(groups),
        units: new Map(units),
      }),
    get columns() {
      return figures.length
    },
    source: (figure) => add(figure, null),
    step: (kernel, from, parameters = []) => {
      const to: Column[] = []
      const step: Step = { kernel, from, to, parameters }
      const read = from.map((column) => figures[column] ?? NaN)
      for (const figure of workedOnce(kernel, read, parameters)) to.push(add(figure, step))
      steps.push(step)
      return to
    },
    at: (column) => figures[column] ?? NaN,
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
