import { dayAfter, daysBetween, weekdayOf, type Day } from '../../base/days'
import { known, unknown, type Known } from '../../base/known'
import type { CrewEntry } from '../../file/parts/crew'
import type { Crew } from '../../plan/hands/begunPlan'

/** Who works from which day on; days of the crew are counted from it. */
export interface CrewFrom {
  readonly first: Day
  readonly crew: Crew
}

const DAYS = 7

/** The hands that there are from today, or from a later day that was told. */
export function crewFrom(entry: CrewEntry | undefined, today: Day): Known<CrewFrom> {
  if (!entry) return unknown('who works when', 'crew')
  if (entry.hours.every((hours) => hours === 0)) return unknown('hours on any day of the week', 'crew.hours')
  const first = entry.from !== undefined && entry.from > today ? entry.from : today
  const monday = weekdayOf(first)
  const { hands, hours, helperDays = [], closed = [] } = entry
  return known({
    first,
    crew: {
      hands: hands === 2 ? 2 : 1,
      hours: hours.map((_, day) => hours[(day + monday) % DAYS] ?? 0),
      helperDays: helperDays.map((day) => (day - monday + DAYS) % DAYS),
      closed: closed.map((day) => daysBetween(first, day)).filter((day) => day >= 0),
    },
  })
}

/** The day of a plan by its number. */
export const dayOf = ({ first }: Pick<CrewFrom, 'first'>, day: number): Day => dayAfter(first, day)
