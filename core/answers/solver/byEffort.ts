import TinyQueue from 'tinyqueue'
import { combined } from './combined'
import { independentParts } from './independentParts'
import { SAME_EFFORT, type SearchProblem, type SearchReport } from './problem'
import { SETTINGS_AT_ONCE, childOf, rootOf, stagesOf, type Node } from './stages'

/**
 * Tells the settings of a grid that keep every limit by rising effort, until nobody asks for more.
 *
 * Levers are set one after the other, cheapest step first, and the cheapest beginning goes on first; limits that hang only on
 * the levers set so far are looked at as soon as they can be, so that one beginning rules out all settings that begin like it.
 * No setting is told while a cheaper beginning is open: so none is left unlooked-at that could be cheaper.
 *
 * @param leftOut - levers by their places in the problem: what moves all of one of these lists is not told and counts as ruled out;
 * the caller may add to them on the way
 * @see docs/methods/placement.md (best-first search with an exact lower bound, Hart, Nilsson and Raphael 1968)
 */
export function* searchByEffort(
  problem: SearchProblem,
  leftOut: readonly (readonly number[])[] = [],
): Generator<SearchReport, void> {
  const parts = independentParts(problem)
  if (parts.length > 1) return yield* combined(problem, parts, searchWhole, leftOut)
  return yield* searchWhole(problem, leftOut)
}

/** The search over levers that limits tie together. */
function* searchWhole(
  problem: SearchProblem,
  leftOut: readonly (readonly number[])[] = [],
): Generator<SearchReport, void> {
  const stages = stagesOf(problem)
  if (!stages) return
  const { counts, steps, look, settingOf, movesAll } = stages
  const open = new TinyQueue<Node>([], (one, other) => one.effort - other.effort)
  /** Beginnings that wait to be looked at, by depth and screen. */
  const waiting = counts.map((_, depth): Node[][] => Array.from({ length: stages.screens(depth) }, () => []))
  const ready = new TinyQueue<Node>([], (one, other) => one.effort - other.effort)
  let looked = 0

  const isLeftOut = (node: Node) => leftOut.some((levers) => movesAll(node, levers))
  const goOn = (node: Node) => {
    if (isLeftOut(node)) looked += counts[node.depth] ?? 1
    else if (node.passed < stages.screens(node.depth)) waiting[node.depth]?.[node.passed]?.push(node)
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

  const lookedTo = () =>
    Math.min(open.peek()?.effort ?? Infinity, ready.peek()?.effort ?? Infinity, cheapestWaiting())

  const root = rootOf(stages)
  if (!(root.room >= 0)) return yield { looked: counts[0] ?? 0, found: [], lookedTo: Infinity }
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
        yield { looked, found: [], lookedTo: lookedTo() }
      }
    }
    for (let head = ready.peek(); head && isLeftOut(head); head = ready.peek()) ready.pop()
    // What waits is looked at when nothing else is left, or when it keeps a setting from being told.
    const rest = open.peek()?.effort ?? Infinity
    const first = ready.peek()?.effort ?? Infinity
    if (rest === Infinity || first + SAME_EFFORT < rest)
      while (cheapestWaiting() <= (rest === Infinity ? Number.MAX_VALUE : first + SAME_EFFORT))
        for (const nodes of lists) if (nodes.length > 0) settle(nodes)
    const found =
      ready.length > 0 ? told(ready, Math.min(open.peek()?.effort ?? Infinity, cheapestWaiting())) : []
    const toTell = found.filter((node) => !isLeftOut(node))
    if (toTell.length > 0)
      yield {
        looked,
        found: toTell.map(settingOf).sort((a, b) => b.room - a.room),
        lookedTo: lookedTo(),
      }
    if (open.length === 0 && ready.length === 0 && lists.every((nodes) => nodes.length === 0))
      return yield { looked, found: [], lookedTo: Infinity }
  }
}

/** A list that is long enough to be worked at once. */
const fullOf = (lists: readonly Node[][]): Node[] | undefined =>
  lists.find((nodes) => nodes.length >= SETTINGS_AT_ONCE)

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
