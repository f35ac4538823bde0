import { moveStep, type Column, type Graph } from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { known } from '../../base/known'
import type { Body } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { LeverKind } from '../../file/build/lever'
import { leversOn, rigidly, summed, type BodyMove, type LeverColumns } from './bodyMove'

/** A shift as it is, in mm: from how far the body goes forward, to the left and up. */
export const SHIFTED: Kernel = {
  name: 'a body shifted as it is',
  page: 'placement',
  outputs: 12,
  run: (count, [fore, left, up], [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz]) => {
    for (let i: Row = 0; i < count; i++) {
      r00[i] = 1
      r01[i] = 0
      r02[i] = 0
      r10[i] = 0
      r11[i] = 1
      r12[i] = 0
      r20[i] = 0
      r21[i] = 0
      r22[i] = 1
      sx[i] = fore[i]
      sy[i] = left[i]
      sz[i] = up[i]
    }
  },
}

/** The way each lever shifts a body, in the order of the kernel. */
const WAYS: readonly LeverKind[] = ['fore', 'sideways', 'up']

/** A body that is shifted without turning: a bearing bracket, a hub, an item; null when no lever moves it. */
export function shiftedColumns(
  graph: Graph,
  build: Build,
  body: Body,
  levers: LeverColumns,
): BodyMove | null {
  const own = leversOn(build, body.id, levers).filter(({ lever }) => WAYS.includes(lever.kind))
  if (own.length === 0) return null
  const along = WAYS.map((kind) =>
    summed(
      graph,
      own.flatMap(({ lever, amount }) => (lever.kind === kind ? [amount] : [])),
    ),
  )
  return shifted(
    graph,
    body,
    own.map(({ amount }) => amount),
    along,
  )
}

/** A body raised by the sum of amounts, in mm; null for none. */
export function raisedColumns(graph: Graph, body: Body, amounts: readonly Column[]): BodyMove | null {
  if (amounts.length === 0) return null
  const none = graph.source(0)
  return shifted(graph, body, amounts, [none, none, summed(graph, amounts)])
}

function shifted(graph: Graph, body: Body, amounts: readonly Column[], along: readonly Column[]): BodyMove {
  const move = moveStep(graph, SHIFTED, along)
  graph.name(move, `${body.name}, shifted`)
  return {
    body: body.id,
    amounts,
    basis: known(null),
    tooFar: { what: `${body.name}: it cannot be moved that far`, path: '' },
    ...rigidly(graph, move),
  }
}
