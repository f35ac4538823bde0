import { SIZE } from '../../base/columns/arithmetic'
import { moveStep, scalarStep, type Column, type Graph } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { rigidly, summed, type BodyMove } from './bodyMove'

/** A body that cannot be moved: it stands as measured while nothing is asked of it, else it has no place. */
const HELD: Kernel = {
  name: 'a body that cannot be moved yet',
  page: 'placement',
  outputs: 12,
  run: (count, [amount], [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz]) => {
    for (let i: Row = 0; i < count; i++) {
      const still = amount[i] === 0 ? 0 : NaN
      r00[i] = 1 + still
      r01[i] = still
      r02[i] = still
      r10[i] = still
      r11[i] = 1 + still
      r12[i] = still
      r20[i] = still
      r21[i] = still
      r22[i] = 1 + still
      sx[i] = still
      sy[i] = still
      sz[i] = still
    }
  },
}

/** A body that cannot be moved for want of something that was not read. */
export const heldBody = (
  graph: Graph,
  amounts: readonly Column[],
): Pick<BodyMove, 'point' | 'direction' | 'columns' | 'moveAt'> =>
  // Sizes are added up, so that amounts that undo each other still ask for a move.
  rigidly(
    graph,
    moveStep(graph, HELD, [
      summed(
        graph,
        amounts.map((amount) => scalarStep(graph, SIZE, [amount])),
      ),
    ]),
  )

/** Why a body cannot be moved at all. */
export const unmoved = (what: string, path = '') => ({ known: false, missing: [{ what, path }] }) as const
