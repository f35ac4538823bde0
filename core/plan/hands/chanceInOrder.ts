import { nextUniform, seededState } from '../../base/chance/random'
import { CoreError } from '../../base/errors'
import type { Draws } from '../network/chanceOfFinish'
import { linked } from '../network/network'
import { requireTriangular, triangularAt, type Triangular } from '../network/triangular'
import { readyAt, taken, type Crew, type Hands, type HandsTask } from './begunPlan'
import { calendarOf } from './workCalendar'

/** A task of a plan whose times are not known for sure. */
export interface UncertainTask extends Omit<HandsTask, 'hours' | 'leadDays'> {
  readonly hours: Triangular
  /** Calendar days; parts come at the beginning of a whole one. */
  readonly leadDays?: Triangular | undefined
  /** Chance, 0 to 1, that it takes its time and its way once more. */
  readonly redo?: number | undefined
}

/**
 * The days on which all is done, by draws: times are drawn apart from each other, and tasks begin in the order of a plan, each as soon as its
 * hands are free and what it waits for is there.
 *
 * @param order - places of the tasks as they begin; what a task waits for comes before it
 * @returns days of all draws, rising; the first day is 0
 * @throws CoreError as `linked`, `calendarOf`, `requireTriangular`; `out-of-range` for a chance outside 0 to 1; `wrong-length` for an order of other than all tasks
 */
export function chanceInOrder(
  tasks: readonly UncertainTask[],
  crew: Crew,
  order: readonly number[],
  { count, seed }: Draws,
): Float64Array {
  for (const { id, hours, leadDays, redo = 0 } of tasks) {
    requireTriangular(hours, id)
    if (!(redo >= 0 && redo <= 1)) throw new CoreError('out-of-range', id, 'a chance lies between 0 and 1')
    if (leadDays) requireTriangular(leadDays, id)
  }
  if (order.length !== tasks.length || new Set(order).size !== order.length)
    throw new CoreError('wrong-length', 'order', 'names every task once')
  const calendar = calendarOf(crew)
  const { links } = linked(tasks)
  const state = seededState(seed)
  const ends = new Float64Array(tasks.length)
  const endAt = (at: number) => ends[at] ?? NaN
  const longest = Math.max(0, ...(crew.helperDays ?? []).map((day) => crew.hours[day] ?? 0))
  const drawn = (time: Triangular) => triangularAt(time, nextUniform(state))
  return Float64Array.from({ length: count }, () => {
    let hands: Hands = { free: [0, 0], last: 0 }
    let last = 0
    for (const at of order) {
      const link = links[at]
      if (!link) continue
      const { hours, leadDays, redo = 0, ...task } = link.task
      const times = redo > 0 && nextUniform(state) < redo ? 2 : 1
      const total = (time: Triangular) => drawn(time) + (times === 2 ? drawn(time) : 0)
      // A helper stays no longer than the day.
      const own = task.hands === 2 && crew.hands === 1 ? Math.min(longest, total(hours)) : total(hours)
      const timed = { ...task, hours: own, leadDays: leadDays ? Math.ceil(total(leadDays)) : 0 }
      const ready = readyAt({ calendar }, { ...link, task: timed }, endAt)
      hands = taken({ crew, calendar }, hands, timed, ready)
      ends[at] = hands.last + own
      last = Math.max(last, ends[at] ?? NaN)
    }
    return calendar.dayOfEnd(last)
  }).sort()
}
