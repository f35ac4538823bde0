import { vectorStep, type Graph, type VectorColumns } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import type { NamedAxis } from '../../file/parts/named'

/**
 * A direction in a frame turned a quarter about the upright, so that left is its rear and forward its left: in it an axis across
 * the vehicle is read like one along it, its left end like a rear end. Parameter: 1 into that frame, -1 back.
 */
const ASIDE: Kernel = {
  name: 'the same seen across the vehicle',
  isPlain: true,
  page: 'frame',
  outputs: 3,
  run: (count, [x, y, z], [u, v, w], [sense]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = -sense * y[i]
      v[i] = sense * x[i]
      w[i] = z[i]
    }
  },
}

/** True for an axis told by rise and sweep. */
export const isAcross = ({ lies }: Pick<NamedAxis, 'lies'>): boolean => lies === 'across'

/** A direction as an axis is read in: turned aside for one that lies across. */
export const intoFrameOf = (axis: NamedAxis, graph: Graph, direction: VectorColumns): VectorColumns =>
  isAcross(axis) ? vectorStep(graph, ASIDE, direction, [1]) : direction

/** The way back to the chassis frame. */
export const fromFrameOf = (axis: NamedAxis, graph: Graph, direction: VectorColumns): VectorColumns =>
  isAcross(axis) ? vectorStep(graph, ASIDE, direction, [-1]) : direction

/** The words for an axis' two ends, the one that counts positive when it is low first. */
export const endsOf = (
  axis: Pick<NamedAxis, 'lies'>,
): readonly ['left', 'right'] | readonly ['rear', 'front'] =>
  isAcross(axis) ? ['left', 'right'] : ['rear', 'front']
