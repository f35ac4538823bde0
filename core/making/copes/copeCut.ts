import { radians } from '../../base/units/angle'

/** A round tube that meets another: the branch is cut to lie on the main tube. */
export interface TubeJoint {
  readonly branchOuterMm: number
  readonly branchWallMm: number
  readonly mainOuterMm: number
  /** Between the two axes; square is 90°. */
  readonly angleDeg: number
  /** Least distance of the axes. */
  readonly offsetMm: number
}

/** `[√(R² − (e + ρ·sin φ)²) + ρ·cos φ·cos θ]/sin θ`: where a line of the branch at a radius meets the main tube; NaN where it passes it by. */
export function surfaceAt(
  { mainOuterMm, angleDeg, offsetMm }: TubeJoint,
  phi: number,
  radius: number,
): number {
  const aside = offsetMm + radius * Math.sin(phi)
  const angle = radians(angleDeg)
  const square = (mainOuterMm / 2) ** 2 - aside * aside
  return (Math.sqrt(square) + radius * Math.cos(phi) * Math.cos(angle)) / Math.sin(angle)
}

/**
 * Where a blade held square to the branch cuts it at one of its lines: the furthest of its whole wall, so that none of it fouls; NaN where
 * all of it passes the main tube by. It is asked often and keeps nothing.
 */
export function cutFrom(joint: TubeJoint, phi: number): number {
  const outer = joint.branchOuterMm / 2
  const inner = outer - joint.branchWallMm
  const highest = Math.min(outer, Math.max(inner, highestRadius(joint, phi)))
  return further(
    further(surfaceAt(joint, phi, outer), surfaceAt(joint, phi, inner)),
    surfaceAt(joint, phi, highest),
  )
}

const further = (a: number, b: number): number => (a > b || Number.isNaN(b) ? a : b)

/** The radius at which a line is furthest out: it is a hollow arch over the radius, with one top. */
function highestRadius({ mainOuterMm, angleDeg, offsetMm }: TubeJoint, phi: number): number {
  const sine = Math.sin(phi)
  const rise = Math.cos(phi) * Math.cos(radians(angleDeg))
  if (Math.abs(sine) < 1e-12) return rise > 0 ? Infinity : 0
  const slope = rise / sine
  return (((mainOuterMm / 2) * slope) / Math.sqrt(1 + slope * slope) - offsetMm) / sine
}
