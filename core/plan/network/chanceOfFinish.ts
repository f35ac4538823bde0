import { nextUniform, seededState, type RandomState } from '../../base/chance/random'
import { CoreError } from '../../base/errors'
import { sum } from '../../base/numbers'
import { longestPath } from './longestPath'
import { linked, type Linked, type Waiting } from './network'
import { requireTriangular, triangularAt, triangularMean, type Triangular } from './triangular'

/** A task whose time is not known for sure. */
export interface ChanceTask extends Waiting {
  readonly time: Triangular
  /** Of its parts, from ordering to arrival. */
  readonly lead?: Triangular | undefined
  /** It may have to be done over: how likely, and what that takes besides. */
  readonly rework?: { readonly chance: number; readonly time: Triangular } | undefined
}

/** When all is done, by draws. */
export interface ChanceOfFinish {
  /** With all times at their likeliest and nothing done over. */
  readonly likelyFinish: number
  readonly mean: number
  readonly deviation: number
  /** Finishes of all draws, rising. */
  readonly finishes: Float64Array
  /** Mean finish less that of all mean times: what paths that meet add. */
  readonly mergeLate: number
  /** How often each task lies on the longest path, in the order of the tasks. */
  readonly criticalShares: readonly number[]
}

export interface Draws {
  readonly count: number
  readonly seed: number
}
const USUAL: Draws = { count: 20_000, seed: 1 }

/**
 * The finish of tasks with any number of hands, their times drawn apart from each other: where paths meet it is later than likely times add up to.
 *
 * @throws CoreError as `longestPath`, and `out-of-range` for bounds out of order or a chance outside 0 to 1
 */
export function chanceOfFinish(tasks: readonly ChanceTask[], { count, seed } = USUAL): ChanceOfFinish {
  tasks.forEach(requireChance)
  const { links, order } = linked(tasks)
  const state = seededState(seed)
  const drawn = newDraw(tasks.length)
  const finishes = new Float64Array(count)
  const critical = tasks.map(() => 0)
  for (let k = 0; k < count; k++) {
    draw(links, order, drawn, state)
    const last = lastOf(drawn.finish)
    finishes[k] = drawn.finish[last] ?? NaN
    for (let at = last; at >= 0; at = drawn.driver[at] ?? -1) critical[at] = (critical[at] ?? 0) + 1
  }
  const mean = sum([...finishes]) / count
  const squares = sum([...finishes].map((finish) => (finish - mean) ** 2))
  return {
    likelyFinish: finishBy(tasks, ({ likely }) => likely, false),
    mean,
    deviation: count > 1 ? Math.sqrt(squares / (count - 1)) : 0,
    finishes: finishes.sort(),
    mergeLate: mean - finishBy(tasks, triangularMean, true),
    criticalShares: critical.map((often) => often / count),
  }
}

/** The finish that so many of the draws do not pass: 0.8 for four of five. */
export function finishAt({ finishes }: Pick<ChanceOfFinish, 'finishes'>, part: number): number {
  const place = part * (finishes.length - 1)
  const [below, above] = [finishes[Math.floor(place)] ?? NaN, finishes[Math.ceil(place)] ?? NaN]
  return below + (place - Math.floor(place)) * (above - below)
}

/** How likely all is done by a time. */
export const chanceBy = ({ finishes }: Pick<ChanceOfFinish, 'finishes'>, time: number): number =>
  finishes.filter((finish) => finish <= time + 1e-9).length / finishes.length

function requireChance({ id, time, lead, rework }: ChanceTask): void {
  requireTriangular(time, id)
  if (lead) requireTriangular(lead, id)
  if (!rework) return
  requireTriangular(rework.time, id)
  if (!(rework.chance >= 0 && rework.chance <= 1))
    throw new CoreError('out-of-range', id, 'the chance of doing it over lies between 0 and 1')
}

/** The finish with one time taken of each triangle. */
function finishBy(
  tasks: readonly ChanceTask[],
  of: (time: Triangular) => number,
  isReworked: boolean,
): number {
  return longestPath(
    tasks.map(({ time, lead, rework, ...task }) => ({
      ...task,
      duration: of(time) + (isReworked && rework ? rework.chance * of(rework.time) : 0),
      ...(lead && { lead: of(lead) }),
    })),
  ).finish
}

/** One draw: when each task ends, and which one fixed its start; -1 for the start of all. */
interface Draw {
  readonly finish: Float64Array
  readonly driver: Int32Array
}
const newDraw = (count: number): Draw => ({ finish: new Float64Array(count), driver: new Int32Array(count) })

function draw(
  links: readonly Linked<ChanceTask>[],
  order: readonly number[],
  { finish, driver }: Draw,
  state: RandomState,
): void {
  for (const at of order) {
    const link = links[at]
    if (!link) continue
    const { task, after, orderAfter } = link
    let start = 0
    let by = -1
    for (const place of after)
      if ((finish[place] ?? NaN) > start || by < 0)
        [start, by] = [Math.max(start, finish[place] ?? NaN), place]
    const ordered = orderAfter === null ? 0 : (finish[orderAfter] ?? NaN)
    const arrival = task.lead ? ordered + triangularAt(task.lead, nextUniform(state)) : ordered
    if (arrival > start) [start, by] = [arrival, orderAfter ?? -1]
    finish[at] = start + timeOf(task, state)
    driver[at] = by
  }
}

function timeOf({ time, rework }: ChanceTask, state: RandomState): number {
  const once = triangularAt(time, nextUniform(state))
  if (!rework || nextUniform(state) >= rework.chance) return once
  return once + triangularAt(rework.time, nextUniform(state))
}

function lastOf(finish: Float64Array): number {
  let last = 0
  for (let at = 1; at < finish.length; at++) if ((finish[at] ?? NaN) > (finish[last] ?? NaN)) last = at
  return last
}
