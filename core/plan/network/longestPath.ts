import { linked, requireTime, type Linked, type Waiting } from './network'

/** A task by how long it takes and how long its parts are on their way, in any one unit of time. */
export interface TimedTask extends Waiting {
  readonly duration: number
  /** From ordering to arrival; nothing is ordered when absent. */
  readonly lead?: number | undefined
}

/** A task in a plan where as many hands work as are wanted. */
export interface PathTask {
  readonly id: string
  readonly earlyStart: number
  readonly earlyFinish: number
  readonly lateStart: number
  readonly lateFinish: number
  /** How late it may run before the end moves. */
  readonly float: number
  /** How late it may run before the early start of any other task moves. */
  readonly freeFloat: number
  readonly isCritical: boolean
  /** What fixes its early start. */
  readonly drivers: readonly Driver[]
  /** Latest order of its parts; null where nothing is ordered. */
  readonly orderBy: number | null
}

/** The start of all, the arrival of its own parts, or another task. */
export type Driver = { readonly by: 'start' | 'parts' } | { readonly by: 'task'; readonly id: string }

export interface LongestPath {
  readonly finish: number
  readonly tasks: readonly PathTask[]
}

/** Times so near are one time. */
export const SAME = 1e-9

/**
 * Early and late times of tasks that follow each other, with any number of hands: the critical path method, finish to start, where a task also
 * waits for its parts. A deadline before the earliest finish makes floats negative.
 *
 * @throws CoreError `degenerate` for no tasks, one named twice, a ring; `unknown` for a task that is not there; `out-of-range` or `not-finite` for a time
 */
export function longestPath(tasks: readonly TimedTask[], deadline?: number): LongestPath {
  for (const { id, duration, lead = 0 } of tasks) {
    requireTime(duration, id)
    requireTime(lead, id)
  }
  const { links, order } = linked(tasks)
  const early = earlyTimes(links, order)
  const finish = Math.max(...early.map(({ finish: end }) => end))
  const lateFinish = lateTimes(links, order, deadline ?? finish)
  const lateStart = links.map(({ task }, at) => (lateFinish[at] ?? NaN) - task.duration)
  const free = freeFloats(links, early, finish)
  const floats = early.map(({ start }, at) => (lateStart[at] ?? NaN) - start)
  const least = Math.min(...floats)
  return {
    finish,
    tasks: links.map(({ task }, at): PathTask => {
      const { start = NaN, finish: end = NaN, drivers = [] } = early[at] ?? {}
      const [float = NaN, from = NaN] = [floats[at], lateStart[at]]
      return {
        id: task.id,
        earlyStart: start,
        earlyFinish: end,
        lateStart: from,
        lateFinish: lateFinish[at] ?? NaN,
        float,
        freeFloat: free[at] ?? NaN,
        isCritical: float <= least + SAME,
        drivers,
        orderBy: leadOf(task) > 0 ? from - leadOf(task) : null,
      }
    }),
  }
}

export const leadOf = ({ lead = 0 }: TimedTask): number => lead

interface Early {
  readonly start: number
  readonly finish: number
  readonly drivers: readonly Driver[]
}

function earlyTimes(links: readonly Linked<TimedTask>[], order: readonly number[]): Early[] {
  const early: Early[] = []
  for (const at of order) {
    const link = links[at]
    if (!link) continue
    const { task, after, orderAfter } = link
    const finishOf = (place: number) => early[place]?.finish ?? NaN
    const waits: (readonly [number, Driver])[] = after.map((place) => [
      finishOf(place),
      { by: 'task', id: links[place]?.task.id ?? '' },
    ])
    const isOrdered = leadOf(task) > 0 || orderAfter !== null
    const arrival = (orderAfter === null ? 0 : finishOf(orderAfter)) + leadOf(task)
    if (isOrdered) waits.push([arrival, { by: 'parts' }])
    const start = Math.max(0, ...waits.map(([time]) => time))
    const drivers = waits.filter(([time]) => time >= start - SAME).map(([, driver]) => driver)
    early[at] = {
      start,
      finish: start + task.duration,
      drivers: drivers.length > 0 ? drivers : [{ by: 'start' }],
    }
  }
  return early
}

function lateTimes(links: readonly Linked<TimedTask>[], order: readonly number[], end: number): number[] {
  const late = links.map(() => end)
  for (const at of order.toReversed()) {
    const link = links[at]
    if (!link) continue
    const start = (late[at] ?? NaN) - link.task.duration
    for (const place of link.after) late[place] = Math.min(late[place] ?? NaN, start)
    if (link.orderAfter !== null)
      late[link.orderAfter] = Math.min(late[link.orderAfter] ?? NaN, start - leadOf(link.task))
  }
  return late
}

function freeFloats(links: readonly Linked<TimedTask>[], early: readonly Early[], finish: number): number[] {
  const free = early.map((one) => finish - one.finish)
  links.forEach(({ task, after, orderAfter }, at) => {
    const { start = NaN } = early[at] ?? {}
    const finishOf = (place: number) => early[place]?.finish ?? NaN
    for (const place of after) free[place] = Math.min(free[place] ?? NaN, start - finishOf(place))
    if (orderAfter !== null)
      free[orderAfter] = Math.min(free[orderAfter] ?? NaN, start - leadOf(task) - finishOf(orderAfter))
  })
  return free
}
