import { waitsFor, type Linked, type Waiting } from '../network/network'
import type { WorkCalendar, WorkWeek } from './workCalendar'

/** A task by the hands that it takes. */
export interface HandsTask extends Waiting {
  readonly hours: number
  readonly hands?: 1 | 2 | undefined
  /** Calendar days from ordering to arrival, at that day's beginning. */
  readonly leadDays?: number | undefined
  /** A working hour before which it does not begin. */
  readonly notBefore?: number | undefined
}

/** Who is there: one pair of hands with a helper on some days, or two pairs every day. */
export interface Crew extends WorkWeek {
  readonly hands: 1 | 2
}

/** What a plan is made for. */
export interface Site {
  readonly links: readonly Linked<HandsTask>[]
  readonly order: readonly number[]
  readonly crew: Crew
  readonly calendar: WorkCalendar
}

/** A plan that is begun. */
export interface Begun {
  /** Where tasks begin; not a number for those that are still open. */
  readonly starts: readonly number[]
  /** When either pair of hands is free, the sooner first; the second of one pair never is. */
  readonly free: readonly [number, number]
  /** Where the last one began: none begins before it. */
  readonly last: number
}
export const begin = (count: number): Begun => ({
  starts: Array<number>(count).fill(NaN),
  free: [0, 0],
  last: 0,
})

export const isOpen = ({ starts }: Begun, at: number): boolean => Number.isNaN(starts[at])
export const endOf = (links: Site['links'], { starts }: Begun, at: number): number =>
  (starts[at] ?? NaN) + (links[at]?.task.hours ?? NaN)

/** Hours of hands that tasks take; a helper's own are not counted. */
export const handHours = ({ crew }: Site, links: readonly Linked<HandsTask>[]): number =>
  links.reduce((all, { task }) => all + task.hours * (crew.hands === 2 ? (task.hands ?? 1) : 1), 0)

/** When a task may begin once all that it waits for ends as told. */
export function readyAt(
  { calendar }: Pick<Site, 'calendar'>,
  link: Linked<HandsTask>,
  endAt: (at: number) => number,
): number {
  const { task, orderAfter } = link
  const { leadDays = 0, notBefore = 0 } = task
  const done = Math.max(notBefore, ...waitsFor(link).map(endAt))
  if (leadDays === 0) return done
  const ordered = orderAfter === null ? 0 : calendar.dayOfEnd(endAt(orderAfter))
  return Math.max(done, calendar.atDay(ordered + leadDays))
}

/** Where all tasks end if those that are open had hands of their own, from where the last one began. */
export function freely(site: Site, begun: Begun): number[] {
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

/** How far the hands are: when either pair is free, and where the last task began. */
export type Hands = Pick<Begun, 'free' | 'last'>

/** Hands that take a task as soon as they can; `last` is where it begins. */
export function taken(
  { crew, calendar }: Pick<Site, 'crew' | 'calendar'>,
  { free, last }: Hands,
  { hours, hands = 1 }: Pick<HandsTask, 'hours' | 'hands'>,
  readyAtHour: number,
): Hands {
  const [sooner, later] = free
  const isBoth = hands === 2 && crew.hands === 2
  const from = Math.max(last, readyAtHour, isBoth ? later : sooner)
  const start = hands === 2 && crew.hands === 1 ? calendar.withHelper(from, hours) : from
  const end = start + hours
  // Of two that are free the one that came free last: what the other could have done before is past.
  const other = start >= later ? sooner : later
  return {
    free: isBoth || crew.hands === 1 ? [end, end] : [Math.min(other, end), Math.max(other, end)],
    last: start,
  }
}

/** The plan with one more task begun as soon as it can be. */
export function withTask(site: Site, begun: Begun, at: number): Begun {
  const { links } = site
  const link = links[at]
  if (!link) return begun
  const ready = readyAt(site, link, (one) => endOf(links, begun, one))
  const { free, last } = taken(site, begun, link.task, ready)
  return { starts: begun.starts.with(at, last), free, last }
}
