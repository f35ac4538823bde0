import { CoreError, requireFinite } from '../errors'
import { axisDirection } from '../frame/axis'
import { dot, type Vec3 } from '../linalg/vec3'
import { asRadians, type Radians } from '../units/angle'

/** How the vehicle stood in one setup. */
export interface Attitude {
  /** World up in the chassis frame. */
  readonly up: Vec3
  /** Slope of the chassis along, in degrees, positive when its rear is low. */
  readonly rearLowDeg: number
  /** Slope of the chassis across, in degrees, positive when its left is low. */
  readonly leftLowDeg: number
}

/** World "up" as seen from a level chassis. */
export const LEVEL_UP: Vec3 = [0, 0, 1]

/**
 * World "up" in the chassis frame, from what a level shows along and across the chassis.
 *
 * @param rearLow - slope of the chassis' fore-and-aft axis, positive when its rear is low
 * @param leftLow - slope of the chassis' cross axis, positive when its left is low
 * @returns unit vector; its X and Y parts are the sines of the two slopes, so no order of rotations is implied
 * @throws CoreError `out-of-range` when the two slopes cannot belong to one attitude
 * @see docs/methods/readings.md
 */
export function chassisUp(rearLow: Radians, leftLow: Radians): Vec3 {
  requireFinite(rearLow, 'rearLow')
  requireFinite(leftLow, 'leftLow')
  if (!isStanding(rearLow, leftLow))
    throw new CoreError('out-of-range', 'attitude', 'expected a vehicle that stands, got one on its side')
  const x = Math.sin(rearLow)
  const y = -Math.sin(leftLow)
  return [x, y, Math.sqrt(1 - x * x - y * y)]
}

/** True when two slopes along and across can belong to one attitude. */
export const isStanding = (rearLow: Radians, leftLow: Radians): boolean =>
  Math.sin(rearLow) ** 2 + Math.sin(leftLow) ** 2 < 1

/**
 * Slope along the chassis at which an axis lies level, that is its face stands plumb: solves d·up(rearLow, leftLow) = 0.
 *
 * With x = sin rearLow = c·sin φ, c² = 1 − sin²leftLow, the equation is one harmonic c·(d_x·sin φ + d_z·cos φ) = d_y·sin
 * leftLow; of its two roots the one of the vehicle that stands more level is meant.
 *
 * @param direction - of the axis, chassis frame
 * @param leftLow - slope across the chassis, positive when its left is low
 * @returns positive when the chassis' rear is low
 * @see docs/methods/readings.md
 */
export function rearLowForLevelAxis(direction: Vec3, leftLow: Radians): Radians {
  const [x, y, z] = direction
  const cosine = Math.cos(leftLow)
  const sine = Math.max(-1, Math.min(1, (y * Math.sin(leftLow)) / (cosine * Math.hypot(x, z))))
  const lead = Math.atan2(z, x)
  const roots = [Math.asin(sine) - lead, Math.PI - Math.asin(sine) - lead].map((angle) =>
    Math.atan2(Math.sin(angle), Math.cos(angle)),
  )
  const phi = roots.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a))
  return asRadians(Math.asin(cosine * Math.sin(phi)))
}

/**
 * Slope of a rearward chassis-frame direction to the horizontal, positive when its rear end is low.
 */
export const slopeOf = (direction: Vec3, up: Vec3): Radians =>
  asRadians(Math.asin(clampSine(-dot(direction, up))))

/** Rounding may push a sine past 1 by an ulp. */
const clampSine = (sine: number): number => Math.max(-1, Math.min(1, sine))

/**
 * Fall of an axis whose slope to the horizontal was read, with its plan known: solves (d(fall, plan))·up = −sin slope.
 *
 * @param slope - positive when the rear end is low
 * @param plan - positive when the rear end lies to the left
 * @param up - world up in the chassis frame
 * @returns the fall, or null when no axis of this plan can have this slope in this attitude
 * @see docs/methods/readings.md
 */
export function fallFromSlope(slope: Radians, plan: Radians, up: Vec3): Radians | null {
  // d·up = A·cos fall − up_z·sin fall = R·cos(fall + lead): one harmonic, solved in closed form.
  const level = axisDirection({ fall: asRadians(0), plan })
  const across = dot(level, up)
  const reach = Math.hypot(across, up[2])
  const cosine = -Math.sin(slope) / reach
  if (Math.abs(cosine) > 1) return null
  return asRadians(Math.acos(cosine) - Math.atan2(up[2], across))
}
