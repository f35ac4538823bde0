import { anyPerpendicular, cross, dot, norm, scale, type Vec3 } from '../linalg/vec3'
import { multiply2, rotation2, IDENTITY_2, type Mat2 } from '../linalg/mat2'
import type { JointKind } from '../project/lineSpec'
import type { Radians } from '../units/angle'
import { workingAngle } from './singleJoint'

/** A joint between two successive axes, with the turn and phase that lead to the next joint. */
export interface ChainJoint {
  readonly kind: JointKind
  readonly incoming: Vec3
  readonly outgoing: Vec3
}

/** Below this sine the two axes share no plane worth the name, and any one will do. */
const STRAIGHT_SINE = 1e-12

/** Unit normal of a joint's plane; for a straight joint, some direction square to its axis. */
export function planeNormal(incoming: Vec3, outgoing: Vec3): Vec3 {
  const normal = cross(incoming, outgoing)
  const sine = norm(normal)
  return sine < STRAIGHT_SINE ? anyPerpendicular(incoming) : scale(normal, 1 / sine)
}

/** Right-handed angle about `axis` from direction `from` to `to`, both square to it. */
export const angleAbout = (axis: Vec3, from: Vec3, to: Vec3): number =>
  Math.atan2(dot(axis, cross(from, to)), dot(from, to))

/**
 * What one joint does to the direction of a yoke arm, in the frame whose first direction is its plane's normal.
 *
 * A cross joint turns (cos a, sin a) into (−cos β·sin a, cos a); kinds of constant velocity hand it on unchanged.
 *
 * @see docs/methods/line.md
 */
export function jointMap(kind: JointKind, angle: Radians): Mat2 {
  return kind === 'cross' ? [0, -Math.cos(angle), 1, 0] : IDENTITY_2
}

/** How a chain maps the arm of the first driving yoke, up to and including each joint. */
export interface ChainMaps {
  readonly angles: readonly Radians[]
  readonly normals: readonly Vec3[]
  /** `upTo[i]`: from the first joint's frame to the frame behind joint i. */
  readonly upTo: readonly Mat2[]
}

/**
 * The linear maps of a chain of joints.
 *
 * @param joints - in the order of the power flow, at least one
 * @param phases - one between each two joints, in radians about the flow direction
 */
export function chainMaps(joints: readonly ChainJoint[], phases: readonly number[]): ChainMaps {
  const angles = joints.map((joint) => workingAngle(joint.incoming, joint.outgoing))
  const normals = joints.map((joint) => planeNormal(joint.incoming, joint.outgoing))
  const upTo: Mat2[] = []
  let map = IDENTITY_2
  joints.forEach((joint, index) => {
    if (index > 0) map = multiply2(toNextFrame(joints, normals, phases, index), map)
    map = multiply2(jointMap(joint.kind, angles[index] as Radians), map)
    upTo.push(map)
  })
  return { angles, normals, upTo }
}

/** Turn from the frame behind joint `index − 1` to the frame in front of joint `index`, phase included. */
export function toNextFrame(
  joints: readonly ChainJoint[],
  normals: readonly Vec3[],
  phases: readonly number[],
  index: number,
): Mat2 {
  const twist = planeTwist(joints, normals, index)
  return rotation2((phases[index - 1] ?? 0) - twist)
}

/** Angle about the shaft in front of joint `index` from the previous joint's plane normal to this one's. */
export function planeTwist(joints: readonly ChainJoint[], normals: readonly Vec3[], index: number): number {
  const joint = joints[index]
  const before = normals[index - 1]
  const here = normals[index]
  return joint && before && here ? angleAbout(joint.incoming, before, here) : 0
}
