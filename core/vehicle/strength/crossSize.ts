import { radians } from '../../base/units/angle'

/** A cross of a universal joint by its dimensions. */
export interface CrossSize {
  /** Between the middles of two needle rows that face each other. */
  readonly spanMm: number
  readonly trunnionMm: number
  /** Of the grease hole through the trunnion. */
  readonly boreMm: number
}

/** What a torque does to a cross. */
export interface CrossLoad {
  readonly forceN: number
  /** Mean shear of the trunnion's section. */
  readonly shearMPa: number
}

/**
 * Load of a cross at the worst point of its turn: it carries T/cos β, as a pair of forces over its span.
 *
 * @param torqueNm - of the shaft
 * @param angleDeg - working angle
 * @see docs/methods/strength.md
 */
export function crossLoad(
  { spanMm, trunnionMm, boreMm }: CrossSize,
  torqueNm: number,
  angleDeg: number,
): CrossLoad {
  const forceN = (Math.abs(torqueNm) * 1000) / Math.cos(radians(angleDeg)) / spanMm
  return { forceN, shearMPa: forceN / ((Math.PI / 4) * (trunnionMm ** 2 - boreMm ** 2)) }
}
