import type { Column, Graph } from './graph'
import type { Columns } from './kernel'
import { borderOf, newRun, type Run } from './run'

/** Part of a graph that a kernel works again inside itself, with a source set as the kernel wants it. */
export interface InnerPart {
  /** What the part rests on besides that source: a kernel that uses it reads these, in this order, before all else. */
  readonly given: readonly Column[]
  /** Takes what is given, row by row, from the columns a kernel reads. */
  readonly take: (rows: number, from: Columns) => void
  /** Cells of the source that is moved, to be filled before the part is worked. */
  readonly moved: () => Float64Array
  /** Works the part in the rows that were taken. */
  readonly work: () => void
  /** Cells of a quantity of the part as last worked. */
  readonly cells: (column: Column) => Float64Array
}

/**
 * Part of a graph between a source and what is wanted of it. Room for its rows is made when they are first that many and kept:
 * worked again it takes none.
 *
 * @param source - what the kernel sets
 * @param wanted - quantities that it reads
 * @param held - quantities that hang on the source and are to stay as they are given
 */
export function innerPart(
  graph: Graph,
  source: Column,
  wanted: readonly Column[],
  held: readonly Column[] = [],
): InnerPart {
  const given = [...new Set([...borderOf(graph, [source], wanted, new Set(held)), ...held])]
  const isGiven: ReadonlySet<Column> = new Set(given)
  // One row is the screen, which asks at every frame; many are samples.
  const single = newRun(graph, 1)
  let many: Run | null = null
  let run = single
  let count = 1
  return {
    given,
    take: (rows, from) => {
      const columns = from as unknown as readonly Float64Array[]
      if (rows > 1 && (many?.capacity ?? 0) < rows) many = newRun(graph, rows)
      run = rows > 1 && many ? many : single
      count = rows
      for (let k = 0; k < given.length; k++)
        copied(columns[k] as Float64Array, run.fill(given[k] as Column), rows)
    },
    moved: () => run.fill(source),
    work: () => run.bring(wanted, count, isGiven),
    cells: (column) => run.cells(column),
  }
}

/** Copies so many cells; a part of an array would be a new one each time. */
export function copied(from: Float64Array, to: Float64Array, rows: number): void {
  for (let row = 0; row < rows; row++) to[row] = from[row] as number
}
