import { JOINTS } from '../../file/parts/joints'
import { newGraph, type Column, type VectorColumns } from '../../base/columns/graph'
import { workedOnce } from '../../base/columns/kernel'
import { cross, dot, type Vec3 } from '../../base/linalg/vec3'
import type { Mat2 } from '../../base/linalg/mat2'
import type { JointKind } from '../../file/parts/lineSpec'
import { asRadians, type Radians } from '../../base/units/angle'
import { trainColumns, type TrainColumns } from './trainColumns'
import { FIRST_MAP, JOINT } from './jointKernels'

/** A joint between two successive axes, with the turn and phase that lead to the next joint. */
export interface TrainJoint {
  readonly kind: JointKind
  readonly incoming: Vec3
  readonly outgoing: Vec3
}

/** Unit normal of a joint's plane; for a straight joint, some direction square to its axis. */
export function planeNormal(incoming: Vec3, outgoing: Vec3): Vec3 {
  const [, , x = NaN, y = NaN, z = NaN] = workedOnce(JOINT, [...incoming, ...outgoing])
  return [x, y, z]
}

/** Right-handed angle about `axis` from direction `from` to `to`, both square to it. */
export const angleAbout = (axis: Vec3, from: Vec3, to: Vec3): number =>
  Math.atan2(dot(axis, cross(from, to)), dot(from, to))

/**
 * What one joint does to the direction of a yoke arm, in the frame whose first direction is its plane's normal.
 *
 * @see docs/methods/line.md
 */
export const jointMap = (kind: JointKind, angle: Radians): Mat2 =>
  [...workedOnce(FIRST_MAP, [Math.cos(angle)], [JOINTS[kind].isConstant ? 0 : 1])] as unknown as Mat2

/** How a train maps the arm of the first driving yoke, up to and including each joint. */
export interface TrainMaps {
  readonly angles: readonly Radians[]
  readonly normals: readonly Vec3[]
  /** `upTo[i]`: from the first joint's frame to the frame behind joint i. */
  readonly upTo: readonly Mat2[]
}

/**
 * The linear maps of a train of joints.
 *
 * @param joints - in the order of the power flow, at least one
 * @param phases - one between each two joints, in radians about the flow direction
 */
export function trainMaps(joints: readonly TrainJoint[], phases: readonly number[]): TrainMaps {
  const graph = newGraph()
  const sources = ([x, y, z]: Vec3): VectorColumns => [graph.source(x), graph.source(y), graph.source(z)]
  const axes = [
    ...joints.slice(0, 1).map((joint) => joint.incoming),
    ...joints.map((joint) => joint.outgoing),
  ]
  const kinds = joints.map((joint) => joint.kind)
  return trainMapsOf(trainColumns(graph, kinds, axes.map(sources), phases), graph.at)
}

/** The maps of a train, read from its columns. */
export const trainMapsOf = (
  { angles, normals, upTo }: TrainColumns,
  figure: (column: Column) => number,
): TrainMaps => ({
  angles: angles.map((angle) => asRadians(figure(angle))),
  normals: normals.map((normal) => normal.map(figure) as unknown as Vec3),
  upTo: upTo.map((map) => map.map(figure) as unknown as Mat2),
})

/** Angle about the shaft in front of joint `index` from the previous joint's plane normal to this one's. */
export function planeTwist(joints: readonly TrainJoint[], normals: readonly Vec3[], index: number): number {
  const joint = joints[index]
  const before = normals[index - 1]
  const here = normals[index]
  return joint && before && here ? angleAbout(joint.incoming, before, here) : 0
}
