import type { Column, Graph } from '../columns/graph'
import type { Cells, Row } from '../columns/kernel'
import { newRun, type Run } from '../columns/run'
import type { LeverStep } from '../placement/leverGrid'
import { byEffort, type RankedSetting } from './byEffort'

/** A lever that may be moved: a source of the graph, and the steps it can stand at by rising effort. */
export interface SearchLever {
  readonly column: Column
  readonly steps: readonly LeverStep[]
}

/** A limit on a figure: it may stand from `least` to `most`, where they are given. */
export interface SearchLimit {
  readonly id: string
  readonly column: Column
  readonly least: number | null
  readonly most: number | null
  /** What a miss of one in its own unit is measured by. */
  readonly scale: number
}

/** Levers to set and limits to keep. */
export interface SearchProblem {
  readonly graph: Graph
  readonly levers: readonly SearchLever[]
  readonly limits: readonly SearchLimit[]
  /** Sources that are not searched over, with the figures they stand at. */
  readonly fixed: ReadonlyMap<Column, number>
}

/** A setting and how it keeps its limits. */
export interface SearchedSetting {
  /** One a lever, in mm or degrees. */
  readonly amounts: readonly number[]
  readonly effort: number
  /** Least room to any limit, in its scale; negative: how far past the worst one. NaN where the levers cannot go there. */
  readonly room: number
}

/** What was found so far. */
export interface SearchReport {
  /** Settings looked at. */
  readonly looked: number
  /** Of those just looked at, the ones that keep every limit, by rising effort. */
  readonly found: readonly SearchedSetting[]
}

/** Settings worked at a time. */
const BLOCK = 250

/**
 * Looks at the settings of a grid by rising effort and tells those that keep every limit, until nobody asks for more.
 *
 * @returns when all have been looked at: the one that misses its limits by the least, of equals the cheapest; null where no
 *   setting can be reached
 * @see docs/methods/placement.md
 */
export function* searchByEffort(problem: SearchProblem): Generator<SearchReport, SearchedSetting | null> {
  const { graph, levers, limits, fixed } = problem
  const run = newRun(graph, BLOCK)
  for (const [column, figure] of fixed) run.set(column, figure)
  const wanted = limits.map((limit) => limit.column)
  const ranked = byEffort(levers.map(({ steps }) => steps))
  let nearest: SearchedSetting | null = null
  let looked = 0
  for (;;) {
    const block = take(ranked, BLOCK)
    if (block.length === 0) return nearest
    setLevers(run, levers, block)
    run.bring(wanted, block.length)
    const rooms = roomsOf(run, limits, block.length)
    const settings = block.map(({ steps, effort }, row): SearchedSetting => ({
      amounts: steps.map((step, lever) => levers[lever]?.steps[step]?.amount ?? 0),
      effort,
      room: rooms[row] ?? NaN,
    }))
    looked += block.length
    for (const setting of settings) if (isNearer(setting, nearest)) nearest = setting
    yield { looked, found: settings.filter(({ room }) => room >= 0) }
  }
}

const isNearer = ({ room }: SearchedSetting, best: SearchedSetting | null): boolean =>
  !Number.isNaN(room) && (best === null || room > best.room)

function take(ranked: Generator<RankedSetting, void>, count: number): RankedSetting[] {
  const taken: RankedSetting[] = []
  while (taken.length < count) {
    const next = ranked.next()
    if (next.done) break
    taken.push(next.value)
  }
  return taken
}

function setLevers(run: Run, levers: readonly SearchLever[], block: readonly RankedSetting[]): void {
  levers.forEach(({ column, steps }, lever) => {
    const cells = run.fill(column)
    block.forEach((setting, row) => (cells[row] = steps[setting.steps[lever] ?? 0]?.amount ?? NaN))
  })
}

/** Least room of each row over all limits, each in its own scale; a figure that has no answer has no room. */
function roomsOf(run: Run, limits: readonly SearchLimit[], rows: number): Float64Array {
  const least = new Float64Array(rows).fill(Infinity)
  const rooms = least as unknown as Cells
  for (const { column, least: low, most: high, scale } of limits) {
    const figures = run.cells(column) as unknown as Cells
    for (let row: Row = 0; row < rows; row++) {
      const below = low === null ? Infinity : (figures[row] - low) / scale
      const above = high === null ? Infinity : (high - figures[row]) / scale
      // A setting that the levers cannot reach has no room at all, however good its other figures.
      const room = Number.isNaN(figures[row]) ? NaN : Math.min(below, above)
      if (Number.isNaN(room) || room < rooms[row]) rooms[row] = room
    }
  }
  return least
}
