import { dayAfter, type Day } from '../../base/days'
import type { WorkCalendar } from '../../plan/hands/workCalendar'
import type { Planned, WorkPlan } from '../plan/planned'

/** A stretch of a row, in days of the plan. */
export interface WorkBar {
  readonly kind: 'work' | 'way' | 'move'
  readonly from: number
  readonly to: number
}

/** A mark of the ruler: a week, or some of them where there are many. */
export interface WorkTick {
  readonly at: number
  readonly day: Day
}

const DAYS = 7
/** So many weeks have a mark each. */
const MOST_WEEKS = 16
const WEEKS_A_MARK = 4

/** Days that the ruler of a plan shows: whole weeks, and one for the last mark. */
export const daysShown = ({ finishDay }: Pick<WorkPlan, 'finishDay'>): number =>
  Math.max(1, Math.ceil((finishDay + 1) / DAYS)) * DAYS + 1

/** Marks of the ruler of time. */
export function ticksOf(plan: Pick<WorkPlan, 'first' | 'finishDay'>): WorkTick[] {
  const weeks = (daysShown(plan) - 1) / DAYS
  const step = weeks > MOST_WEEKS ? WEEKS_A_MARK : 1
  return Array.from({ length: Math.floor(weeks / step) + 1 }, (_, k) => ({
    at: k * step * DAYS,
    day: dayAfter(plan.first, k * step * DAYS),
  }))
}

/** From when to when something is worked at, in days: the hours of a day are spread over it. */
export const spanOf = (
  calendar: WorkCalendar,
  { startH, endH, startDay, endDay }: Planned,
): { readonly from: number; readonly to: number } => ({
  from: startDay + shareOf(calendar, startDay, startH),
  to: endDay + shareOf(calendar, endDay, endH),
})

/** How much of a day's hours have gone at an hour. */
function shareOf(calendar: WorkCalendar, day: number, hour: number): number {
  const [from, to] = [calendar.atDay(day), calendar.atDay(day + 1)]
  return to > from ? Math.min(1, Math.max(0, (hour - from) / (to - from))) : 0
}

/** The bars of one task: its work, and before the last of it the way of its parts. */
export function barsOf(calendar: WorkCalendar, planned: readonly Planned[]): WorkBar[] {
  const works = planned.map((one): WorkBar => ({
    kind: one.node.part === 'move' ? 'move' : 'work',
    ...spanOf(calendar, one),
  }))
  const [last] = planned.slice(-1)
  const leadDays = Math.ceil(last?.node.leadDays?.likely ?? 0)
  if (!last || leadDays === 0) return works
  // What was ordered before is on its way from the first day on; parts come at the beginning of a day.
  const [ordered] = planned.length > 1 ? planned : []
  const way: WorkBar = { kind: 'way', from: works[0]?.to ?? 0, to: (ordered?.endDay ?? 0) + leadDays }
  return [...works.slice(0, -1), ordered ? way : { ...way, from: 0 }, ...works.slice(-1)]
}
