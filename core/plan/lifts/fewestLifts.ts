import { CoreError } from '../../base/errors'
import { linked, type Waiting } from '../network/network'
import {
  PER_MOVE,
  standingsOf,
  type MoveMade,
  type Standing,
  type Standings,
  type VehicleStates,
} from './standings'

/** A task by how the vehicle must stand for it. */
export interface StandingTask extends Waiting {
  readonly in?: Standing | undefined
  /** How it leaves the vehicle, at no price: an exhaust that is fitted is on. */
  readonly sets?: Standing | undefined
}

/** An order of tasks with the changes between them. */
export interface LiftOrder {
  readonly order: readonly string[]
  /** Before a task, or before the end where it is null. */
  readonly moves: readonly (MoveMade & { readonly before: string | null })[]
  readonly price: number
}

/** As many tasks as every order of them is looked through. */
export const MOST_PROVEN = 16

/**
 * The order of tasks with the least price of changes to the vehicle, of those the one of fewest changes: exact over all subsets (dynamic
 * programming after Held and Karp).
 *
 * @throws CoreError as `linked` and `standingsOf`; `too-large` for more than sixteen tasks, `degenerate` where a task can never be done
 */
export function fewestLifts(states: VehicleStates, tasks: readonly StandingTask[]): LiftOrder {
  if (tasks.length > MOST_PROVEN) throw new CoreError('too-large', 'tasks', `are more than ${MOST_PROVEN}`)
  const { links } = linked(tasks)
  const standings = standingsFor(states, tasks)
  const before = links.map(({ after }) => after.reduce((mask, place) => mask | (1 << place), 0))
  const full = (1 << tasks.length) - 1
  const { count } = standings
  const best = new Float64Array((full + 1) * count).fill(Infinity)
  best[standings.start] = 0
  for (let mask = 0; mask < full; mask++) {
    const reached = afterMoves(standings, best.subarray(mask * count, (mask + 1) * count))
    tasks.forEach((task, at) => {
      const needs = before[at] ?? 0
      if ((mask & (1 << at)) !== 0 || (mask & needs) !== needs) return
      const row = (mask | (1 << at)) * count
      doTask(standings, task, reached, (standing, cost) => {
        if (cost < (best[row + standing] ?? NaN)) best[row + standing] = cost
      })
    })
  }
  return backwards(standings, tasks, before, best)
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
  // In a row of its own each task waits for the one before it.
  const inRow = order.map((id, k) => ({
    ...(byId.get(id) as StandingTask),
    after: order.slice(Math.max(0, k - 1), k),
  }))
  return alongRow(standingsFor(states, inRow), inRow)
}

const standingsFor = (states: VehicleStates, tasks: readonly StandingTask[]): Standings => {
  const named = tasks.flatMap((task) => [task.in ?? {}, task.sets ?? {}])
  const strange = named.flatMap(Object.keys).find((name) => !Object.hasOwn(states, name))
  if (strange !== undefined) throw new CoreError('unknown', strange, 'is no state of the vehicle')
  return standingsOf(states, named)
}

/** Least costs once any changes were made. */
function afterMoves({ count, cost }: Standings, costs: Float64Array): Float64Array {
  const reached = new Float64Array(count).fill(Infinity)
  for (let from = 0; from < count; from++) {
    const there = costs[from] ?? NaN
    if (there === Infinity) continue
    for (let to = 0; to < count; to++) reached[to] = Math.min(reached[to] ?? NaN, there + cost(from, to))
  }
  return reached
}

function doTask(
  { count, isSo, set }: Standings,
  { in: asked = {}, sets = {} }: StandingTask,
  reached: Float64Array,
  done: (standing: number, cost: number, from: number) => void,
): void {
  for (let standing = 0; standing < count; standing++) {
    const cost = reached[standing] ?? NaN
    if (cost < Infinity && isSo(standing, asked)) done(set(standing, sets), cost, standing)
  }
}

const unreachable = (): never => {
  throw new CoreError(
    'degenerate',
    'states',
    'a task can never be done: no change leads to how the vehicle must stand for it',
  )
}

