import { JOINTS } from '../file/parts/joints'
import { angleAbout, planeNormal, type TrainJoint } from './joints/jointMap'

import { speedRatio, speedRatioSlope, workingAngle } from './joints/singleJoint'
import { cross, turnAbout, unit, type Vec3 } from '../base/linalg/vec3'
import { angularSpeed, asRadians } from '../base/units/angle'
import { drivenArm } from './joints/drivenArm'

/** One member's motion over a turn of the input: the shaft behind each joint, the last being the output. */
export interface MemberCurve {
  /** Member minus input rotation, mean removed, in radians. */
  readonly error: Float64Array
  /** Member speed over input speed. */
  readonly ratio: Float64Array
  /** Angular acceleration at steady input, in rad/s². */
  readonly acceleration: Float64Array
}

/** Fewer samples than this miss the peaks of a steep joint. */
export const LEAST_STEPS = 180

/**
 * One revolution of a train, arm by arm: v = ±(b×u)/|b×u| with the sign kept continuous.
 *
 * Input rotation 0 has the driving yoke's arm along d₀ × Z, the left side of a level gearbox.
 *
 * @param phases - about the flow direction, in radians, one between each two joints
 * @param speedRpm - of the driving axis
 * @param steps - samples over one turn, at least 180
 * @returns one curve a joint
 * @see docs/methods/line.md
 */
export function sampledTrain(
  joints: readonly TrainJoint[],
  phases: readonly number[],
  speedRpm: number,
  steps = 360,
): MemberCurve[] {
  // Fewer steps miss the peak of a curve that swings twice a turn.
  const count = Math.max(LEAST_STEPS, Math.floor(steps))
  const curves = joints.map(() => ({
    error: new Float64Array(count),
    ratio: new Float64Array(count),
    acceleration: new Float64Array(count),
  }))
  const first = joints[0]
  if (!first) return []
  const zeroArm = unit(cross(first.incoming, Math.abs(first.incoming[2]) > 0.999 ? [0, 1, 0] : [0, 0, 1]))
  const references = referenceArms(joints, zeroArm, phases)
  const omega = angularSpeed(speedRpm)

  for (let step = 0; step < count; step++) {
    const turn = (2 * Math.PI * step) / count
    let arm = turnAbout(zeroArm, first.incoming, turn)
    let ratio = 1
    let bend = 0
    joints.forEach((joint, index) => {
      const angle = workingAngle(joint.incoming, joint.outgoing)
      const normal = planeNormal(joint.incoming, joint.outgoing)
      if (!JOINTS[joint.kind].isConstant) {
        // Turn of the driving yoke from the plane of the axes, a right angle away from the plane's normal.
        const inPlane = asRadians(angleAbout(joint.incoming, normal, arm) + Math.PI / 2)
        const local = speedRatio(angle, inPlane)
        bend = speedRatioSlope(angle, inPlane) * ratio * ratio + local * bend
        ratio *= local
      }
      const driven = drivenArm(joint, normal, arm)
      const curve = curves[index]
      if (curve) {
        curve.error[step] = angleAbout(joint.outgoing, references[index] as Vec3, driven) - turn
        curve.ratio[step] = ratio
        curve.acceleration[step] = bend * omega * omega
      }
      arm = turnAbout(driven, joint.outgoing, phases[index] ?? 0)
    })
  }
  curves.forEach((curve) => centre(curve.error))
  return curves
}

/** Where each driven arm stands at input rotation 0. */
function referenceArms(joints: readonly TrainJoint[], zeroArm: Vec3, phases: readonly number[]): Vec3[] {
  let arm = zeroArm
  return joints.map((joint, index) => {
    const driven = drivenArm(joint, planeNormal(joint.incoming, joint.outgoing), arm)
    arm = turnAbout(driven, joint.outgoing, phases[index] ?? 0)
    return driven
  })
}

/** Unwraps a curve of angles and takes its mean away, in place. */
function centre(error: Float64Array): void {
  for (let i = 0; i < error.length; i++) {
    const before = i > 0 ? (error[i - 1] as number) : 0
    const turns = Math.round(((error[i] as number) - before) / (2 * Math.PI))
    error[i] = (error[i] as number) - turns * 2 * Math.PI
  }
  const mean = error.reduce((sum, value) => sum + value, 0) / error.length
  for (let i = 0; i < error.length; i++) error[i] = (error[i] as number) - mean
}
