import { gapChecks, judgedGap, type PlannedGap } from '../check/gapChecks'
import type { Check, WheelPlace } from '../check/check'
import type { Column } from '../columns/graph'
import { gapColumns, gapFlat, type GapColumns, type GapPose } from '../gaps/gapColumns'
import { allKnown, known, mapKnown, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { BodyMove } from '../placement/bodyMove'
import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { Gap } from '../project/gap'
import type { Id } from '../project/id'
import { wheelPlaces } from '../project/wheelPlaces'
import { measuredGap, type MeasuredGap } from '../readings/gapReading'
import { vectorAt, type MeasuredModel } from '../readings/geometry'
import type { PlacedState, Places } from './places'

/** A gap at one place of the wheels. */
export interface CompiledGapPlace {
  readonly at: WheelPlace | null
  readonly placed: PlacedState
  readonly columns: Known<GapColumns>
}

/** A gap with its figures at every place of the wheels, and its check. */
export interface CompiledGap {
  readonly gap: Gap
  /** The bodies it lies between: that of the point, that of the obstacle. */
  readonly bodies: readonly [BodyId, BodyId]
  readonly read: Known<MeasuredGap>
  readonly places: readonly CompiledGapPlace[]
  readonly plans: readonly PlannedGap[]
}

/**
 * All gaps of a build, as columns of its graph.
 *
 * @param between - places of the wheels besides the named ones
 * @param isOnlyBetween - for these alone, none of the named ones
 */
export function compileGaps(
  build: Build,
  measured: MeasuredModel,
  places: Places,
  between: readonly WheelPlace[] = [],
  isOnlyBetween = false,
): CompiledGap[] {
  const chassis = build.bodies.find(({ kind }) => kind === 'chassis')?.id ?? ''
  const wanted = isOnlyBetween ? between : [...placesOf(build), ...between]
  const stands = wanted.map((at) => ({ at, placed: places.placed(at && stateAt(at), null) }))
  return build.gaps.map((gap) => {
    const own = build.points.find(({ id }) => id === gap.point)?.body ?? ''
    const bodies = [own, gap.obstacle ?? chassis] as const
    const read = measuredGap(measured.context, gap)
    const pose = ({ moves, pointMoves }: PlacedState): GapPose => ({
      own: pointMoves(gap.point),
      obstacle: moves.get(bodies[1]) ?? [],
    })
    const trial = read.known ? read.value.trial : null
    const flat = gapFlat(measured.graph, gap, pointOf(measured, gap.point), read, pose(places.inTrial(trial)))
    const at = stands.map((stand): CompiledGapPlace => {
      const columns = mapKnown(flat, (one) => gapColumns(measured.graph, one, pose(stand.placed)))
      if (columns.known)
        measured.graph.name([columns.value.gap], `${gap.name}: gap${stand.at ? ` at ${stand.at.name}` : ''}`)
      return { ...stand, columns }
    })
    const figures = at.map((one) => ({ at: one.at, gap: mapKnown(one.columns, (columns) => columns.gap) }))
    return { gap, bodies, read, places: at, plans: gapChecks(gap, figures, build.limits.entries) }
  })
}

const pointOf = ({ points }: MeasuredModel, id: Id) =>
  points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** Ride height, then the other places of the wheels. */
const placesOf = (build: Build): (WheelPlace | null)[] => [
  null,
  ...wheelPlaces(build).map(({ id, name }) => ({ id, name })),
]
const stateAt = (at: WheelPlace) => ({ state: 'ride', at, noseUpDeg: known(0) }) as const

/** A gap as it stands at one setting of the levers. */
export interface GapEvaluation {
  readonly gap: Gap
  /** At its worst place; unknown, with what is missing, where it was not read. */
  readonly check: Check
  /** At ride height: the touch point, and the unit direction toward the obstacle. */
  readonly ride: Known<{ readonly gapMm: number; readonly point: Vec3; readonly toward: Vec3 }>
}

/**
 * A gap with its values.
 *
 * @param reaches - whether a body can go where the levers send it
 */
export function evaluateGap(
  compiled: CompiledGap,
  figure: (column: Column) => number,
  reaches: (moves: readonly BodyMove[]) => Known<unknown>,
  calledNow: (at: WheelPlace | null) => WheelPlace | null | undefined,
): GapEvaluation {
  const { gap, bodies, places, plans } = compiled
  const standsAt = (at: WheelPlace | null) => {
    const placed = places.find((one) => one.at?.id === at?.id)?.placed
    return allKnown(
      [placed?.pointMoves(gap.point), placed?.moves.get(bodies[1])].map((moves) => reaches(moves ?? [])),
    )
  }
  const ride = places[0]?.columns ?? unknown(`${gap.name}: gap not read`)
  const stands = standsAt(null)
  return {
    gap,
    check: judgedGap(plans, figure, standsAt, calledNow) as Check,
    ride: stands.known
      ? mapKnown(ride, ({ gap: column, point, toward }) => ({
          gapMm: figure(column),
          point: vectorAt(figure)(point),
          toward: vectorAt(figure)(toward),
        }))
      : stands,
  }
}

/** Every column that a gap's evaluation reads. */
export const gapWants = ({ gap, places, bodies }: CompiledGap): Column[] =>
  places.flatMap(({ columns, placed }) => [
    ...[placed.pointMoves(gap.point), placed.moves.get(bodies[1]) ?? []].flatMap((moves) =>
      moves.flatMap((move) => move.columns),
    ),
    ...(columns.known ? [columns.value.gap, ...columns.value.point, ...columns.value.toward] : []),
  ])
