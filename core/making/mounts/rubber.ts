import { CoreError } from '../../base/errors'

/** A rubber sleeve between two tubes. */
export interface Sleeve {
  readonly shoreA: number
  readonly outerRadiusMm: number
  readonly innerRadiusMm: number
  readonly longMm: number
}

/** How a sleeve holds, N/mm. */
export interface SleeveStiffness {
  readonly axial: number
  /** Between that of a short one and that of a long one. */
  readonly radialShort: number
  readonly radialLong: number
}

/** A rectangular pad of rubber between two plates. */
export interface RubberPad {
  readonly shoreA: number
  readonly longMm: number
  readonly wideMm: number
  readonly highMm: number
}

/** So much a figure from sizes may be off, as a share. */
export const RUBBER_SPREAD = 0.4

function shearModulus(shoreA: number): number {
  if (!(shoreA >= 20 && shoreA < 100))
    throw new CoreError('out-of-range', 'hardness', 'Shore A lies from 20 to below 100')
  // Elasticity of rubber by its hardness (Gent 1958), N/mm².
  return (0.0981 * (56 + 7.66 * shoreA)) / (0.1375 * (254 - 2.54 * shoreA)) / 3
}

/**
 * A bush from its sizes, ± 40 %: shear along its axis, and across it between the bounds of a short and a long one (Adkins and Gent 1954).
 *
 * @throws CoreError `out-of-range` for a hardness or sizes that cannot be
 */
export function sleeveStiffness({ shoreA, outerRadiusMm, innerRadiusMm, longMm }: Sleeve): SleeveStiffness {
  if (!(innerRadiusMm > 0 && outerRadiusMm > innerRadiusMm && longMm > 0))
    throw new CoreError('out-of-range', 'bush', 'its outside is larger than its inside')
  const shear = shearModulus(shoreA)
  const [outer, inner] = [outerRadiusMm ** 2, innerRadiusMm ** 2]
  const [sum, difference] = [outer + inner, outer - inner]
  const log = Math.log(outerRadiusMm / innerRadiusMm)
  const whole = Math.PI * shear * longMm
  return {
    axial: (2 * whole) / log,
    radialShort: (80 * whole * sum) / (25 * sum * log - 9 * difference),
    radialLong: (4 * whole * sum) / (sum * log - difference),
  }
}

/**
 * A pad from its sizes, ± 40 %: `3G(1 + 2s²)·A/h` pressed, s the loaded area over the free edge, and `G·A/h` in shear.
 *
 * @throws CoreError `out-of-range` for a hardness or sizes that cannot be
 */
export function padStiffness({ shoreA, longMm, wideMm, highMm }: RubberPad): {
  readonly press: number
  readonly shear: number
} {
  if (!(longMm > 0 && wideMm > 0 && highMm > 0))
    throw new CoreError('out-of-range', 'pad', 'its sizes are above 0')
  const area = longMm * wideMm
  const shape = area / (2 * (longMm + wideMm) * highMm)
  const shear = (shearModulus(shoreA) * area) / highMm
  return { press: 3 * shear * (1 + 2 * shape * shape), shear }
}
