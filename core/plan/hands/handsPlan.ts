import { CoreError, requireFinite } from '../../base/errors'
import { linked, waitsFor, type Linked, type Waiting } from '../network/network'
import { calendarOf, type WorkCalendar, type WorkWeek } from './workCalendar'

/** A task by the hands that it takes. */
export interface HandsTask extends Waiting {
  readonly hours: number
  readonly hands?: 1 | 2 | undefined
  /** Calendar days from ordering to arrival, at that day's beginning. */
  readonly leadDays?: number | undefined
}

/** Who is there: one pair of hands with a helper on some days, or two pairs every day. */
export interface Crew extends WorkWeek {
  readonly hands: 1 | 2
}

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

/** What a plan is made for. */
interface Site {
  readonly links: readonly Linked<HandsTask>[]
  readonly order: readonly number[]
  readonly crew: Crew
  readonly calendar: WorkCalendar
}

/** A plan that is begun. */
interface Begun {
  /** Where tasks begin; not a number for those that are still open. */
  readonly starts: readonly number[]
  /** When either pair of hands is free, the sooner first; the second of one pair never is. */
  readonly free: readonly [number, number]
  /** Where the last one began: none begins before it. */
  readonly last: number
}
const begin = (count: number): Begun => ({ starts: Array<number>(count).fill(NaN), free: [0, 0], last: 0 })

const isOpen = ({ starts }: Begun, at: number): boolean => Number.isNaN(starts[at])
const endOf = (links: Site['links'], { starts }: Begun, at: number): number =>
  (starts[at] ?? NaN) + (links[at]?.task.hours ?? NaN)

/** Hours of hands that tasks take; a helper's own are not counted. */
const handHours = ({ crew }: Site, links: readonly Linked<HandsTask>[]): number =>
  links.reduce((all, { task }) => all + task.hours * (crew.hands === 2 ? (task.hands ?? 1) : 1), 0)

/** When a task may begin once all that it waits for ends as told. */
function readyAt({ calendar }: Site, link: Linked<HandsTask>, endAt: (at: number) => number): number {
  const { task, orderAfter } = link
  const { leadDays = 0 } = task
  const done = Math.max(0, ...waitsFor(link).map(endAt))
  if (leadDays === 0) return done
  const ordered = orderAfter === null ? 0 : calendar.dayOfEnd(endAt(orderAfter))
  return Math.max(done, calendar.atDay(ordered + leadDays))
}

/** Where all tasks end if those that are open had hands of their own, from where the last one began. */
function freely(site: Site, begun: Begun): number[] {
  const { links, order } = site
  const ends: number[] = []
  for (const at of order) {
    const link = links[at]
    if (!link) continue
    ends[at] = isOpen(begun, at)
      ? Math.max(
          begun.last,
          begun.free[0],
          readyAt(site, link, (one) => ends[one] ?? NaN),
        ) + link.task.hours
      : endOf(links, begun, at)
  }
  return ends
}

/** The plan with one more task begun as soon as it can be. */
function withTask(site: Site, begun: Begun, at: number): Begun {
  const { links, crew, calendar } = site
  const link = links[at]
  if (!link) return begun
  const { hours, hands = 1 } = link.task
  const ready = Math.max(
    begun.last,
    readyAt(site, link, (one) => endOf(links, begun, one)),
  )
  const [sooner, later] = begun.free
  const isBoth = hands === 2 && crew.hands === 2
  const from = Math.max(ready, isBoth ? later : sooner)
  const start = hands === 2 && crew.hands === 1 ? calendar.withHelper(from, hours) : from
  const end = start + hours
  // Of two that are free the one that came free last: what the other could have done before is past.
  const other = start >= later ? sooner : later
  return {
    starts: begun.starts.with(at, start),
    free: isBoth || crew.hands === 1 ? [end, end] : [Math.min(other, end), Math.max(other, end)],
    last: start,
  }
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
