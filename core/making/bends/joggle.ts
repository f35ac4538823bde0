import { CoreError } from '../../base/errors'
import { asRadians, degrees, radians } from '../../base/units/angle'
import { bendTake, type BentMetal } from './bend'

/** Two equal bends, one up and one down, that shift a bar to the side. */
export interface JoggleSpec {
  readonly metal: BentMetal
  /** From mid-line to mid-line. */
  readonly offsetMm: number
  /** One of the two is told: how steep it is, or over how much of the bar it goes. */
  readonly by: { readonly angleDeg: number } | { readonly runMm: number }
  /** Four thicknesses when absent. */
  readonly leastStraightMm?: number
}

export interface Joggle {
  readonly angleDeg: number
  readonly runMm: number
  readonly slopeMm: number
  /** What stays straight on the slope. */
  readonly straightMm: number
  readonly isStraightEnough: boolean
  /** How much longer the blank is than the way the bar goes. */
  readonly extraMm: number
  /** The steepest angle that leaves what has to stay straight. */
  readonly steepestDeg: number
}

/**
 * A joggle of a bar.
 *
 * @throws CoreError `out-of-range` for no offset, an angle above 90° or bends that overlap
 */
export function joggle({ metal, offsetMm, by, leastStraightMm = 4 * metal.thicknessMm }: JoggleSpec): Joggle {
  if (!(offsetMm > 0)) throw new CoreError('out-of-range', 'offset', 'a joggle shifts the bar to the side')
  const angle = 'angleDeg' in by ? radians(by.angleDeg) : asRadians(Math.atan(offsetMm / by.runMm))
  const angleDeg = degrees(angle)
  if (!(angleDeg > 0 && angleDeg <= 90))
    throw new CoreError('out-of-range', 'angle', 'lies above 0 and to 90°')
  const { setbackMm, deductionMidMm } = bendTake(angleDeg, metal)
  const slopeMm = offsetMm / Math.sin(angle)
  const runMm = slopeMm * Math.cos(angle)
  const straightMm = slopeMm - 2 * setbackMm
  if (straightMm < 0)
    throw new CoreError('out-of-range', 'offset', 'is too low for this angle: the bends overlap')
  return {
    angleDeg,
    runMm,
    slopeMm,
    straightMm,
    isStraightEnough: straightMm >= leastStraightMm,
    extraMm: slopeMm - 2 * deductionMidMm - runMm,
    steepestDeg: steepestDeg(offsetMm, metal, leastStraightMm),
  }
}

/** Where `h/sin A − 2(R + t/2)·tan(A/2)` comes down to the least: a quadratic in tan(A/2). */
function steepestDeg(offsetMm: number, { insideRadiusMm, thicknessMm }: BentMetal, leastMm: number): number {
  const corners = 2 * (insideRadiusMm + thicknessMm / 2)
  const root = leastMm * leastMm - offsetMm * (offsetMm - 2 * corners)
  if (root < 0) return 90
  return Math.min(90, degrees(2 * Math.atan(offsetMm / (leastMm + Math.sqrt(root)))))
}
