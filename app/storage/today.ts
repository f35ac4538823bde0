/**
 * The day in the builder's own time zone, as files write it: "2026-11-29".
 *
 * @param now - late in the evening west of Greenwich the day there is already the next
 */
export const today = (now = new Date()): string => {
  const part = (figure: number, digits: number) => String(figure).padStart(digits, '0')
  return [part(now.getFullYear(), 4), part(now.getMonth() + 1, 2), part(now.getDate(), 2)].join('-')
}
