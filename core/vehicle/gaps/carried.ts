import { vectorStep, type Graph, type MoveColumns, type VectorColumns } from '../../base/columns/graph'
import { UNMOVED_POINT, UNTURNED_DIRECTION } from '../../base/linalg/moveKernels'
import type { BodyMove } from '../moves/bodyMove'

/** Where a point of a body goes by its moves, one after the other. */
export const carriedPoint = (chain: readonly BodyMove[], place: VectorColumns): VectorColumns =>
  chain.reduce((from, move) => move.point(from), place)

/** How a direction of a body turns by its moves. */
export const carriedDirection = (chain: readonly BodyMove[], direction: VectorColumns): VectorColumns =>
  chain.reduce((from, move) => move.direction(from), direction)

/** Where a point and a direction of a body were before its moves. */
export function undone(
  graph: Graph,
  chain: readonly BodyMove[],
): {
  readonly point: (place: VectorColumns) => VectorColumns
  readonly direction: (direction: VectorColumns) => VectorColumns
} {
  if (chain.length === 0) return { point: (place) => place, direction: (direction) => direction }
  const [nought, one] = [graph.source(0), graph.source(1)]
  // Any rigid move, whatever it is made of, is told by where it takes the origin and the three axes.
  const [fore, left, up] = [
    carriedDirection(chain, [one, nought, nought]),
    carriedDirection(chain, [nought, one, nought]),
    carriedDirection(chain, [nought, nought, one]),
  ]
  const rows = [0, 1, 2].map((row) => [fore[row], left[row], up[row]])
  const shift = carriedPoint(chain, [nought, nought, nought])
  const columns = [...rows.flat(), ...shift] as unknown as MoveColumns
  return {
    point: (place) => vectorStep(graph, UNMOVED_POINT, [...columns, ...place]),
    direction: (direction) => vectorStep(graph, UNTURNED_DIRECTION, [...columns.slice(0, 9), ...direction]),
  }
}
