import { add, cross, dot, scale, sub, type Vec3 } from '../linalg/vec3'
import { drivenArm } from './drivenArm'
import type { ChainJoint } from './jointMap'

/** What a joint does to its two shafts at one instant; in the unit of the torque given. */
export interface JointCouple {
  /** Torque it hands on along the driven axis. */
  readonly torque: number
  /** Couple that bends the driving shaft, square to its axis. */
  readonly onDriving: Vec3
  /** Couple that bends the driven shaft, square to its axis. */
  readonly onDriven: Vec3
  readonly drivenArm: Vec3
}

/**
 * Torque and bending couples of a joint without friction.
 *
 * The cross of a universal joint carries a moment along its own normal n = u × v only, u and v its arms: M = n·T/(n·a). A joint of
 * constant velocity carries it along the bisector of its axes. What is not torque bends the shaft.
 *
 * @param normal - of the joint's plane, unit
 * @param arm - of the driving yoke, unit, square to the incoming axis
 * @param torque - of the driving shaft
 * @see docs/methods/couples.md (statics of the cross)
 */
export function jointCouple(joint: ChainJoint, normal: Vec3, arm: Vec3, torque: number): JointCouple {
  const { kind, incoming, outgoing } = joint
  const driven = drivenArm(joint, normal, arm)
  const carrier = kind === 'cross' ? cross(arm, driven) : add(incoming, outgoing)
  const moment = scale(carrier, torque / dot(carrier, incoming))
  const along = dot(moment, outgoing)
  return {
    torque: along,
    onDriving: sub(scale(incoming, torque), moment),
    onDriven: sub(moment, scale(outgoing, along)),
    drivenArm: driven,
  }
}
