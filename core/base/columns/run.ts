import type { Column, Graph, Step } from './graph'
import type { Columns, Parameters } from './kernel'
import type { Kind } from './kept'
import { cellsFor } from './cellsFor'

/** A graph at work on many rows at once: samples, candidates, positions; one row is the screen. */
export interface Run {
  /** Most rows at a time. */
  readonly capacity: number
  /** Sets a quantity in all rows alike. */
  readonly set: (column: Column, figure: number) => void
  /** The cells of a quantity, to be filled by the caller; all that hangs on it is then worked anew. */
  readonly fill: (column: Column) => Float64Array
  /**
   * The cells of many.
   *
   * @param columns - the same list each time, so that what hangs on them is looked up once
   */
  readonly fillAll: (columns: readonly Column[]) => readonly Float64Array[]
  /**
   * Brings quantities up to date, working only what hangs on something that has changed.
   *
   * @param wanted - the same list each time, so that the way to it is looked up once
   * @param rows - rows to be worked
   * @param given - quantities that are taken as they were filled, whatever they rest on
   */
  readonly bring: (wanted: readonly Column[], rows: number, given?: ReadonlySet<Column>) => void
  /** Cells of a quantity as last brought up to date; one that is alike in all rows has its figure in each. */
  readonly cells: (column: Column) => Float64Array
  /** The figure of a quantity in the first row. */
  readonly figure: (column: Column) => number
}

/**
 * A run of a graph that is complete.
 *
 * @param capacity - most rows at a time
 */
export function newRun(graph: Graph, capacity: number): Run {
  const map = mapOf(graph)
  const newCells = cellsFor(capacity)
  const store: (Float64Array | undefined)[] = new Array<Float64Array | undefined>(graph.columns())
  /** 1: alike in all rows, with the figure in the first cell alone; 2: alike and written to every cell; 0: filled by rows. */
  const alike = new Uint8Array(graph.columns()).fill(ALIKE)
  // Nothing is: the graph stands worked at its sources' own figures.
  const isStale = new Uint8Array(graph.steps.length)
  const works: (Work | undefined)[] = new Array<Work | undefined>(graph.steps.length)

  function cellsOf(column: Column): Float64Array {
    const there = store[column]
    if (there) return there
    const made = newCells()
    made[0] = graph.at(column)
    store[column] = made
    return made
  }

  function spread(column: Column): Float64Array {
    const cells = cellsOf(column)
    if (alike[column] === ALIKE) {
      cells.fill(cells[0] ?? NaN)
      alike[column] = WRITTEN
    }
    return cells
  }

  function work(index: number, rows: number): void {
    const { step, read, written, parameters } = (works[index] ??= workOf(graph.steps[index] as Step))
    let isByRows = false
    for (const column of step.from) if (alike[column] === BY_ROWS) isByRows = true
    if (isByRows) for (const column of step.from) spread(column)
    step.kernel.run(isByRows ? rows : 1, read, written, parameters)
    for (const column of step.to) alike[column] = isByRows ? BY_ROWS : ALIKE
    isStale[index] = 0
  }

  const workOf = (step: Step): Work => ({
    step,
    read: step.from.map(cellsOf) as unknown as Columns,
    written: step.to.map(cellsOf) as unknown as Columns,
    parameters: step.parameters as unknown as Parameters,
  })

  const touch = (hanging: Int32Array) => {
    for (const step of hanging) isStale[step] = 1
  }

  function filled(column: Column): Float64Array {
    if (capacity > 1) alike[column] = BY_ROWS
    return cellsOf(column)
  }

  return {
    capacity,
    set: (column, figure) => {
      const cells = cellsOf(column)
      if (alike[column] !== BY_ROWS && cells[0] === figure) return
      cells[0] = figure
      alike[column] = ALIKE
      touch(map.hangingOn(column))
    },
    fill: (column) => {
      touch(map.hangingOn(column))
      return filled(column)
    },
    fillAll: (columns) => {
      touch(map.hangingOnAny(columns))
      return columns.map(filled)
    },
    bring: (wanted, rows, given = NOTHING) => {
      for (const step of map.wayTo(wanted, given)) if (isStale[step] === 1) work(step, rows)
    },
    cells: spread,
    figure: (column) => cellsOf(column)[0] ?? NaN,
  }
}

/** A step with the cells it works on; they stay the same as long as the run. */
interface Work {
  readonly step: Step
  readonly read: Columns
  readonly written: Columns
  readonly parameters: Parameters
}

