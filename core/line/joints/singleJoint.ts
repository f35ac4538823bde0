import { workedOnce } from '../../base/columns/kernel'
import type { Vec3 } from '../../base/linalg/vec3'
import { asRadians, type Radians } from '../../base/units/angle'
import { JOINT } from './jointKernels'

/**
 * Working angle between the incoming and outgoing axis of a joint.
 *
 * @param incoming - unit vector along the power flow
 * @param outgoing - unit vector along the power flow
 * @returns 0 to π; exact for tiny angles, where the cosine alone would lose them
 */
export const workingAngle = (incoming: Vec3, outgoing: Vec3): Radians =>
  asRadians(workedOnce(JOINT, [...incoming, ...outgoing])[0] ?? NaN)

/**
 * Output speed over input speed of one universal joint.
 *
 * @param angle - working angle
 * @param turn - of the driving yoke, 0 when it lies in the plane of the two axes
 * @returns between cos(angle) and 1/cos(angle)
 * @see docs/methods/joints.md
 */
export function speedRatio(angle: Radians, turn: Radians): number {
  const sine = Math.sin(angle)
  const cosine = Math.cos(turn)
  return Math.cos(angle) / (1 - sine * sine * cosine * cosine)
}

/**
 * Rate of change of the speed ratio with the turn of the driving yoke, per radian.
 */
export function speedRatioSlope(angle: Radians, turn: Radians): number {
  const sine2 = Math.sin(angle) ** 2
  const rest = 1 - sine2 * Math.cos(turn) ** 2
  return (-Math.cos(angle) * sine2 * Math.sin(2 * turn)) / (rest * rest)
}
