import { seededRandom } from '../../base/chance/random'
import type { Column } from '../../base/columns/graph'
import type { Cells, Row } from '../../base/columns/kernel'
import { isSlow, newRun, sourcesOf, type Run } from '../../base/columns/run'
import type { LeverStep } from '../../vehicle/moves/leverGrid'
import type { SearchedSetting, SearchLever, SearchLimit, SearchProblem } from './problem'

/** Settings worked at a time. */
export const SETTINGS_AT_ONCE = 250
/** Some levers set, the others still to be: the way to it is told by what came before. */
export interface Node {
  readonly before: Node | null
  /** Levers set so far. */
  readonly depth: number
  /** Number of the last one's step. */
  readonly step: number
  readonly effort: number
  /** Least room of the limits that were looked at so far. */
  room: number
  /** How many of its depth's screens it has passed. */
  passed: number
}

/** No lever set, by the limits that hang on none. */
export function rootOf({ look, screens }: Stages): Node {
  const root: Node = { before: null, depth: 0, step: 0, effort: 0, room: Infinity, passed: 0 }
  while (root.passed < screens(0)) look(0, root.passed, [root])
  return root
}

export const childOf = (steps: readonly (readonly LeverStep[])[], before: Node, step: number): Node => ({
  before,
  depth: before.depth + 1,
  step,
  effort: before.effort + (steps[before.depth]?.[step]?.effort ?? 0),
  room: before.room,
  passed: 0,
})

export const NONE_KEPT: ReadonlySet<string> = new Set()

/** A problem with its levers in the order in which they are set. */
export interface Stages {
  readonly steps: readonly (readonly LeverStep[])[]
  /** Settings that begin like one of so many levers. */
  readonly counts: readonly number[]
  /** How many groups of limits hang on the last lever of a depth and none after it. */
  readonly screens: (depth: number) => number
  /** Works out the room of beginnings of one depth by one of its screens. */
  readonly look: (depth: number, screen: number, nodes: readonly Node[]) => void
  readonly settingOf: (node: Node) => SearchedSetting
  /** Whether a beginning moves all of some levers, by their places in the problem, from where they stand. */
  readonly movesAll: (node: Node, levers: readonly number[]) => boolean
}

/** @returns null where a lever has no step to stand at */
export function stagesOf(
  { graph, levers, limits, fixed }: SearchProblem,
  kept: ReadonlySet<string> = NONE_KEPT,
): Stages | null {
  if (levers.some(({ steps }) => steps.length === 0)) return null
  const hangsOn = limits.map(({ column }) => sourcesOf(graph, [column]))
  const reach = levers.map(({ column }) => hangsOn.filter((sources) => sources.has(column)).length)
  // Levers that much hangs on come first: limits are then whole early, and what few hang on is tried for few beginnings.
  const order = levers
    .map((_, index) => index)
    .sort(
      (a, b) =>
        (reach[b] ?? 0) - (reach[a] ?? 0) || (levers[a]?.steps.length ?? 0) - (levers[b]?.steps.length ?? 0),
    )
  const ordered = order.flatMap((index) => levers[index] ?? [])
  const depthOf = hangsOn.map((sources) => ordered.findLastIndex(({ column }) => sources.has(column)) + 1)
  const steps = ordered.map((lever) => lever.steps)
  const placeOf = levers.map((_, index) => order.indexOf(index))
  const stands = ordered.map(({ column }) => fixed.get(column))
  const run = newRun(graph, SETTINGS_AT_ONCE)
  for (const [column, figure] of fixed) run.set(column, figure)
  const kills = killsOf(run, ordered, limits)
  const screensAt = [null, ...ordered].map((_, depth) =>
    screensOf(
      limits.flatMap((limit, i) =>
        depthOf[i] === depth ? [{ limit, kills: kills[i] ?? 0, isSlow: isSlow(graph, limit.column) }] : [],
      ),
    ),
  )

  const look = (depth: number, screen: number, nodes: readonly Node[]) => {
    const { limits: list = [], wanted = [] } = screensAt[depth]?.[screen] ?? {}
    const [toKeep, toJudge] = parted(list, ({ id }) => kept.has(id))
    for (let start = 0; start < nodes.length; start += SETTINGS_AT_ONCE) {
      const block = nodes.slice(start, start + SETTINGS_AT_ONCE)
      setLevers(run, ordered, depth, block)
      run.bring(wanted, block.length)
      const rooms = roomsOf(run, toJudge, block.length)
      const keeps = toKeep.length > 0 ? roomsOf(run, toKeep, block.length) : null
      block.forEach((node, row) => {
        const isKept = keeps === null || (keeps[row] ?? NaN) >= 0
        const room = isKept ? (rooms[row] ?? NaN) : NaN
        node.passed++
        // A setting that the levers cannot reach has no room at all, however good its other figures.
        node.room = Number.isNaN(room) || Number.isNaN(node.room) ? NaN : Math.min(node.room, room)
      })
    }
  }
  return {
    steps,
    counts: [...steps.keys(), steps.length].map((depth) =>
      steps.slice(depth).reduce((product, { length }) => product * length, 1),
    ),
    screens: (depth) => screensAt[depth]?.length ?? 0,
    look,
    settingOf: (node) => {
      const taken = stepsOf(node)
      return {
        amounts: levers.map((lever, index) => lever.steps[taken[placeOf[index] ?? 0] ?? 0]?.amount ?? 0),
        effort: node.effort,
        room: node.room,
      }
    },
    movesAll: (node, list) => {
      if (list.length > node.depth) return false
      const taken = stepsOf(node)
      return list.every((index) => {
        const place = placeOf[index] ?? 0
        return place < node.depth && steps[place]?.[taken[place] ?? 0]?.amount !== stands[place]
      })
    },
  }
}

