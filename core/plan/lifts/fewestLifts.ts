import TinyQueue from 'tinyqueue'
import { CoreError } from '../../base/errors'
import { linked } from '../network/network'
import { isAllDone, leastOn, settled, waysOn, type Node, type Site, type StandingTask } from './liftWays'
import { PER_MOVE, standingsOf, type MoveMade, type Standings, type VehicleStates } from './standings'

/** An order of tasks with the changes between them. */
export interface LiftOrder {
  readonly order: readonly string[]
  /** Before a task, or before the end where it is null. */
  readonly moves: readonly (MoveMade & { readonly before: string | null })[]
  readonly price: number
  /** No order is cheaper than this. */
  readonly bound: number
}

/** Ways on that are looked at before the best so far has to do. */
const MOST_LOOKS = 60_000

/**
 * The order of tasks with the least price of changes to the vehicle, of those the one of fewest changes: the cheapest way first (A*), over what is
 * done and how the vehicle stands. What can be done as it stands is done at once, for it is in nobody's way.
 *
 * @returns with a bound below its price where there were too many ways to look at them all
 * @throws CoreError as `linked` and `standingsOf`; `degenerate` where a task can never be done
 */
export function fewestLifts(
  states: VehicleStates,
  tasks: readonly StandingTask[],
  mostLooks = MOST_LOOKS,
): LiftOrder {
  const { links } = linked(tasks)
  const site: Site = { links, standings: standingsFor(states, tasks) }
  const { start } = site.standings
  const open = new TinyQueue(
    [settled(site, { done: 0n, standing: start, cost: 0, came: null })].map(rated(site)),
    (a, b) => a.least - b.least,
  )
  const seen = new Map<string, number>()
  for (let looks = 0; open.length > 0; looks++) {
    const next = open.pop()
    if (!next) break
    if (next.isEnd || looks >= mostLooks)
      return told(next.isEnd ? next.node : straightOn(site, next.node), next.least)
    const key = `${next.node.standing}|${next.node.done}`
    if ((seen.get(key) ?? Infinity) <= next.node.cost) continue
    seen.set(key, next.node.cost)
    for (const node of waysOn(site, next.node)) open.push(rated(site)(node))
    if (isAllDone(site, next.node)) open.push(ended(site, next.node))
  }
  return unreachable()
}

interface Rated {
  readonly node: Node
  /** No way on from here is cheaper. */
  readonly least: number
  readonly isEnd: boolean
}

const rated =
  (site: Site) =>
  (node: Node): Rated => ({ node, least: node.cost + leastOn(site, node), isEnd: false })

function ended({ standings }: Site, node: Node): Rated {
  const costs = standings.ends.map((end) => standings.cost(node.standing, end))
  const cost = Math.min(...costs)
  const end = standings.ends[costs.indexOf(cost)] ?? node.standing
  const came = { task: null, moves: standings.moves(node.standing, end), before: node.came }
  return { node: { ...node, cost: node.cost + cost, came }, least: node.cost + cost, isEnd: true }
}

/** Straight to the end: the cheapest next task each time. */
function straightOn(site: Site, node: Node): Node {
  if (isAllDone(site, node)) return ended(site, node).node
  const ways = waysOn(site, node)
  if (ways.length === 0) return unreachable()
  return straightOn(
    site,
    ways.reduce((best, way) => (way.cost < best.cost ? way : best)),
  )
}

function told({ cost, came }: Node, least: number): LiftOrder {
  const order: string[] = []
  const moves: LiftOrder['moves'][number][] = []
  for (let step = came; step; step = step.before) {
    if (step.task !== null) order.unshift(step.task)
    const { task: before } = step
    moves.unshift(...step.moves.map((made) => ({ ...made, before })))
  }
  const price = cost - moves.length * PER_MOVE
  // A move's own mite is no price.
  return { order, moves, price, bound: Math.min(price, least) }
}

/**
 * The least price of a given order, its changes chosen best.
 *
 * @throws CoreError as `fewestLifts`, and `out-of-range` for an order that leaves a task out or puts it before what it waits for
 */
export function liftsInOrder(
  states: VehicleStates,
  tasks: readonly StandingTask[],
  order: readonly string[],
): LiftOrder {
  linked(tasks)
  const byId = new Map(tasks.map((task) => [task.id, task] as const))
  if (
    order.length !== tasks.length ||
    new Set(order).size < order.length ||
    order.some((id) => !byId.has(id))
  )
    throw new CoreError('out-of-range', 'order', 'names every task once')
  const late = tasks.find(({ id, after }) => after.some((one) => order.indexOf(one) > order.indexOf(id)))
  if (late) throw new CoreError('out-of-range', 'order', `"${late.id}" stands before what it waits for`)
  // In a row each task waits for the one before it.
  const inRow = order.map((id, k) => ({
    ...(byId.get(id) as StandingTask),
    after: order.slice(Math.max(0, k - 1), k),
  }))
  return fewestLifts(states, inRow)
}

const standingsFor = (states: VehicleStates, tasks: readonly StandingTask[]): Standings => {
  const named = tasks.flatMap((task) => [task.in ?? {}, task.sets ?? {}])
  const strange = named.flatMap(Object.keys).find((name) => !Object.hasOwn(states, name))
  if (strange !== undefined) throw new CoreError('unknown', strange, 'is no state of the vehicle')
  return standingsOf(states, named)
}

const unreachable = (): never => {
  throw new CoreError(
    'degenerate',
    'states',
    'a task can never be done: no change leads to how the vehicle must stand for it',
  )
}
