import { DIFFERENCE, PLUS_TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'

/**
 * How far a point lies off a shaft, in mm, and the unit direction from it to the shaft: from the point and both joint centres; parameter: the
 * radius of the tube. Below nought the point lies in the tube.
 */
const OFF_SHAFT: Kernel = {
  name: 'gap between a touch point and a turning shaft',
  page: 'gaps',
  outputs: 4,
  run: (count, [x, y, z, ax, ay, az, bx, by, bz], [gap, u, v, w], [radius]) => {
    for (let i: Row = 0; i < count; i++) {
      const sx = bx[i] - ax[i]
      const sy = by[i] - ay[i]
      const sz = bz[i] - az[i]
      const px = x[i] - ax[i]
      const py = y[i] - ay[i]
      const pz = z[i] - az[i]
      const share = (px * sx + py * sy + pz * sz) / (sx * sx + sy * sy + sz * sz)
      // Beyond its ends the nearest of the shaft is the end itself.
      const at = share < 0 ? 0 : share > 1 ? 1 : share
      const dx = at * sx - px
      const dy = at * sy - py
      const dz = at * sz - pz
      const size = Math.sqrt(dx * dx + dy * dy + dz * dz)
      gap[i] = size - radius
      u[i] = dx / size
      v[i] = dy / size
      w[i] = dz / size
    }
  },
}

/** A point of a body and the two joints of a shaft where they stand, and the radius of its tube, in mm. */
export interface ShaftGapPose {
  readonly point: VectorColumns
  readonly ends: readonly [VectorColumns, VectorColumns]
  readonly radiusMm: number
}

/**
 * The gap to a turning shaft: as both stand, and where it was measured, as much off that as it was measured to be.
 *
 * @param read - what was measured, and how both stood then; null where nobody has
 * @see docs/methods/gaps.md
 */
export function shaftGapColumns(
  graph: Graph,
  now: ShaftGapPose,
  read: { readonly figure: Column; readonly then: ShaftGapPose } | null,
): { readonly gap: Column; readonly point: VectorColumns; readonly toward: VectorColumns } {
  const stands = ({ point, ends, radiusMm }: ShaftGapPose) =>
    graph.step(OFF_SHAFT, [...point, ...ends[0], ...ends[1]], [radiusMm]) as unknown as [
      Column,
      ...VectorColumns,
    ]
  const [here, ...toward] = stands(now)
  if (!read) return { gap: here, point: now.point, toward }
  const [then] = stands(read.then)
  const off = scalarStep(graph, DIFFERENCE, [read.figure, then])
  return { gap: scalarStep(graph, PLUS_TIMES, [here, off], [1]), point: now.point, toward }
}