/** A list in two: what is so, and the rest. */
function parted<T>(list: readonly T[], isSo: (item: T) => boolean): [T[], T[]] {
  const [so, rest]: [T[], T[]] = [[], []]
  for (const item of list) (isSo(item) ? so : rest).push(item)
  return [so, rest]
}

/** Some limits that are looked at together. */
interface Screen {
  readonly limits: readonly SearchLimit[]
  readonly wanted: readonly Column[]
}

/** Where the screens of a depth end in its list of limits; the last holds all others. */
const SCREEN_ENDS = [3, 9]

/** A limit with how many of some settings it rules out, and whether its figure takes long. */
interface WeighedLimit {
  readonly limit: SearchLimit
  readonly kills: number
  readonly isSlow: boolean
}

/** The limits that rule out the most come first, what takes long last: what they leave is all that the others need look at. */
function screensOf(list: readonly WeighedLimit[]): Screen[] {
  const byKills = [...list].sort((a, b) => b.kills - a.kills)
  const [slow, quick] = parted(byKills, (one) => one.isSlow)
  return [quick, slow]
    .flatMap((sorted) => {
      const ends = [0, ...SCREEN_ENDS, sorted.length]
      return ends.flatMap((end, i) => (i === 0 ? [] : [sorted.slice(ends[i - 1], end)]))
    })
    .map((some) => some.map(({ limit }) => limit))
    .filter((limits) => limits.length > 0)
    .map((limits) => ({ limits, wanted: limits.map(({ column }) => column) }))
}

/** How many of some settings all over the grid each limit rules out. */
function killsOf(run: Run, levers: readonly SearchLever[], limits: readonly SearchLimit[]): number[] {
  const random = seededRandom(1)
  for (const { column, steps } of levers) {
    const cells = run.fill(column)
    for (let row = 0; row < SETTINGS_AT_ONCE; row++)
      cells[row] = steps[Math.floor(random.uniform() * steps.length)]?.amount ?? NaN
  }
  const wanted = limits.map(({ column }) => column)
  run.bring(wanted, SETTINGS_AT_ONCE)
  return limits.map((limit) => roomsOf(run, [limit], SETTINGS_AT_ONCE).filter((room) => !(room >= 0)).length)
}

/** The step of each lever set, first to last. */
function stepsOf(node: Node): number[] {
  const taken = new Array<number>(node.depth)
  for (let at: Node | null = node; at && at.depth > 0; at = at.before) taken[at.depth - 1] = at.step
  return taken
}

/** Puts the levers that are set into the run; what the others stand at does not matter to what is asked. */
function setLevers(run: Run, levers: readonly SearchLever[], depth: number, block: readonly Node[]): void {
  const cells = levers.slice(0, depth).map(({ column }) => run.fill(column))
  block.forEach((node, row) => {
    for (let at: Node | null = node; at && at.depth > 0; at = at.before) {
      const column = cells[at.depth - 1]
      if (column) column[row] = levers[at.depth - 1]?.steps[at.step]?.amount ?? NaN
    }
  })
}

/** Least room of each row over some limits, each in its own scale; a figure that has no answer has no room. */
function roomsOf(run: Run, limits: readonly SearchLimit[], rows: number): Float64Array {
  const least = new Float64Array(rows).fill(Infinity)
  const rooms = least as unknown as Cells
  for (const { column, least: low, most: high, scale } of limits) {
    const figures = run.cells(column) as unknown as Cells
    for (let row: Row = 0; row < rows; row++) {
      const below = low === null ? Infinity : (figures[row] - low) / scale
      const above = high === null ? Infinity : (high - figures[row]) / scale
      const room = Number.isNaN(figures[row]) ? NaN : Math.min(below, above)
      if (Number.isNaN(room) || room < rooms[row]) rooms[row] = room
    }
  }
  return least
}
