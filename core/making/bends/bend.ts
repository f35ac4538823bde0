import { radians } from '../../base/units/angle'

/** Metal that is bent: where its neutral line runs is told by K, from the inside, as a share of the thickness. */
export interface BentMetal {
  readonly thicknessMm: number
  readonly insideRadiusMm: number
  readonly kFactor: number
}

/** What one bend takes of a bar. */
export interface BendTake {
  /** Metal in the bend itself, along its neutral line. */
  readonly allowanceMm: number
  /** From the corner of the mid-lines to where the bend begins. */
  readonly setbackMm: number
  /** What a bar is shorter than its legs: measured on the mid-line, and to the corner of the outsides. */
  readonly deductionMidMm: number
  readonly deductionOutMm: number
}

/**
 * What a bend takes of a bar: arc length on the neutral line against the tangents that it replaces.
 *
 * @param angleDeg - change of direction, above 0 and below 180
 */
export function bendTake(angleDeg: number, { thicknessMm, insideRadiusMm, kFactor }: BentMetal): BendTake {
  const angle = radians(angleDeg)
  const tangent = Math.tan(angle / 2)
  const allowanceMm = angle * (insideRadiusMm + kFactor * thicknessMm)
  const setbackMm = (insideRadiusMm + thicknessMm / 2) * tangent
  return {
    allowanceMm,
    setbackMm,
    deductionMidMm: 2 * setbackMm - allowanceMm,
    deductionOutMm: 2 * (insideRadiusMm + thicknessMm) * tangent - allowanceMm,
  }
}
