import {
  scalarStep,
  vectorStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import { PLUS_TIMES } from '../../base/columns/arithmetic'
import type { Known, Missing } from '../../base/known'
import { rigidMoveOf, type RigidMove } from '../../base/linalg/mat3'
import { MOVED_POINT, TURNED_DIRECTION } from '../../base/linalg/moveKernels'
import type { BodyId } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Lever } from '../../file/build/lever'

/** How one body moves, as steps of a graph. */
export interface BodyMove {
  readonly body: BodyId
  /** The amounts it moves by, in mm or degrees: while all are nought it stands as measured. */
  readonly amounts: readonly Column[]
  /** What was taken for granted about the points it turns about; or why it cannot be moved at all. */
  readonly basis: Known<null>
  /** Why no move comes out of amounts that go too far. */
  readonly tooFar: Missing
  /** Where a point of the body goes. */
  readonly point: (place: VectorColumns) => VectorColumns
  /** How a direction of the body turns. */
  readonly direction: (axis: VectorColumns) => VectorColumns
  /** Columns that tell the move, and the move read from them; NaN where it goes too far. */
  readonly columns: readonly Column[]
  readonly moveAt: (figure: (column: Column) => number) => RigidMove
}

/** Levers of a build by their id, as sources of a graph: amounts in mm or degrees. */
export type LeverColumns = ReadonlyMap<Id, Column>

/** The levers on a body with their amounts. */
export const leversOn = (
  { levers }: Build,
  body: BodyId,
  columns: LeverColumns,
): { readonly lever: Lever; readonly amount: Column }[] =>
  levers.flatMap((lever) => {
    const amount = columns.get(lever.id)
    return lever.body === body && amount !== undefined ? [{ lever, amount }] : []
  })

/** Places and directions under any rigid move. */
export const rigidly = (
  graph: Graph,
  columns: MoveColumns,
): Pick<BodyMove, 'point' | 'direction' | 'columns' | 'moveAt'> => ({
  point: (place) => vectorStep(graph, MOVED_POINT, [...columns, ...place]),
  direction: (axis) => vectorStep(graph, TURNED_DIRECTION, [...columns.slice(0, 9), ...axis]),
  columns,
  moveAt: (figure) => rigidMoveOf(columns.map(figure)),
})

/** The sum of amounts; nought for none. */
export function summed(graph: Graph, amounts: readonly Column[]): Column {
  const [first, ...rest] = amounts
  return rest.reduce(
    (sum, amount) => scalarStep(graph, PLUS_TIMES, [sum, amount], [1]),
    first ?? graph.source(0),
  )
}
