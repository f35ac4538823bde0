import { CoreError, requireFinite } from '../../base/errors'
import { linked, waitsFor, type Linked } from '../network/network'
import {
  begin,
  endOf,
  freely,
  handHours,
  isOpen,
  readyAt,
  withTask,
  type Begun,
  type Crew,
  type HandsTask,
  type Site,
} from './begunPlan'
import { calendarOf } from './workCalendar'

export interface HandsPlan {
  /** Working hours from the start. */
  readonly finish: number
  readonly finishDay: number
  /** Hours into that day. */
  readonly finishHour: number
  /** Where each task begins, in working hours, in the order of the tasks. */
  readonly starts: readonly number[]
  /** The longest path with any number of hands, and the hours of all hands: no plan is shorter than the larger. */
  readonly path: number
  readonly work: number
  readonly isProven: boolean
}

/** Plans that are looked at before the best so far has to do: enough to prove a dozen tasks. */
const MOST_LOOKS = 300_000
const SAME_H = 1e-9

/**
 * The shortest plan for the hands that there are: tasks do not give way to each other once they are begun, and pause outside working hours. Branch
 * and bound over all orders in which they begin; a state that another one equals or betters in everything leads nowhere.
 *
 * @throws CoreError as `linked` and `calendarOf`; `out-of-range` for hours not above nought, a lead that is no whole number of days, a task for two
 * where nobody helps, or not long enough
 */
export function handsPlan(tasks: readonly HandsTask[], crew: Crew, mostLooks = MOST_LOOKS): HandsPlan {
  for (const task of tasks) requireTask(task, crew)
  const { links, order } = linked(tasks)
  const calendar = calendarOf(crew)
  const site: Site = { links, order, crew, calendar }
  for (const { hands = 1, hours } of tasks) if (crew.hands === 1 && hands === 2) calendar.withHelper(0, hours)
  const path = Math.max(...freely(site, begin(tasks.length)))
  const work = handHours(site, links) / crew.hands
  const { best, looks } = search(site, Math.max(path, work), mostLooks)
  const finish = Math.max(...best.map((start, at) => start + (tasks[at]?.hours ?? NaN)))
  const finishDay = calendar.dayOfEnd(finish)
  return {
    finish,
    finishDay,
    finishHour: finish - calendar.atDay(finishDay),
    starts: best,
    path,
    work,
    isProven: looks < mostLooks || finish <= Math.max(path, work) + SAME_H,
  }
}

function requireTask({ id, hours, hands = 1, leadDays = 0 }: HandsTask, crew: Crew): void {
  requireFinite(hours, id)
  if (hours <= 0) throw new CoreError('out-of-range', id, 'takes no time')
  if (!Number.isInteger(leadDays) || leadDays < 0)
    throw new CoreError('out-of-range', id, 'parts are on their way for a whole number of days')
  if (hands === 2 && crew.hands === 1 && (crew.helperDays ?? []).length === 0)
    throw new CoreError('out-of-range', id, 'needs two, and nobody helps')
}

function search(
  site: Site,
  least: number,
  mostLooks: number,
): { readonly best: readonly number[]; readonly looks: number } {
  const { links } = site
  const tails = tailsOf(site)
  let best: { readonly starts: readonly number[]; readonly finish: number } = { starts: [], finish: Infinity }
  let looks = 0
  const seen = new Map<string, (readonly number[])[]>()

  function goOn(begun: Begun): void {
    const open = links.filter(({ at }) => isOpen(begun, at))
    if (open.length === 0) {
      const finish = Math.max(...links.map(({ at }) => endOf(links, begun, at)))
      if (finish < best.finish - SAME_H) best = { starts: begun.starts, finish }
      return
    }
    looks++
    if (boundOf(site, begun, open) >= best.finish - SAME_H || isBettered(seen, site, begun, open)) return
    const next = open
      .filter((link) => waitsFor(link).every((one) => !isOpen(begun, one)))
      .toSorted((a, b) => (tails[b.at] ?? NaN) - (tails[a.at] ?? NaN))
    for (const { at } of next) {
      if (best.finish <= least + SAME_H || (looks >= mostLooks && best.finish < Infinity)) return
      goOn(withTask(site, begun, at))
    }
  }
  goOn(begin(links.length))
  return { best: best.starts, looks }
}

/** No way on from here ends sooner. */
function boundOf(site: Site, begun: Begun, open: readonly Linked<HandsTask>[]): number {
  const [sooner, later] = begun.free
  const hours = handHours(site, open)
  const work = site.crew.hands === 2 ? (sooner + later + hours) / 2 : sooner + hours
  return Math.max(work, ...freely(site, begun))
}

/** True where the same tasks were done at least as well before: hands free, the last begun and all that is open ready no later. */
function isBettered(
  seen: Map<string, (readonly number[])[]>,
  site: Site,
  begun: Begun,
  open: readonly Linked<HandsTask>[],
): boolean {
  const { links } = site
  const endAt = (at: number) => (isOpen(begun, at) ? 0 : endOf(links, begun, at))
  const now = [...begun.free, begun.last, ...open.map((link) => readyAt(site, link, endAt))]
  const done = links.reduce((latest, { at }) => Math.max(latest, endAt(at)), 0)
  const all = [...now, done]
  const key = open.map(({ at }) => at).join()
  const others = seen.get(key) ?? []
  if (others.some((other) => other.every((figure, i) => figure <= (all[i] ?? NaN) + SAME_H))) return true
  seen.set(key, [...others.filter((other) => !all.every((figure, i) => figure <= (other[i] ?? NaN))), all])
  return false
}

/** From the begin of each task to the end of all that waits for it. */
function tailsOf({ links, order }: Site): number[] {
  const tails = links.map(({ task }) => task.hours)
  for (const at of order.toReversed())
    for (const one of waitsFor(links[at] ?? { after: [], orderAfter: null }))
      tails[one] = Math.max(tails[one] ?? NaN, (links[one]?.task.hours ?? NaN) + (tails[at] ?? NaN))
  return tails
}
