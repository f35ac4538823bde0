import type { TrainJoint } from './joints/jointMap'
import type { Vec3 } from '../base/linalg/vec3'
import type { Line } from '../file/parts/lineSpec'

/** A line in space: joint centres in mm and axis directions along the power flow, one more than joints. */
export interface LineGeometry {
  readonly centres: readonly Vec3[]
  /** Driving axis, each shaft, driven axis; unit vectors. */
  readonly axes: readonly Vec3[]
}

/** The joints of a line as a train for `trainMaps` and `sampledTrain`. */
export function trainOf(line: Line, { axes }: LineGeometry): TrainJoint[] {
  return line.joints.map((joint, index) => ({
    kind: joint.kind,
    incoming: axes[index] as Vec3,
    outgoing: axes[index + 1] as Vec3,
  }))
}
