import { known, unknown, type Known } from '../base/known'
import type { Line } from '../file/parts/lineSpec'
import { fixed } from '../base/units/format'

/** Half a degree short of a right angle nothing turns any more, and every ratio runs away. */
export const LOCKED_DEG = 89.5

/**
 * Why a joint at this angle cannot turn, in words; null when it can.
 *
 * @param angleDeg - working angle, 0 to 180
 */
export function lockReason(angleDeg: number): string | null {
  if (angleDeg < LOCKED_DEG) return null
  return angleDeg > 135
    ? `at ${fixed(angleDeg, 0)}° the line doubles back: its joints or its power flow are named the wrong way round`
    : `at ${fixed(angleDeg, 0)}° a joint cannot turn`
}

/** Figures of a line whose joints can all turn; else unknown, with the joint that cannot. */
export function turning<T extends { readonly anglesDeg: readonly number[] }>(
  line: Line,
  figures: Known<T>,
): Known<T> {
  if (!figures.known) return figures
  const index = figures.value.anglesDeg.findIndex((angle) => lockReason(angle) !== null)
  if (index < 0) return known(figures.value, figures.assumptions)
  return unknown(`${line.name}: joint ${index + 1}, ${lockReason(figures.value.anglesDeg[index] ?? NaN)}`)
}
