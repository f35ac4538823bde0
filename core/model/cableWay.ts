import { vectorStep, type VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Id } from '../file/parts/id'
import { WAY_POINTS } from '../file/parts/armWays'
import type { Bulkhead, Cable, CableCornerEntry, CableEndEntry } from '../file/parts/cable'
import type { PlaceColumns } from '../line/lineColumns'
import { bulkheadFrame } from '../shift/cable/bulkheadFrame'
import { ON_BULKHEAD, STRAIGHT_END } from '../shift/cable/routeKernels'
import { bodiesOf } from '../stand/placedState'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import type { rigidly } from '../vehicle/moves/bodyMove'
import type { Ground } from './subject'

/** Where a cable passes its bulkhead: the mark that its hole is told from, and the frame that it is told in. */
export interface BulkheadColumns {
  readonly bulkhead: Bulkhead
  readonly mark: VectorColumns
  readonly left: VectorColumns
  readonly up: VectorColumns
  readonly through: VectorColumns
}

/** A corner of a cable's way, with the radius of its bend. */
export interface CableCornerColumns {
  readonly at: VectorColumns
  readonly radiusMm: number
}

/** Where a cable's points stand, and how what is on their bodies turns. */
export interface CableStanding extends PlaceColumns {
  readonly turned: (point: Id, way: Vec3) => VectorColumns
}

/** Points as the levers put them, those of one body moved once more. */
export function standing(
  { build, graph, places }: Ground,
  given?: { readonly body: Id; readonly move: ReturnType<typeof rigidly> },
): CableStanding {
  const ride = places.placed(null, null)
  const bodies = bodiesOf(build)
  const isGiven = (body: Id | undefined) =>
    given !== undefined && body !== undefined && goesAlongWith(build, body, given.body)
  const still = (way: Vec3) => way.map(graph.source) as unknown as VectorColumns
  return {
    point: (id) =>
      mapKnown(ride.point(id), (at) => (given && isGiven(bodies.point.get(id)) ? given.move.point(at) : at)),
    axis: (id) =>
      mapKnown(ride.axis(id), (at) =>
        given && isGiven(bodies.axis.get(id)) ? given.move.direction(at) : at,
      ),
    turned: (point, way) => {
      const now = ride.pointMoves(point).reduce((from, move) => move.direction(from), still(way))
      return given && isGiven(bodies.point.get(point)) ? given.move.direction(now) : now
    },
  }
}

export interface LaidWay {
  readonly corners: readonly CableCornerColumns[]
  readonly before: number
  readonly bulkhead: BulkheadColumns | null
}

/** The way of a cable as it stands: its ends with their straights, its corners, its hole. */
export function wayLaid(ground: Ground, cable: Cable, at: CableStanding): Known<LaidWay> {
  const { graph, build } = ground
  const told = (corners: readonly CableCornerEntry[] = []) =>
    allKnown<CableCornerColumns[]>(
      corners.map(({ point, radiusMm = cable.radiusMm }) =>
        mapKnown(at.point(point), (place) => ({ at: place, radiusMm })),
      ),
    )
  const { hole } = cable
  const bulkhead: Known<BulkheadColumns | null> = hole
    ? andThen(
        bulkheadAt(
          build.bulkheads?.find(({ id }) => id === hole.bulkhead),
          at,
        ),
        (one) => known(one),
      )
    : known(null)
  const parts = allKnown([
    endAt(ground, cable.from, at, 1),
    told(cable.corners),
    bulkhead,
    told(cable.cornersBehind),
    endAt(ground, cable.to, at, -1),
  ] as const)
  return mapKnown(parts, ([from, inside, sheet, behind, to]) => {
    const bend = (place: VectorColumns): CableCornerColumns => ({ at: place, radiusMm: cable.radiusMm })
    const sides =
      sheet && hole
        ? [-hole.stubMm, hole.stubMm].map((through) => {
            const { mark, left, up, through: way } = sheet
            const told = [hole.leftMm, hole.upMm, through]
            return bend(vectorStep(graph, ON_BULKHEAD, [...mark, ...left, ...up, ...way], told))
          })
        : []
    const before = [...from.map(bend), ...inside]
    return {
      corners: [...before, ...sides, ...behind, ...to.toReversed().map(bend)],
      before: before.length,
      bulkhead: sheet,
    }
  })
}

/** An end from its fixing inward: with the corner at which its straight ends. */
function endAt(
  { graph }: Ground,
  { point, leaves, axis, straightMm = 0 }: CableEndEntry,
  at: CableStanding,
  sense: 1 | -1,
): Known<VectorColumns[]> {
  return andThen(at.point(point), (place) => {
    if (leaves === undefined) return known([place])
    const way = WAY_POINTS[leaves]
    const along = axis === undefined ? known(at.turned(point, way)) : at.axis(axis)
    return mapKnown(along, (direction) => [
      place,
      vectorStep(graph, STRAIGHT_END, [...place, ...direction], [...way, sense * straightMm]),
    ])
  })
}

function bulkheadAt(bulkhead: Bulkhead | undefined, at: CableStanding): Known<BulkheadColumns> {
  if (!bulkhead) return unknown('its bulkhead is not in the build')
  const { left, up, through } = bulkheadFrame(bulkhead)
  const turned = (way: Vec3) => at.turned(bulkhead.mark, way)
  return mapKnown(at.point(bulkhead.mark), (mark) => ({
    ...{ bulkhead, mark, left: turned(left), up: turned(up), through: turned(through) },
  }))
}
