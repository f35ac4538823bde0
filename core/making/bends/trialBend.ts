import { CoreError } from '../../base/errors'
import { radians } from '../../base/units/angle'
import type { BentMetal } from './bend'

/** One strip that was bent once, measured before and after. */
export interface TrialStrip extends Omit<BentMetal, 'kFactor'> {
  readonly blankMm: number
  /** Both legs, to the corner of the outsides. */
  readonly legsMm: readonly [number, number]
  /** Change of direction. */
  readonly angleDeg: number
}

export interface TrialBend {
  readonly deductionMm: number
  readonly kFactor: number
  /** What K changes by for each mm that the two legs together are longer. */
  readonly kPerMm: number
  /** Steel bent cold has its neutral line between these. */
  readonly isPlausible: boolean
}

const PLAUSIBLE_K = [0.2, 0.5] as const

/**
 * The K of this metal on this press, from a strip: the outside deduction solved for K.
 *
 * @throws CoreError `out-of-range` where the neutral line would lie outside the metal: a length is wrong, or the angle is the included one
 */
export function trialBend(strip: TrialStrip): TrialBend {
  const { blankMm, legsMm, angleDeg, thicknessMm, insideRadiusMm } = strip
  const angle = radians(angleDeg)
  if (!(angle > 0 && angle < Math.PI))
    throw new CoreError('out-of-range', 'angle', 'lies above 0 and below 180°')
  const deductionMm = legsMm[0] + legsMm[1] - blankMm
  const allowanceMm = 2 * (insideRadiusMm + thicknessMm) * Math.tan(angle / 2) - deductionMm
  const kFactor = (allowanceMm / angle - insideRadiusMm) / thicknessMm
  if (!(kFactor > 0 && kFactor < 1))
    throw new CoreError(
      'out-of-range',
      'K',
      'lies outside the metal: a length or the angle (included?) is wrong',
    )
  const isPlausible = kFactor >= PLAUSIBLE_K[0] && kFactor <= PLAUSIBLE_K[1]
  return { deductionMm, kFactor, kPerMm: -1 / (angle * thicknessMm), isPlausible }
}

/**
 * The angle to bend to so that the wanted one stays.
 *
 * @param springs - what comes back, in degrees, or what is bent for each degree that stays
 */
export const pressedDeg = (
  wantedDeg: number,
  springs: { readonly backDeg: number } | { readonly ratio: number },
): number => ('backDeg' in springs ? wantedDeg + springs.backDeg : wantedDeg * springs.ratio)
