import TinyQueue from 'tinyqueue'
import type { Column, Graph } from '../columns/graph'
import type { Cells, Row } from '../columns/kernel'
import { newRun, sourcesOf, type Run } from '../columns/run'
import { seededRandom } from '../chance/random'
import type { LeverStep } from '../placement/leverGrid'

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
  /** Settings looked at, or ruled out by what some of their levers do alone. */
  readonly looked: number
  /** Settings that keep every limit: all of one effort, the roomiest first; dearer ones in later reports. */
  readonly found: readonly SearchedSetting[]
}

/** Settings worked at a time. */
const BLOCK = 250
/** Efforts closer than this are the same: they are sums. */
const SAME_EFFORT = 1e-9

/** Some levers set, the others still to be: the way to it is told by what came before. */
interface Node {
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

/**
 * Tells the settings of a grid that keep every limit by rising effort, until nobody asks for more.
 *
 * Levers are set one after the other, cheapest step first, and the cheapest beginning goes on first; limits that hang only on
 * the levers set so far are looked at as soon as they can be, so that one beginning rules out all settings that begin like it.
 * No setting is told while a cheaper beginning is open: so none is left unlooked-at that could be cheaper.
 *
 * @see docs/methods/placement.md (best-first search with an exact lower bound, Hart, Nilsson and Raphael 1968)
 */
export function* searchByEffort(problem: SearchProblem): Generator<SearchReport, void> {
  const stages = stagesOf(problem)
  if (!stages) return
  const { counts, steps, look, settingOf } = stages
  const open = new TinyQueue<Node>([], (one, other) => one.effort - other.effort)
  /** Beginnings that wait to be looked at, by depth and screen. */
  const waiting = counts.map((_, depth): Node[][] => Array.from({ length: stages.screens(depth) }, () => []))
  const ready = new TinyQueue<Node>([], (one, other) => one.effort - other.effort)
  let looked = 0

  const goOn = (node: Node) => {
    if (node.passed < stages.screens(node.depth)) waiting[node.depth]?.[node.passed]?.push(node)
    else if (node.depth === steps.length) {
      looked++
      ready.push(node)
    } else open.push(childOf(steps, node, 0))
  }
  const settle = (nodes: Node[]) => {
    const taken = nodes.splice(0)
    const depth = taken[0]?.depth ?? 0
    look(depth, taken[0]?.passed ?? 0, taken)
    for (const node of taken) {
      if (node.room >= 0) goOn(node)
      else looked += counts[depth] ?? 1
    }
  }
  const lists = waiting.flat()
  const cheapestWaiting = () => {
    let least = Infinity
    for (const nodes of lists) for (const node of nodes) if (node.effort < least) least = node.effort
    return least
  }

  const root = rootOf(stages)
  if (!(root.room >= 0)) return yield { looked: counts[0] ?? 0, found: [] }
  goOn(root)
  for (;;) {
    const next = open.pop()
    if (next) {
      const sibling = next.step + 1
      if (next.before && sibling < (steps[next.depth - 1]?.length ?? 0))
        open.push(childOf(steps, next.before, sibling))
      goOn(next)
      for (let full = fullOf(lists); full; full = fullOf(lists)) {
        settle(full)
        yield { looked, found: [] }
      }
    }
    // What waits is looked at when nothing else is left, or when it keeps a setting from being told.
    const rest = open.peek()?.effort ?? Infinity
    const first = ready.peek()?.effort ?? Infinity
    if (rest === Infinity || first + SAME_EFFORT < rest)
      while (cheapestWaiting() <= (rest === Infinity ? Number.MAX_VALUE : first + SAME_EFFORT))
        for (const nodes of lists) if (nodes.length > 0) settle(nodes)
    const found =
      ready.length > 0 ? told(ready, Math.min(open.peek()?.effort ?? Infinity, cheapestWaiting())) : []
    if (found.length > 0) yield { looked, found: found.map(settingOf).sort((a, b) => b.room - a.room) }
    if (open.length === 0 && ready.length === 0 && lists.every((nodes) => nodes.length === 0))
      return yield { looked, found: [] }
  }
}

/** A list that is long enough to be worked at once. */
const fullOf = (lists: readonly Node[][]): Node[] | undefined => lists.find((nodes) => nodes.length >= BLOCK)

/** No lever set, by the limits that hang on none. */
function rootOf({ look, screens }: Stages): Node {
  const root: Node = { before: null, depth: 0, step: 0, effort: 0, room: Infinity, passed: 0 }
  while (root.passed < screens(0)) look(0, root.passed, [root])
  return root
}

/** The cheapest settings that are ready, all of one effort, once nothing open or waiting could be as cheap. */
function told(ready: TinyQueue<Node>, bound: number): Node[] {
  const first = ready.peek()
  if (!first || first.effort + SAME_EFFORT >= bound) return []
  const found: Node[] = []
  for (let next = ready.peek(); next && next.effort <= first.effort + SAME_EFFORT; next = ready.peek()) {
    found.push(next)
    ready.pop()
  }
  return found
}

/**
 * The setting that misses its limits by the least, or keeps them with the most room; of equals the cheapest.
 *
 * The beginning with the most room so far goes on first: setting more levers can only take room away, so the first whole
 * setting is proved to be the best there is.
 *
 * Yields the settings looked at or ruled out so far.
 *
 * @returns null where no setting can be reached
 */
export function* roomiestSetting(problem: SearchProblem): Generator<number, SearchedSetting | null> {
  for (const { looked, found } of bestSettings(problem, NONE_KEPT, 'cheapest')) {
    if (found) return found
    yield looked
  }
  return null
}

const NONE_KEPT: ReadonlySet<string> = new Set()

/** What a search for the best came to so far. */
export interface BestReport {
  readonly looked: number
  /** The next best setting, proved to be that; null while there is none yet. */
  readonly found: SearchedSetting | null
  /** Beginnings that wait to be gone on with. */
  readonly open: number
}

/**
 * Tells settings by falling room until nobody asks for more.
 *
 * @param kept - limits that every setting has to keep but that have no say in which is the better: room is that of the others alone
 * @param equals - of settings with the same room the `cheapest` first, or whichever is found `soonest`: where the most room is set by
 * a limit that few levers move there are far too many with it to go through them all
 * @param least - settings with less room are not told
 */
export function* bestSettings(
  problem: SearchProblem,
  kept: ReadonlySet<string>,
  equals: 'cheapest' | 'soonest',
  least = -Infinity,
): Generator<BestReport, void> {
  const stages = stagesOf(problem, kept)
  if (!stages) return
  const { counts, steps, look, settingOf } = stages
  const isSoonest = equals === 'soonest'
  const open = new TinyQueue<Node>(
    [],
    (one, other) =>
      other.room - one.room || (isSoonest ? other.depth - one.depth : 0) || one.effort - other.effort,
  )
  const root = rootOf(stages)
  if (root.room >= least) open.push(root)
  let looked = 0
  for (let next = open.pop(); next; next = open.pop()) {
    const node = next
    if (node.depth === steps.length) {
      yield { looked, found: settingOf(node), open: open.length }
      continue
    }
    const children = (steps[node.depth] ?? []).map((_, step) => childOf(steps, node, step))
    for (let screen = 0; screen < stages.screens(node.depth + 1); screen++)
      look(node.depth + 1, screen, children)
    for (const child of children) {
      if (child.room >= least) open.push(child)
      else looked += counts[child.depth] ?? 1
    }
    yield { looked: ++looked, found: null, open: open.length }
  }
}

const childOf = (steps: readonly (readonly LeverStep[])[], before: Node, step: number): Node => ({
  before,
  depth: before.depth + 1,
  step,
  effort: before.effort + (steps[before.depth]?.[step]?.effort ?? 0),
  room: before.room,
  passed: 0,
})

/** A problem with its levers in the order in which they are set. */
interface Stages {
  readonly steps: readonly (readonly LeverStep[])[]
  /** Settings that begin like one of so many levers. */
  readonly counts: readonly number[]
  /** How many groups of limits hang on the last lever of a depth and none after it. */
  readonly screens: (depth: number) => number
  /** Works out the room of beginnings of one depth by one of its screens. */
  readonly look: (depth: number, screen: number, nodes: readonly Node[]) => void
  readonly settingOf: (node: Node) => SearchedSetting
}

/** @returns null where a lever has no step to stand at */
function stagesOf(
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
  const run = newRun(graph, BLOCK)
  for (const [column, figure] of fixed) run.set(column, figure)
  const kills = killsOf(run, ordered, limits)
  const screensAt = [null, ...ordered].map((_, depth) =>
    screensOf(limits.flatMap((limit, i) => (depthOf[i] === depth ? [{ limit, kills: kills[i] ?? 0 }] : []))),
  )

  const look = (depth: number, screen: number, nodes: readonly Node[]) => {
    const { limits: list = [], wanted = [] } = screensAt[depth]?.[screen] ?? {}
    const [toKeep, toJudge] = parted(list, ({ id }) => kept.has(id))
    for (let start = 0; start < nodes.length; start += BLOCK) {
      const block = nodes.slice(start, start + BLOCK)
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
        amounts: levers.map((lever, index) => lever.steps[taken[order.indexOf(index)] ?? 0]?.amount ?? 0),
        effort: node.effort,
        room: node.room,
      }
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

/** The limits that rule out the most come first: what they leave is all that the others need look at. */
function screensOf(list: readonly { readonly limit: SearchLimit; readonly kills: number }[]): Screen[] {
  const sorted = [...list].sort((a, b) => b.kills - a.kills).map(({ limit }) => limit)
  const ends = [0, ...SCREEN_ENDS, sorted.length]
  return ends
    .flatMap((end, i) => (i === 0 ? [] : [sorted.slice(ends[i - 1], end)]))
    .filter((limits) => limits.length > 0)
    .map((limits) => ({ limits, wanted: limits.map(({ column }) => column) }))
}

/** How many of some settings all over the grid each limit rules out. */
function killsOf(run: Run, levers: readonly SearchLever[], limits: readonly SearchLimit[]): number[] {
  const random = seededRandom(1)
  for (const { column, steps } of levers) {
    const cells = run.fill(column)
    for (let row = 0; row < BLOCK; row++)
      cells[row] = steps[Math.floor(random.uniform() * steps.length)]?.amount ?? NaN
  }
  const wanted = limits.map(({ column }) => column)
  run.bring(wanted, BLOCK)
  return limits.map((limit) => roomsOf(run, [limit], BLOCK).filter((room) => !(room >= 0)).length)
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
