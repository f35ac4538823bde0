import { CoreError, requireFinite } from '../errors'
import { axisDirection } from '../frame/axis'
import { dot, type Vec3 } from '../linalg/vec3'
import { asRadians, type Radians } from '../units/angle'

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
  const x = Math.sin(rearLow)
  const y = -Math.sin(leftLow)
  const rest = 1 - x * x - y * y
  if (rest <= 0)
    throw new CoreError('out-of-range', 'attitude', 'expected a vehicle that stands, got one on its side')
  return [x, y, Math.sqrt(rest)]
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
