import { MM_PER_UNIT } from '../../base/units/unitSettings'
import { fixed, wholeAndFraction } from '../../base/units/format'

/** Which way a length may be rounded. */
export type SafeWay = 'shorter' | 'longer' | 'nearest'

/** Whole steps of a size that keep to the safe side of it. */
const steps = (mm: number, step: number, way: SafeWay): number => {
  const exact = mm / step
  if (way === 'nearest') return Math.round(exact)
  return way === 'shorter' ? Math.floor(exact + 1e-6) : Math.ceil(exact - 1e-6)
}

/** A length in the shop's own steps, 1 mm and a fraction of an inch, rounded the safe way: "1243 mm or 48 15/16″". */
export function shopLength(mm: number, inchFraction: 16 | 32, way: SafeWay): string {
  const inches = steps(mm, MM_PER_UNIT.in / inchFraction, way)
  return `${fixed(steps(mm, 1, way), 0)} mm or ${wholeAndFraction(inches, inchFraction)}"`
}

export const WAY_WORDS: Readonly<Record<SafeWay, string>> = {
  shorter: 'rounded down, the safe way: a shorter one keeps more room to come up',
  longer: 'rounded up, the safe way: a longer one keeps more spline engaged',
  nearest: 'to the nearest: neither way is safer',
}
