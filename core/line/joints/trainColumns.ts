import { JOINTS } from '../../file/parts/joints'
import type { Column, Graph, VectorColumns } from '../../base/columns/graph'
import type { JointKind } from '../../file/parts/lineSpec'
import { FIRST_MAP, JOINT, NEXT_MAP } from './jointKernels'

/** A 2×2 matrix by rows. */
export type MapColumns = readonly [Column, Column, Column, Column]

/** A train of joints as columns, one of each a joint. */
export interface TrainColumns {
  /** Working angles in radians. */
  readonly angles: readonly Column[]
  readonly anglesDeg: readonly Column[]
  readonly normals: readonly VectorColumns[]
  /** From the first joint's frame to the frame behind each joint. */
  readonly upTo: readonly MapColumns[]
}

/**
 * The steps of a train of joints.
 *
 * @param axes - unit vectors along the power flow, one more than joints
 * @param phases - one between each two joints, in radians about the flow direction
 */
export function trainColumns(
  graph: Graph,
  kinds: readonly JointKind[],
  axes: readonly VectorColumns[],
  phases: readonly number[],
): TrainColumns {
  const angles: Column[] = []
  const anglesDeg: Column[] = []
  const normals: VectorColumns[] = []
  const upTo: MapColumns[] = []
  kinds.forEach((kind, index) => {
    const incoming = axes[index] as VectorColumns
    const [angle, cosine, x, y, z, angleDeg] = graph.step(JOINT, [
      ...incoming,
      ...(axes[index + 1] as VectorColumns),
    ]) as unknown as [Column, Column, ...VectorColumns, Column]
    const normal = [x, y, z] as const
    const isCross = JOINTS[kind].isConstant ? 0 : 1
    const before = upTo[index - 1]
    const phase = phases[index - 1] ?? 0
    const map = before
      ? graph.step(
          NEXT_MAP,
          [...before, ...incoming, ...(normals[index - 1] as VectorColumns), ...normal, cosine],
          [Math.cos(phase), Math.sin(phase), isCross],
        )
      : graph.step(FIRST_MAP, [cosine], [isCross])
    angles.push(angle)
    anglesDeg.push(angleDeg)
    normals.push(normal)
    upTo.push(map as unknown as MapColumns)
  })
  return { angles, anglesDeg, normals, upTo }
}
