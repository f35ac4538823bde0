import TinyQueue from 'tinyqueue'
import { searchByEffort } from './byEffort'
import { independentParts } from './independentParts'
import type { SearchedSetting, SearchProblem } from './problem'
import { childOf, NONE_KEPT, rootOf, stagesOf, type Node } from './stages'

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
export function* roomiestSetting(
  problem: SearchProblem,
  leaveOff: LeaveOff = NEVER,
): Generator<number, Roomiest | null> {
  const parts = independentParts(problem)
  if (parts.length < 2) return yield* roomiestOf(problem, leaveOff)
  const best: Roomiest[] = []
  for (const part of parts) {
    const one = yield* roomiestOf(part.problem, leaveOff)
    if (!one) return null
    best.push(one)
  }
  // The part that has the least room decides; what another could have beyond that is not worth its effort.
  const room = Math.min(...best.map((one) => one.room))
  const amounts = new Array<number>(problem.levers.length).fill(NaN)
  let effort = 0
  for (const [i, part] of parts.entries()) {
    const own = best[i] as Roomiest
    const chosen: SearchedSetting =
      own.room > room && !leaveOff() ? ((yield* cheapestWith(part.problem, room)) ?? own) : own
    part.places.forEach((place, k) => (amounts[place] = chosen.amounts[k] ?? NaN))
    effort += chosen.effort
  }
  return { amounts, effort, room, mostRoom: Math.min(...best.map((one) => one.mostRoom)) }
}

/** Room that is the same but for rounding. */
const SAME_ROOM = 1e-9

/** The cheapest setting with so much room; null where there is none. */
function* cheapestWith(problem: SearchProblem, room: number): Generator<number, SearchedSetting | null> {
  const limits = problem.limits.map((limit) => {
    const away = (room - SAME_ROOM) * limit.scale
    const { least, most } = limit
    return { ...limit, least: least === null ? null : least + away, most: most === null ? null : most - away }
  })
  for (const { looked, found } of searchByEffort({ ...problem, limits })) {
    if (found[0]) return found[0]
    yield looked
  }
  return null
}

/** Whether a search is to end with the best it has so far. */
export type LeaveOff = () => boolean
const NEVER: LeaveOff = () => false

/** The setting with the most room, or the best so far. */
export interface Roomiest extends SearchedSetting {
  /** No setting has more room than this; its own room once that is proved. */
  readonly mostRoom: number
}

/** The same of levers that limits tie together. */
function* roomiestOf(problem: SearchProblem, leaveOff: LeaveOff): Generator<number, Roomiest | null> {
  let mostRoom = Infinity
  for (const { looked, found, most, dive } of bestSettings(problem, NONE_KEPT, 'cheapest')) {
    if (found) return { ...found, mostRoom: found.room }
    mostRoom = Math.min(mostRoom, most)
    if (leaveOff()) {
      const soFar = dive()
      return soFar && { ...soFar, mostRoom }
    }
    yield looked
  }
  return null
}

/** What a search for the best came to so far. */
export interface BestReport {
  readonly looked: number
  /** The next best setting, proved to be that; null while there is none yet. */
  readonly found: SearchedSetting | null
  /** Beginnings that wait to be gone on with. */
  readonly open: number
  /** No setting that is still open has more room than this. */
  readonly most: number
  /** The best that the best beginning comes to at once, each lever by itself; null where it comes to nothing. */
  readonly dive: () => SearchedSetting | null
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
  const childrenOf = (node: Node): Node[] => {
    const children = (steps[node.depth] ?? []).map((_, step) => childOf(steps, node, step))
    for (let screen = 0; screen < stages.screens(node.depth + 1); screen++)
      look(node.depth + 1, screen, children)
    return children
  }
  const dive = (): SearchedSetting | null => {
    let node = open.peek()
    while (node && node.depth < steps.length)
      node = childrenOf(node)
        .filter(({ room }) => !Number.isNaN(room))
        .sort((one, other) => other.room - one.room || one.effort - other.effort)[0]
    return node ? settingOf(node) : null
  }
  for (let next = open.pop(); next; next = open.pop()) {
    const node = next
    if (node.depth === steps.length) {
      yield { looked, found: settingOf(node), open: open.length, most: node.room, dive }
      continue
    }
    const children = childrenOf(node)
    for (const child of children) {
      if (child.room >= least) open.push(child)
      else looked += counts[child.depth] ?? 1
    }
    yield { looked: ++looked, found: null, open: open.length, most: open.peek()?.room ?? -Infinity, dive }
  }
}
