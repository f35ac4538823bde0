import { dayAfter, daysBetween, isDay, weekdayOf } from './days'

describe('days of the calendar', () => {
  it('are counted over months, leap years and changes of the clock', () => {
    expect(dayAfter('2026-12-28', 7)).toBe('2027-01-04')
    expect(dayAfter('2028-03-01', -1)).toBe('2028-02-29')
    expect(daysBetween('2026-03-01', '2026-11-01')).toBe(245)
    expect(daysBetween('2026-11-01', '2026-10-25')).toBe(-7)
  })
  it('begin their weeks on Monday', () => {
    expect(['2026-11-30', '2026-12-05', '2026-12-06'].map(weekdayOf)).toEqual([0, 5, 6])
  })
  it('are days that there are', () => {
    expect(['2026-02-28', '2028-02-29'].every(isDay)).toBe(true)
    expect(['2026-02-29', '2026-13-01', '2026-1-1', '26-01-01', '2026-01-01T10:00', ''].some(isDay)).toBe(
      false,
    )
  })
})
