import { CoreError } from '../../base/errors'
import { GRAVITY } from '../../base/gravity'
import { add, cross, dot, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'

/** What acts on a powertrain from outside: a force at the origin in N, and a moment about it in N·mm. */
export interface Load {
  readonly force: Vec3
  readonly moment: Vec3
}

export const NO_LOAD: Load = { force: [0, 0, 0], moment: [0, 0, 0] }

/** A force where it acts. */
export const forceAt = (at: Vec3, force: Vec3): Load => ({ force, moment: cross(at, force) })

export const together = (loads: readonly Load[]): Load =>
  loads.reduce(
    (all, one) => ({ force: add(all.force, one.force), moment: add(all.moment, one.moment) }),
    NO_LOAD,
  )

/**
 * Weight in a case: standing is [0, 0, −1], a bump of 3 g [0, 0, −3], braking by 1 g [1, 0, −1].
 *
 * @throws CoreError `out-of-range` for a mass below nought
 */
export function weightLoad(massKg: number, centre: Vec3, shares: Vec3 = [0, 0, -1]): Load {
  if (!(massKg >= 0)) throw new CoreError('out-of-range', 'mass', 'must not be negative')
  return forceAt(centre, scale(shares, massKg * GRAVITY))
}

/** What the engine gives at an output. */
export interface GivenTorque {
  readonly engineNm: number
  /** Negative in reverse. */
  readonly gearRatio: number
  readonly range?: number
  readonly converter?: number
  readonly shock?: number
  /** The most that the tyres take, of the output before the shock. */
  readonly limitNm?: number
}

/** The same as it is given to a shaft. */
export interface ShaftTorque extends GivenTorque {
  /** How the output shaft turns in first gear, seen from behind. */
  readonly turns: 'anticlockwise' | 'clockwise'
  /** The way in which the output shaft points away; to the rear when absent. */
  readonly axis?: Vec3
}

/** What goes out by the shaft, signed and with its shock. */
export function outputTorque({
  engineNm,
  gearRatio,
  range = 1,
  converter = 1,
  shock = 1,
  limitNm,
}: GivenTorque): number {
  const whole = engineNm * gearRatio * range * converter
  const most = limitNm ?? Infinity
  return Math.min(most, Math.max(-most, whole)) * shock
}

/**
 * The reaction of the shaft on the case: opposite to what is given to the shaft.
 *
 * With a shaft that turns anticlockwise seen from behind it is about +X: the left side lifts.
 */
export function torqueReaction(torque: ShaftTorque): Load {
  const axis = torque.axis ?? [-1, 0, 0]
  if (!(norm(axis) > 0)) throw new CoreError('degenerate', 'axis', 'has no direction')
  const sense = torque.turns === 'anticlockwise' ? -1 : 1
  return { force: [0, 0, 0], moment: scale(unit(axis), sense * outputTorque(torque) * 1000) }
}

/** A chain that pulls at a sprocket. */
export interface ChainPull {
  readonly at: Vec3
  /** Along the taut side, to the other sprocket. */
  readonly toward: Vec3
  readonly torqueNm: number
  readonly pitchRadiusMm: number
}

/**
 * A chain's pull on the unit that its sprocket stands on.
 *
 * @throws CoreError `out-of-range` for a radius not above 0, `degenerate` for a way without direction
 */
export function chainPull({ at, toward, torqueNm, pitchRadiusMm }: ChainPull): Load {
  if (!(pitchRadiusMm > 0)) throw new CoreError('out-of-range', 'radius', 'must be above 0')
  if (!(norm(toward) > 0)) throw new CoreError('degenerate', 'toward', 'has no direction')
  return forceAt(at, scale(unit(toward), (torqueNm * 1000) / pitchRadiusMm))
}

/** What a bolted face bears of a mount's force on the body: pressed together or pulled apart, and along it. */
export interface FaceLoad {
  /** Positive presses, negative pulls at the bolt. */
  readonly alongN: number
  readonly shearN: number
}

/**
 * @param normal - the way in which the face pushes the body
 * @throws CoreError `degenerate` for a normal without direction
 */
export function faceLoad(force: Vec3, normal: Vec3): FaceLoad {
  if (!(norm(normal) > 0)) throw new CoreError('degenerate', 'normal', 'has no direction')
  const alongN = dot(force, unit(normal))
  return { alongN, shearN: norm(sub(force, scale(unit(normal), alongN))) }
}
