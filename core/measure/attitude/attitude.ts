import { workedOnce, type Kernel, type Row } from '../../base/columns/kernel'
import { CoreError, requireFinite } from '../../base/errors'
import type { Vec3 } from '../../base/linalg/vec3'
import { asRadians, degrees, radians, type Radians } from '../../base/units/angle'

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
 * World up in the chassis frame from the slopes of the chassis along and across, in degrees, rear low and left low positive.
 *
 * Its X and Y parts are the sines of the two slopes, so no order of rotations is implied.
 */
export const UP_OF_CHASSIS: Kernel = {
  name: 'which way is up, from the slopes of the chassis',
  page: 'readings',
  outputs: 3,
  run: (count, [rearLow, leftLow], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      x[i] = Math.sin(radians(rearLow[i]))
      // Y points left, and up leans away from the low side.
      y[i] = -Math.sin(radians(leftLow[i]))
      // Steeper slopes than belong to one vehicle leave no room for an upright part.
      const rest = 1 - x[i] * x[i] - y[i] * y[i]
      z[i] = rest > 0 ? Math.sqrt(rest) : NaN
    }
  },
}

/** Slopes of the chassis along and across, in degrees, from world up in the chassis frame. */
export const SLOPES_OF_UP: Kernel = {
  name: 'slopes of the chassis',
  page: 'readings',
  outputs: 2,
  run: (count, [x, y], [rearLow, leftLow]) => {
    for (let i: Row = 0; i < count; i++) {
      rearLow[i] = degrees(Math.asin(clampSine(x[i])))
      leftLow[i] = degrees(-Math.asin(clampSine(y[i])))
    }
  },
}

/**
 * Slope along the chassis at which an axis lies level, that is its face stands plumb, in degrees: d·up(rearLow, leftLow) = 0.
 *
 * With x = sin rearLow = c·sin φ, c² = 1 − sin²leftLow, the equation is one harmonic c·(d_x·sin φ + d_z·cos φ) = d_y·sin
 * leftLow; of its two roots the one of the vehicle that stands more level is meant.
 */
export const REAR_LOW_FOR_LEVEL_AXIS: Kernel = {
  name: 'pitch of the chassis that makes the face plumb',
  page: 'readings',
  outputs: 1,
  run: (count, [x, y, z, leftLowDeg], [rearLowDeg]) => {
    for (let i: Row = 0; i < count; i++) {
      const leftLow = radians(leftLowDeg[i])
      const cosine = Math.cos(leftLow)
      const sine = clampSine((y[i] * Math.sin(leftLow)) / (cosine * Math.sqrt(x[i] * x[i] + z[i] * z[i])))
      const lead = Math.atan2(z[i], x[i])
      const first = wrapped(Math.asin(sine) - lead)
      // A sine has two angles.
      const second = wrapped(Math.PI - Math.asin(sine) - lead)
      const phi = Math.abs(second) < Math.abs(first) ? second : first
      rearLowDeg[i] = degrees(Math.asin(cosine * Math.sin(phi)))
    }
  },
}

const wrapped = (angle: number): number => Math.atan2(Math.sin(angle), Math.cos(angle))

/**
 * Slope to the horizontal, in degrees, that a level shows which was zeroed on a surface: its own reading and the slope of the
 * surface, whose direction (chassis frame, rearward) is the parameters.
 */
export const SLOPE_OVER_SURFACE: Kernel = {
  name: 'slope from a level zeroed on the chassis',
  page: 'readings',
  outputs: 1,
  run: (count, [shown, upX, upY, upZ], [slope], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++)
      slope[i] = shown[i] + degrees(slopeAgainst(x, y, z, upX[i], upY[i], upZ[i]))
  },
}

const slopeAgainst = (x: number, y: number, z: number, upX: number, upY: number, upZ: number): number =>
  Math.asin(clampSine(-(x * upX + y * upY + z * upZ)))

