import type { Column, VectorColumns } from '../base/columns/graph'
import { mapKnown, unknown, type Known } from '../base/known'
import { remembered } from '../base/remembered'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { PlaceColumns } from '../line/lineColumns'
import type { MeasuredModel } from '../measure/geometry/geometry'
import type { Adapter } from '../vehicle/bodies/adapterColumns'
import type { BodyMove } from '../vehicle/moves/bodyMove'

/** Where everything stands in one state of the vehicle, as columns. */
export interface PlacedState extends PlaceColumns {
  /** The moves each body makes, one after the other: its own, then those of the bodies it stands on; empty as measured. */
  readonly moves: ReadonlyMap<BodyId, readonly BodyMove[]>
  /** What sets a part of the powertrain back on the rest of it; null for none. */
  readonly adapter: Adapter | null
  /** The moves a point makes: that of the adapter where it lies behind it, then those of its body. */
  readonly pointMoves: (id: Id) => readonly BodyMove[]
  /** What moved columns would be without the last move they made. */
  readonly unmoved: ReadonlyMap<Column, { readonly from: Column; readonly move: BodyMove }>
}

/** The body each point and axis belongs to. */
export interface BodyOf {
  readonly point: ReadonlyMap<Id, BodyId>
  readonly axis: ReadonlyMap<Id, BodyId>
}

/** Points as read. */
export const readPoint =
  (points: MeasuredModel['points']) =>
  (id: Id): Known<VectorColumns> =>
    points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** Which body each point and axis belongs to. */
export const bodiesOf = (build: Build): BodyOf => ({
  point: new Map(build.points.map((point) => [point.id, point.body])),
  axis: new Map(build.axes.map((axis) => [axis.id, axis.body])),
})

/** What stands before its bodies have moved, and the moves they make. */
export interface Movable extends Pick<PlacedState, 'moves' | 'adapter'> {
  /** Points on their bodies, mounts where levers set them. */
  readonly point: (id: Id) => Known<VectorColumns>
}

/** Points and axes after their bodies have moved; each is put into the graph when first asked for. */
export function placedState(
  build: Build,
  { graph, axes }: MeasuredModel,
  { point, moves, adapter }: Movable,
  when = '',
): PlacedState {
  const bodyOf = bodiesOf(build)
  const unmoved = new Map<Column, { readonly from: Column; readonly move: BodyMove }>()
  const carried = (
    chain: readonly BodyMove[],
    place: VectorColumns,
    by: 'point' | 'direction',
  ): VectorColumns =>
    chain.reduce((from, move) => {
      const to = move[by](from)
      to.forEach((column, part) => {
        const before = from[part]
        if (before !== undefined && before !== column) unmoved.set(column, { from: before, move })
      })
      return to
    }, place)
  const movesOf = (body: BodyId | undefined) => moves.get(body ?? '') ?? []
  const pointMoves = remembered((id: Id): readonly BodyMove[] => {
    const own = movesOf(bodyOf.point.get(id))
    return adapter?.isBehind(id) ? [adapter.move, ...own] : own
  })
  return {
    moves,
    adapter,
    pointMoves,
    unmoved,
    when,
    point: remembered((id) =>
      mapKnown(point(id), (place) => {
        const moved = carried(pointMoves(id), place, 'point')
        graph.name(moved, `${nameOf(build.points, id)}, where it stands${when}`)
        return moved
      }),
    ),
    axis: remembered((id) =>
      mapKnown(axes.get(id) ?? unknown(`axis "${id}" is not in the build`), ({ direction }) => {
        const turned = carried(movesOf(bodyOf.axis.get(id)), direction, 'direction')
        graph.name(turned, `${nameOf(build.axes, id)}, as it lies${when}`)
        return turned
      }),
    ),
  }
}

/** What a thing of a list is called. */
export const nameOf = (items: readonly { readonly id: Id; readonly name: string }[], id: Id): string =>
  items.find((item) => item.id === id)?.name ?? id
