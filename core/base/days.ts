import { getDayOfWeek, parseDate } from '@internationalized/date'

/** A day of the calendar as files write it, such as 2026-11-29; of no time zone. */
export type Day = string

const AS_WRITTEN = /^\d{4}-\d{2}-\d{2}$/

/** True for a day that the calendar has. */
export function isDay(text: string): boolean {
  if (!AS_WRITTEN.test(text)) return false
  try {
    return parseDate(text).toString() === text
  } catch {
    return false
  }
}

/** The day so many days later. */
export const dayAfter = (day: Day, days: number): Day => parseDate(day).add({ days }).toString()

/** How many days from one to another; below nought where it is earlier. */
export const daysBetween = (from: Day, to: Day): number => parseDate(to).compare(parseDate(from))

/** Monday 0 … Sunday 6. */
export const weekdayOf = (day: Day): number => getDayOfWeek(parseDate(day), 'en-GB', 'mon')
