import { requireFinite } from '../../base/errors'

/** Normal deviate that 97.5 % stay below. */
const NORMAL = 1.959963984540054

/** A ± is two standard deviations, which is already a little more than 95 %. */
const TWO_SIGMA = 2

/**
 * How much wider a ± of two standard deviations must be when they were learnt from few differences, so that it still covers
 * 95 %: t(97.5 %, freedom)/2, never below 1.
 *
 * @param freedom - degrees of freedom, at least 3, need not be whole; Infinity when the deviation is known
 * @returns 1 or more
 * @throws CoreError `not-finite` for NaN
 * @see docs/methods/uncertainty.md (Cornish and Fisher 1938, expansion of Student's t to the fourth order: good to 0.3 % from 3)
 * @example studentFactor(Infinity) // 1
 */
export function studentFactor(freedom: number): number {
  if (freedom === Infinity) return 1
  requireFinite(freedom, 'freedom')
  const z = NORMAL
  const first = (z ** 3 + z) / 4
  const second = (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96
  const third = (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384
  const fourth = (79 * z ** 9 + 776 * z ** 7 + 1482 * z ** 5 - 1920 * z ** 3 - 945 * z) / 92160
  const n = Math.max(3, freedom)
  const student = z + first / n + second / n ** 2 + third / n ** 3 + fourth / n ** 4
  return Math.max(1, student / TWO_SIGMA)
}
