import { JOINTS } from '../../file/parts/joints'
import { add, cross, dot, scale, unit, type Vec3 } from '../../base/linalg/vec3'
import type { TrainJoint } from './jointMap'

/**
 * The driven yoke's arm when the driving one stands at `arm`.
 *
 * @param normal - of the joint's plane, unit
 * @param arm - unit, square to the incoming axis
 * @returns unit, square to the outgoing axis; a constant-velocity joint tips the arm together with the axis
 */
export function drivenArm({ kind, incoming, outgoing }: TrainJoint, normal: Vec3, arm: Vec3): Vec3 {
  if (!JOINTS[kind].isConstant) return unit(cross(outgoing, arm))
  const alongNormal = scale(normal, dot(arm, normal))
  const inPlane = dot(arm, cross(incoming, normal))
  return add(alongNormal, scale(cross(outgoing, normal), inPlane))
}
