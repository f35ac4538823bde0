import TinyQueue from 'tinyqueue'
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
export function* roomiestSetting(problem: SearchProblem): Generator<number, SearchedSetting | null> {
  for (const { looked, found } of bestSettings(problem, NONE_KEPT, 'cheapest')) {
    if (found) return found
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
