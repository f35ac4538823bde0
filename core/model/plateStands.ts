import { scalarStep, type Column, type FigureOf, type Graph, type VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, mapKnown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Place2 } from '../base/outline/polygon'
import type { Id } from '../file/parts/id'
import type { PlateStands } from '../file/kinds/plateKinds'
import type { FacePlaces } from '../making/plates/facePlaces'
import { standOf, triangleOf, type PlateStand, type Three } from '../making/plates/plateStand'
import { PLATE_STANDS } from '../making/plates/standKernel'

/** The points of three holes of a plate by columns, and how far they are beside those holes. */
export interface StandColumns {
  readonly holes: Three<Place2>
  readonly points: Three<VectorColumns>
  readonly miss: Column
}

/** A plate in the vehicle, and how far the points of its holes are from where they would have to be. */
export interface PlateStanding {
  readonly stand: PlateStand
  readonly missMm: number
}

/** @returns unknown with what is missing: where its holes are, or where a point is */
export function standColumns(
  graph: Graph,
  stands: PlateStands,
  face: Known<FacePlaces>,
  point: (id: Id) => Known<VectorColumns>,
): Known<StandColumns> {
  return mapKnown(allKnown([face, allKnown(stands.map((one) => point(one.point)))]), ([{ places }, at]) => {
    const holes = stands.map(({ hole }) => places.get(hole) ?? [NaN, NaN]) as unknown as Three<Place2>
    const points = at as unknown as Three<VectorColumns>
    return { holes, points, miss: scalarStep(graph, PLATE_STANDS, points.flat(), triangleOf(holes)) }
  })
}

/** How it stands as the levers are. */
export const standingOf = (stands: Known<StandColumns>, figure: FigureOf): Known<PlateStanding> =>
  andThen(stands, ({ holes, points, miss }) => {
    const at = points.map(([x, y, z]): Vec3 => [figure(x), figure(y), figure(z)]) as unknown as Three<Vec3>
    return mapKnown(standOf(holes, at), (stand) => ({ stand, missMm: figure(miss) }))
  })
