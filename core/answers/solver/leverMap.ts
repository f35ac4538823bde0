import { newRun } from '../../base/columns/run'
import { compile } from '../../model/compile'
import { evaluate } from '../../model/evaluateBuild'
import { givenFigures } from '../../model/screen'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Lever } from '../../file/build/lever'
import { buildProblem, type Strictness } from './buildProblem'
import type { SearchLimit } from './problem'

/** How a cell of the map stands: something fails, something warns, everything holds, or nothing can be told there. */
export const MAP_STATES = ['out', 'tight', 'holds', 'unknown'] as const
export type MapState = (typeof MAP_STATES)[number]

/** Every setting of two levers over their ranges, all others where they stand. */
export interface LeverMap {
  readonly levers: readonly [Id, Id]
  /** Amounts along either lever, from the one end of its range to the other. */
  readonly x: readonly number[]
  readonly y: readonly number[]
  /** Row by row, `y[0]` first: index into `MAP_STATES`. */
  readonly states: Uint8Array
  /** Room to the worst limit in shares of it: to a warning where everything holds, else to what fails; negative past it. */
  readonly room: Float64Array
  /** The check that has it, as an index into `checks`; −1 for none. */
  readonly worst: Int16Array
  readonly checks: readonly string[]
}

/** Cells along each lever. */
export const MAP_SIZE = 60

/**
 * The map of two levers: every check in every state at each of its cells, worked as columns of one run.
 *
 * Checks that cannot be judged for want of a reading are left aside, and so is the ±: where a found setting stands on the map it was proved with
 * it.
 *
 * @param settings - where all levers stand
 * @returns null for levers the build does not have
 */
export function leverMap(
  build: Build,
  settings: LeverSettings,
  xId: Id,
  yId: Id,
  size = MAP_SIZE,
): LeverMap | null {
  const levers = [xId, yId].map((id) => build.levers.find((lever) => lever.id === id))
  const [first, second] = levers
  if (!first || !second || first === second) return null
  const compiled = compile(build)
  const present = evaluate(compiled, settings)
  const unread = new Set(present.checks.flatMap(({ id, verdict }) => (verdict === 'unknown' ? [id] : [])))
  const limitsAt = (strictness: Strictness): readonly SearchLimit[] =>
    buildProblem(compiled, settings, [], { unread, strictness }).limits
  const [strict, allowed] = [limitsAt('holds'), limitsAt('allowed')]
  const [x, y] = [amountsOf(first, size), amountsOf(second, size)]
  const count = size * size
  const run = newRun(compiled.graph, count)
  for (const [column, figure] of givenFigures(compiled, settings, present.set)) run.set(column, figure)
  const [xColumn, yColumn] = [compiled.levers.get(xId), compiled.levers.get(yId)]
  if (xColumn === undefined || yColumn === undefined) return null
  const [xCells, yCells] = [run.fill(xColumn), run.fill(yColumn)]
  for (let row = 0; row < count; row++) {
    xCells[row] = x[row % size] as number
    yCells[row] = y[Math.floor(row / size)] as number
  }
  run.bring([...new Set([...strict, ...allowed].map(({ column }) => column))], count)
  const checks = [...new Set([...strict, ...allowed].map(checkOf))]
  const ofStrict = worstRooms(strict, count, run.cells, checks)
  const ofAllowed = worstRooms(allowed, count, run.cells, checks)
  const states = new Uint8Array(count)
  const room = new Float64Array(count)
  const worst = new Int16Array(count)
  for (let row = 0; row < count; row++) {
    const [holds, keeps] = [ofStrict.room[row] as number, ofAllowed.room[row] as number]
    const isUnknown = Number.isNaN(holds) || Number.isNaN(keeps)
    const state: MapState = isUnknown ? 'unknown' : keeps < 0 ? 'out' : holds < 0 ? 'tight' : 'holds'
    const by = state === 'out' ? ofAllowed : ofStrict
    states[row] = MAP_STATES.indexOf(state)
    room[row] = by.room[row] as number
    worst[row] = by.worst[row] as number
  }
  return { levers: [xId, yId], x, y, states, room, worst, checks }
}

const amountsOf = ({ range: [least, most] }: Lever, size: number): number[] =>
  Array.from({ length: size }, (_, i) => least + ((most - least) * i) / (size - 1))

/** Without the state: "rear/angle/1/drive" is a limit of the check "rear/angle/1". */
const checkOf = ({ id }: SearchLimit): string => id.slice(0, id.lastIndexOf('/'))

function worstRooms(
  limits: readonly SearchLimit[],
  count: number,
  cells: (column: SearchLimit['column']) => Float64Array,
  checks: readonly string[],
): { readonly room: Float64Array; readonly worst: Int16Array } {
  const room = new Float64Array(count).fill(Infinity)
  const worst = new Int16Array(count).fill(-1)
  for (const limit of limits) {
    const { column, least, most, scale } = limit
    const figures = cells(column)
    const index = checks.indexOf(checkOf(limit))
    for (let row = 0; row < count; row++) {
      const figure = figures[row] as number
      const left = Math.min(
        least === null ? Infinity : (figure - least) / scale,
        most === null ? Infinity : (most - figure) / scale,
      )
      // What cannot be worked out there cannot be said to hold.
      if (left < (room[row] as number) || Number.isNaN(left)) {
        room[row] = left
        worst[row] = index
      }
    }
  }
  return { room, worst }
}

/** The nearest amount that a lever can be set to by its own steps from where it stands. */
export function nearestStep(lever: Lever, stands: number, wanted: number): number {
  const [least, most] = lever.range
  const steps = Math.round((wanted - stands) / lever.step)
  return Math.min(most, Math.max(least, stands + steps * lever.step))
}

/** An edge between two cells, in cells: from corner to corner. */
export type MapEdge = readonly [number, number, number, number]

/** The outline of where everything holds, as edges of cells. */
export function holdingOutline({ x, y, states }: LeverMap): MapEdge[] {
  const [width, height] = [x.length, y.length]
  const holds = (i: number, k: number) =>
    i >= 0 && k >= 0 && i < width && k < height && MAP_STATES[states[k * width + i] as number] === 'holds'
  const edges: MapEdge[] = []
  for (let k = 0; k <= height; k++)
    for (let i = 0; i <= width; i++) {
      if (i < width && holds(i, k) !== holds(i, k - 1)) edges.push([i, k, i + 1, k])
      if (k < height && holds(i, k) !== holds(i - 1, k)) edges.push([i, k, i, k + 1])
    }
  return edges
}