/**
 * Rearward unit vector of an axis whose slope to the horizontal was read in degrees, with its plan in radians known, and world
 * up: solves (d(fall, plan))·up = −sin slope. Nothing where no axis of this plan has this slope in this attitude.
 *
 * With A = d(0, plan)·up and R² = A² + up_z², d·up = A·cos fall − up_z·sin fall = R·cos(fall + lead): one harmonic.
 */
export const DIRECTION_FROM_SLOPE: Kernel = {
  name: 'direction to the chassis from the slope shown',
  page: 'readings',
  outputs: 3,
  run: (count, [slopeDeg, plan, upX, upY, upZ], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const cosPlan = Math.cos(plan[i])
      const sinPlan = Math.sin(plan[i])
      const across = upY[i] * sinPlan - upX[i] * cosPlan
      const reach2 = across * across + upZ[i] * upZ[i]
      // A rear end that is low points away from up.
      const drop = -Math.sin(radians(slopeDeg[i]))
      const rest = Math.sqrt(reach2 - drop * drop)
      const cosFall = (drop * across + rest * upZ[i]) / reach2
      x[i] = -cosFall * cosPlan
      y[i] = cosFall * sinPlan
      z[i] = -(rest * across - drop * upZ[i]) / reach2
    }
  },
}

/** Rounding may push a sine past 1 by an ulp. */
const clampSine = (sine: number): number => Math.max(-1, Math.min(1, sine))

/**
 * World "up" in the chassis frame, from what a level shows along and across the chassis.
 *
 * @param rearLow - slope of the chassis' fore-and-aft axis, positive when its rear is low
 * @param leftLow - slope of the chassis' cross axis, positive when its left is low
 * @returns unit vector
 * @throws CoreError `out-of-range` when the two slopes cannot belong to one attitude
 * @see docs/methods/readings.md
 */
export function chassisUp(rearLow: Radians, leftLow: Radians): Vec3 {
  requireFinite(rearLow, 'rearLow')
  requireFinite(leftLow, 'leftLow')
  const [x = NaN, y = NaN, z = NaN] = workedOnce(UP_OF_CHASSIS, [degrees(rearLow), degrees(leftLow)])
  if (Number.isNaN(z))
    throw new CoreError('out-of-range', 'attitude', 'expected a vehicle that stands, got one on its side')
  return [x, y, z]
}

/**
 * Slope along the chassis at which an axis lies level.
 *
 * @param direction - of the axis, chassis frame
 * @param leftLow - slope across the chassis, positive when its left is low
 * @returns positive when the chassis' rear is low
 * @see docs/methods/readings.md
 */
export const rearLowForLevelAxis = (direction: Vec3, leftLow: Radians): Radians =>
  radians(workedOnce(REAR_LOW_FOR_LEVEL_AXIS, [...direction, degrees(leftLow)])[0] ?? NaN)

/**
 * Slope of a rearward chassis-frame direction to the horizontal, positive when its rear end is low.
 */
export const slopeOf = ([x, y, z]: Vec3, [upX, upY, upZ]: Vec3): Radians =>
  asRadians(slopeAgainst(x, y, z, upX, upY, upZ))

/**
 * Fall of an axis whose slope to the horizontal was read, with its plan known.
 *
 * @param slope - positive when the rear end is low
 * @param plan - positive when the rear end lies to the left
 * @param up - world up in the chassis frame
 * @returns the fall, or null when no axis of this plan can have this slope in this attitude
 * @see docs/methods/readings.md
 */
export function fallFromSlope(slope: Radians, plan: Radians, up: Vec3): Radians | null {
  const [x = NaN, y = NaN, z = NaN] = workedOnce(DIRECTION_FROM_SLOPE, [degrees(slope), plan, ...up])
  // Beyond a right angle the axis has turned over, and its plan with it.
  return Number.isNaN(z) ? null : asRadians(Math.atan2(-z, y * Math.sin(plan) - x * Math.cos(plan)))
}
