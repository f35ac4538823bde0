import ICAL from 'ical.js'
import { dayAfter, type Day } from '../../base/days'
import type { GateDay } from '../gates/gateDays'
import { dayOf } from '../plan/crewOf'
import { lateTimes } from '../plan/lateTimes'
import { orderKey } from '../plan/nodes'
import type { WorkPlan } from '../plan/planned'
import { taskName } from '../tasks/taskName'

/** A day of the plan for a calendar. */
export interface PlanDay {
  /** Stays the same as long as it is the same thing. */
  readonly id: string
  readonly day: Day
  readonly title: string
}

/** The days of a plan that somebody has to think of: the last to order, arrivals, gates, when it drives. */
export function planDays(
  plan: WorkPlan,
  gates: readonly (GateDay & { readonly name: string })[] = [],
): PlanDay[] {
  const late = lateTimes(plan)
  const bought = plan.planned.flatMap(({ node, startDay }): PlanDay[] => {
    const { task, part } = node
    if (task?.sort !== 'buy') return []
    if (part === 'order') {
      const day = late.get(orderKey(task.key))?.orderBy
      return day ? [{ id: `${task.key}-order`, day, title: `last day to order: ${taskName(task)}` }] : []
    }
    return [{ id: `${task.key}-here`, day: dayOf(plan, startDay), title: `comes: ${taskName(task)}` }]
  })
  const passed = gates.map(({ gate, day, name }) => ({
    id: `gate-${gate}`,
    day: dayOf(plan, day),
    title: `gate: ${name}`,
  }))
  return [
    ...bought,
    ...passed,
    { id: 'drives', day: dayOf(plan, plan.finishDay), title: 'it drives, by the plan' },
  ]
}

/**
 * Days as an iCalendar file: whole days, of no time zone.
 *
 * @param build - whose days they are: its id, and its name before every title
 * @param now - when the file is made, such as 2026-11-29T20:57:00Z
 */
export function calendarText(
  days: readonly PlanDay[],
  build: { readonly id: string; readonly name: string },
  now: string,
): string {
  const calendar = new ICAL.Component(['vcalendar', [], []])
  calendar.updatePropertyWithValue('version', '2.0')
  calendar.updatePropertyWithValue('prodid', '-//Lurvan//plan//EN')
  for (const { id, day, title } of days) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', `${build.id}-${id.replace(/\//g, '-')}`)
    event.updatePropertyWithValue('dtstamp', ICAL.Time.fromDateTimeString(now))
    event.updatePropertyWithValue('dtstart', ICAL.Time.fromDateString(day))
    event.updatePropertyWithValue('dtend', ICAL.Time.fromDateString(dayAfter(day, 1)))
    event.updatePropertyWithValue('summary', `${build.name}: ${title}`)
    event.updatePropertyWithValue('transp', 'TRANSPARENT')
    calendar.addSubcomponent(event)
  }
  return `${calendar.toString()}\r\n`
}
