import { CoreError, requireFinite } from '../../base/errors'

/** Hours of the seven days from the first on, over and over. */
export interface WorkWeek {
  readonly hours: readonly number[]
  /** Days of the week on which a second pair of hands is there. */
  readonly helperDays?: readonly number[] | undefined
  /** Days from the first on, 0, on which nobody works. */
  readonly closed?: readonly number[] | undefined
}

/** Working hours beside days: hours run on only while somebody works. */
export interface WorkCalendar {
  /** Working hours that have gone when a day begins; the first day is 0. */
  readonly atDay: (day: number) => number
  /** The day in which a working hour ends; the very end of a day is that day's. */
  readonly dayOfEnd: (hour: number) => number
  /** The day in which work begins that begins at an hour: the next with hours where one has just ended. */
  readonly dayOfStart: (hour: number) => number
  /** The first hour at or after another in which two can work so long within one helper's day. */
  readonly withHelper: (from: number, hours: number) => number
}

const DAYS = 7
const SAME_H = 1e-9

/**
 * The calendar of a week that comes over and over.
 *
 * @throws CoreError `wrong-length` for other than seven days, `out-of-range` for hours below nought or a week without any, `not-finite`
 */
export function calendarOf({ hours, helperDays = [], closed = [] }: WorkWeek): WorkCalendar {
  if (hours.length !== DAYS) throw new CoreError('wrong-length', 'hours', 'one for each of seven days')
  for (const [day, one] of hours.entries()) {
    requireFinite(one, `hours of day ${day}`)
    if (one < 0 || one > 24)
      throw new CoreError('out-of-range', `hours of day ${day}`, 'lie between 0 and 24')
  }
  const starts = hours.map((_, day) => hours.slice(0, day).reduce((all, one) => all + one, 0))
  const week = hours.reduce((all, one) => all + one, 0)
  if (week === 0) throw new CoreError('out-of-range', 'hours', 'nobody works on any day')
  const hoursOf = (day: number) => hours[((day % DAYS) + DAYS) % DAYS] ?? NaN
  const shut = [...new Set(closed)].filter((day) => day >= 0)
  const lost = (day: number) => shut.reduce((all, one) => (one < day ? all + hoursOf(one) : all), 0)
  const atDay = (day: number) =>
    Math.floor(day / DAYS) * week + (starts[((day % DAYS) + DAYS) % DAYS] ?? NaN) - lost(day)
  const dayOfEnd = (hour: number) => {
    let day = Math.max(0, Math.floor((hour - SAME_H) / week) * DAYS)
    while (atDay(day + 1) < hour - SAME_H) day++
    return day
  }
  const dayOfStart = (hour: number) => {
    let day = dayOfEnd(hour)
    while (atDay(day + 1) <= hour + SAME_H) day++
    return day
  }
  const longest = Math.max(0, ...helperDays.map((day) => hours[day] ?? 0))
  const withHelper = (from: number, long: number) => {
    if (long > longest + SAME_H)
      throw new CoreError('out-of-range', 'helper', 'is there on no day for so long')
    for (let day = dayOfEnd(from); ; day++) {
      const start = Math.max(from, atDay(day))
      if (helperDays.includes(day % DAYS) && start + long <= atDay(day + 1) + SAME_H) return start
    }
  }
  return { atDay, dayOfEnd, dayOfStart, withHelper }
}
