import { workedOnce, type Kernel } from './kernel'

/** A quantity of a graph, by its number. */
export type Column = number & { readonly isColumn: true }
/** A point in mm or a direction, chassis frame. */
export type VectorColumns = readonly [Column, Column, Column]
/** A rigid move: the rotation row by row, then the shift in mm. */
export type MoveColumns = readonly [...VectorColumns, ...VectorColumns, ...VectorColumns, ...VectorColumns]

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

/** An empty graph. */
export function newGraph(): Graph {
  const steps: Step[] = []
  const makers: (Step | null)[] = []
  const figures: number[] = []
  const names = new Map<Column, string>()
  const groups = new Map<string, Column[]>()
  const units = new Map<Column, 'mm' | 'deg'>()
  const add = (figure: number, maker: Step | null): Column => {
    makers.push(maker)
    return (figures.push(figure) - 1) as Column
  }
  return {
    steps,
    get columns() {
      return figures.length
    },
    source: (figure) => add(figure, null),
    step: (kernel, from, parameters = []) => {
      const to: Column[] = []
      const step: Step = { kernel, from, to, parameters }
      steps.push(step)
      const read = from.map((column) => figures[column] ?? NaN)
      for (const figure of workedOnce(kernel, read, parameters)) to.push(add(figure, step))
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
