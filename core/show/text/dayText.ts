import { DateFormatter, parseDate } from '@internationalized/date'
import { daysBetween, type Day } from '../../base/days'

const LOCALE = 'en-GB'
const UTC = 'UTC'
const near = new DateFormatter(LOCALE, { timeZone: UTC, weekday: 'short', day: 'numeric', month: 'long' })
const far = new DateFormatter(LOCALE, { timeZone: UTC, day: 'numeric', month: 'long', year: 'numeric' })
const short = new DateFormatter(LOCALE, { timeZone: UTC, day: 'numeric', month: 'short' })
/** So far off a weekday tells nobody anything, and the year does. */
const FAR_DAYS = 300

const said = (format: DateFormatter, day: Day): string =>
  format.format(parseDate(day).toDate(UTC)).replace(',', '')

/** A day as one says it, seen from another. */
export const dayText = (day: Day, from: Day): string =>
  said(Math.abs(daysBetween(from, day)) > FAR_DAYS ? far : near, day)

/** A day for a mark of the ruler. */
export const shortDay = (day: Day): string => said(short, day)

export const daysText = (days: number): string => (days === 1 ? '1 day' : `${days} days`)