/** The standing at the end that costs least, with the changes to it. */
function atEnd(
  standings: Standings,
  costs: Float64Array,
): { readonly cost: number; readonly at: number; readonly end: number } {
  let found = { cost: Infinity, at: -1, end: -1 }
  for (const end of standings.ends)
    for (let at = 0; at < standings.count; at++) {
      const cost = (costs[at] ?? NaN) + standings.cost(at, end)
      if (cost < found.cost) found = { cost, at, end }
    }
  return found.at < 0 ? unreachable() : found
}

/** Costs that were added up the same way are the same but for this. */
const SAME = 1e-11

/** Reads the order from the last task back to the first. */
function backwards(
  standings: Standings,
  tasks: readonly StandingTask[],
  before: readonly number[],
  best: Float64Array,
): LiftOrder {
  const { count } = standings
  let mask = (1 << tasks.length) - 1
  const { cost, at: last, end } = atEnd(standings, best.subarray(mask * count, (mask + 1) * count))
  let standing = last
  const order: string[] = []
  const moves = movesBefore(standings, standing, end, null)
  while (mask !== 0) {
    const step = stepInto(standings, tasks, before, best, mask, standing)
    if (!step) return unreachable()
    moves.unshift(...movesBefore(standings, step.from, step.at, step.task.id))
    order.unshift(step.task.id)
    ;[mask, standing] = [step.mask, step.from]
  }
  return { order, moves, price: cost - moves.length * PER_MOVE }
}

const movesBefore = (
  standings: Standings,
  from: number,
  to: number,
  before: string | null,
): LiftOrder['moves'][number][] => standings.moves(from, to).map((made) => ({ ...made, before }))

interface LastStep {
  readonly task: StandingTask
  readonly mask: number
  /** How it stood before the changes for the task, and how at the task. */
  readonly from: number
  readonly at: number
}

/** The task that was done last on the cheapest way to a standing. */
function stepInto(
  standings: Standings,
  tasks: readonly StandingTask[],
  before: readonly number[],
  best: Float64Array,
  mask: number,
  standing: number,
): LastStep | null {
  const { count } = standings
  const want = best[mask * count + standing] ?? NaN
  for (const [place, task] of tasks.entries()) {
    const rest = mask & ~(1 << place)
    const needs = before[place] ?? 0
    if (rest === mask || (rest & needs) !== needs) continue
    const costs = best.subarray(rest * count, (rest + 1) * count)
    let found: LastStep | null = null
    doTask(standings, task, afterMoves(standings, costs), (to, cost, at) => {
      if (found || to !== standing || Math.abs(cost - want) > SAME) return
      for (let from = 0; from < count && !found; from++)
        if (Math.abs((costs[from] ?? NaN) + standings.cost(from, at) - cost) <= SAME)
          found = { task, mask: rest, from, at }
    })
    if (found) return found
  }
  return null
}

/** The cheapest changes along tasks that follow each other one by one. */
function alongRow(standings: Standings, tasks: readonly StandingTask[]): LiftOrder {
  const rows = [new Float64Array(standings.count).fill(Infinity)]
  const [first] = rows
  if (first) first[standings.start] = 0
  const steps = tasks.map((task, k) => {
    const costs = rows[k] ?? new Float64Array()
    const next = new Float64Array(standings.count).fill(Infinity)
    const came = new Map<number, { readonly at: number; readonly from: number }>()
    doTask(standings, task, afterMoves(standings, costs), (to, cost, at) => {
      if (cost >= (next[to] ?? NaN)) return
      next[to] = cost
      const from = costs.findIndex((there, one) => Math.abs(there + standings.cost(one, at) - cost) <= SAME)
      came.set(to, { at, from })
    })
    rows.push(next)
    return came
  })
  const { cost, at, end } = atEnd(standings, rows.at(-1) ?? new Float64Array())
  let standing = at
  const moves = movesBefore(standings, at, end, null)
  for (let k = tasks.length - 1; k >= 0; k--) {
    const step = steps[k]?.get(standing)
    if (!step) return unreachable()
    moves.unshift(...movesBefore(standings, step.from, step.at, tasks[k]?.id ?? null))
    standing = step.from
  }
  return { order: tasks.map(({ id }) => id), moves, price: cost - moves.length * PER_MOVE }
}
