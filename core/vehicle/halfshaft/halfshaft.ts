import { degrees, angleTo } from '../../base/units/angle'
import { moveDirection, movePoint } from '../../base/linalg/mat3'
import { cross, dot, norm, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { carrierPose, type CarrierPose } from './carrierPose'
import type { Suspension } from './suspension'

/** A halfshaft between a stub of the differential and a wheel, in mm at ride height, chassis frame. */
export interface HalfshaftSide {
  readonly suspension: Suspension
  readonly wheel: Vec3
  /** Joint centres. */
  readonly inner: Vec3
  readonly outer: Vec3
  /** Of the stub and of the wheel's spindle, both pointing outboard. */
  readonly innerAxis: Vec3
  readonly outerAxis: Vec3
}

/** A halfshaft at one height of its wheel. */
export interface HalfshaftFigures {
  readonly outer: Vec3
  /** Between the joint centres. */
  readonly lengthMm: number
  readonly innerAngleDeg: number
  readonly outerAngleDeg: number
  /** Against ride height: the spindle turned to the left, and its outboard end raised. */
  readonly toeDeg: number
  readonly camberDeg: number
}

/** A halfshaft that can be looked at for any height of its wheel. */
export interface Halfshaft {
  /** @returns null where the suspension does not reach */
  readonly at: (upMm: number, rackMm?: number) => HalfshaftFigures | null
}

const between = (a: Vec3, b: Vec3): number => degrees(angleTo(norm(cross(a, b)), dot(a, b)))

/**
 * Length and joint angles of a halfshaft through its travel, from the geometry of the suspension.
 *
 * @see docs/methods/halfshafts.md
 */
export function halfshaft(side: HalfshaftSide): Halfshaft {
  const pose: CarrierPose = carrierPose(side.suspension, side.wheel)
  const rest = unit(side.outerAxis)
  return {
    at: (upMm, rackMm = 0) => {
      const move = pose.at(upMm, rackMm)
      if (!move) return null
      const outer = movePoint(move, side.outer)
      const spindle = moveDirection(move, rest)
      const shaft = sub(outer, side.inner)
      const lies = (axis: Vec3) => Math.atan2(axis[1], axis[0])
      const turn = lies(spindle) - lies(rest)
      return {
        outer,
        lengthMm: norm(shaft),
        innerAngleDeg: between(side.innerAxis, shaft),
        outerAngleDeg: between(shaft, spindle),
        toeDeg: degrees(Math.atan2(Math.sin(turn), Math.cos(turn))),
        camberDeg: degrees(Math.asin(spindle[2]) - Math.asin(rest[2])),
      }
    },
  }
}