const BY_ROWS = 0
const ALIKE = 1
const WRITTEN = 2
const NOTHING: ReadonlySet<Column> = new Set()

/** What hangs on what in a graph, each answer worked out once. */
interface GraphMap {
  /** Steps that rest on a column, in their order. */
  readonly hangingOn: (column: Column) => Int32Array
  /** Steps that rest on any of some columns. */
  readonly hangingOnAny: (columns: readonly Column[]) => Int32Array
  /** Steps that lead to columns, in their order, none of them behind a given one. */
  readonly wayTo: (wanted: readonly Column[], given: ReadonlySet<Column>) => Int32Array
}

const MAP: Kind<GraphMap> = { name: 'what hangs on what' }

/** Of a graph that is closed once for all its runs. */
const mapOf = (graph: Graph): GraphMap =>
  graph.isClosed() ? graph.kept.the(MAP, () => newMap(graph)) : newMap(graph)

function newMap(graph: Graph): GraphMap {
  const hanging = new Map<Column, Int32Array>()
  const together = new WeakMap<readonly Column[], Int32Array>()
  const ways = new WeakMap<readonly Column[], Map<ReadonlySet<Column>, Int32Array>>()
  return {
    hangingOn: (column) => {
      const known = hanging.get(column) ?? hangingOn(graph, [column])
      hanging.set(column, known)
      return known
    },
    hangingOnAny: (columns) => {
      const known = together.get(columns) ?? hangingOn(graph, columns)
      together.set(columns, known)
      return known
    },
    wayTo: (wanted, given) => {
      const byGiven = ways.get(wanted) ?? new Map<ReadonlySet<Column>, Int32Array>()
      ways.set(wanted, byGiven)
      const known = byGiven.get(given) ?? wayTo(graph, wanted, given)
      byGiven.set(given, known)
      return known
    },
  }
}

/** Numbers of the steps that rest on any of some columns, in their order. */
function hangingOn({ steps, columns }: Graph, moved: readonly Column[]): Int32Array {
  const isMoved = new Uint8Array(columns())
  for (const column of moved) isMoved[column] = 1
  const found: number[] = []
  for (let index = 0; index < steps.length; index++) {
    const { from, to } = steps[index] as Step
    let isHanging = false
    for (const read of from) if (isMoved[read] === 1) isHanging = true
    if (!isHanging) continue
    found.push(index)
    for (const written of to) isMoved[written] = 1
  }
  return Int32Array.from(found)
}

function wayTo(graph: Graph, wanted: readonly Column[], given: ReadonlySet<Column>): Int32Array {
  const isNeeded = new Uint8Array(graph.columns())
  for (const column of wanted) if (!given.has(column)) isNeeded[column] = 1
  const found: number[] = []
  for (let index = graph.steps.length - 1; index >= 0; index--) {
    const step = graph.steps[index] as Step
    if (!step.to.some((column) => isNeeded[column] === 1)) continue
    found.push(index)
    for (const column of step.from) if (!given.has(column)) isNeeded[column] = 1
  }
  return Int32Array.from(found.reverse())
}

/** Whether a column rests on a step that takes long. */
export const isSlow = (graph: Graph, column: Column): boolean =>
  wayTo(graph, [column], NOTHING).some((index) => graph.steps[index]?.kernel.isSlow === true)

/** The sources that columns rest on. */
export function sourcesOf(graph: Graph, columns: readonly Column[]): ReadonlySet<Column> {
  const steps = [...wayTo(graph, columns, NOTHING)].map((index) => graph.steps[index] as Step)
  return new Set(
    [...columns, ...steps.flatMap((step) => step.from)].filter((column) => graph.maker(column) === null),
  )
}

/**
 * Columns at the border of what hangs on some sources: they do not hang on them, but a step that does reads them. With
 * these given, a run repeats only what hangs on those sources.
 *
 * @param held - columns that hang on the sources and are to stay as they are all the same
 */
export function borderOf(
  graph: Graph,
  sources: readonly Column[],
  wanted: readonly Column[],
  held: ReadonlySet<Column> = NOTHING,
): Column[] {
  const moving = new Set<Column>(sources)
  const border = new Set<Column>()
  const way = new Set(wayTo(graph, wanted, held))
  graph.steps.forEach((step, index) => {
    if (!step.from.some((column) => moving.has(column))) return
    step.to.forEach((column) => held.has(column) || moving.add(column))
    if (way.has(index)) step.from.forEach((column) => border.add(column))
  })
  return [...border, ...wanted].filter((column) => !moving.has(column))
}
