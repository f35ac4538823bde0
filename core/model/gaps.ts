import { whereWords } from '../check/placeName'
import { gapChecks, judgedGap, type PlannedGap } from '../check/gapChecks'
import type { Check, CheckState, WheelPlace } from '../check/check'
import { statesAt, windingBody, type LineState } from '../check/lineStates'
import { DIFFERENCE, HALFWAY } from '../base/columns/arithmetic'
import { NO_NUMBER } from '../check/judge'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import { gapColumns, gapFlat, type GapColumns, type GapPose } from '../vehicle/gaps/gapColumns'
import { groundUp, type WheelsStand } from '../vehicle/gaps/groundUp'
import { shaftGapColumns, type ShaftGapPose } from '../vehicle/gaps/shaftGap'
import { allKnown, andThen, known, mapKnown, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import { lineColumns } from '../line/lineColumns'
import type { BodyMove } from '../vehicle/moves/bodyMove'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import { axleById, wheeledOf } from '../file/parts/bodies'
import type { BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Gap } from '../file/parts/gap'
import type { Id } from '../file/parts/id'
import type { Line } from '../file/parts/lineSpec'
import { wheelPlaces } from '../file/build/wheelPlaces'
import { measuredGap, type MeasuredGap } from '../measure/points/gapReading'
import { vectorAt, type MeasuredModel } from '../measure/geometry/geometry'
import type { PlacedState } from '../stand/placedState'
import type { Places } from '../stand/places'
import { gapLoadColumns, type GapLoad } from './gapLoad'

/** A gap at one place of the wheels. */
export interface CompiledGapPlace {
  readonly at: WheelPlace | null
  readonly state: CheckState
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
  /** As bodies give on their mounts; null where none does, or the gap goes along with it. */
  readonly load: GapLoad | null
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
  return build.gaps.map((gap) => {
    const own = build.points.find(({ id }) => id === gap.point)?.body ?? ''
    const line = build.lines.find(({ id }) => id === gap.shaft?.line)
    const bodies = [own, line ? windingBody(build, line) : (gap.obstacle ?? chassis)] as const
    const winds = line ?? windingLine(build, bodies)
    const read = measuredGap(measured.context, gap)
    const columnsIn = gap.shaft
      ? besideShaft(build, measured, places, gap, read)
      : besideFlat(build, measured, places, gap, bodies[1], read)
    const at = wanted.flatMap((place): CompiledGapPlace[] => {
      const states: readonly LineState[] = winds ? statesAt(build, winds, place) : [stateAt(place)]
      return states.map((state) => {
        const isStill = state.state === 'ride'
        const placed = places.placed(
          place === null && isStill ? null : state,
          winds ? windingBody(build, winds) : null,
        )
        const columns = columnsIn(placed, place)
        if (columns.known && isStill)
          measured.graph.name([columns.value.gap], `${gap.name}: gap${place ? ` ${whereWords(place)}` : ''}`)
        return { at: place, state: state.state, placed, columns }
      })
    })
    const figures = at.map((one) => ({ ...one, gap: mapKnown(one.columns, (columns) => columns.gap) }))
    const load = isOnlyBetween
      ? null
      : gapLoadColumns(measured.graph, build, places, gap, bodies, at[0]?.columns)
    const given = load ? [{ at: null, state: 'load' as const, gap: known(load.least) }] : []
    const plans = gapChecks(gap, [...figures, ...given], build.limits.entries)
    return { gap, bodies, read, places: at, load, plans }
  })
}

/** How a gap stands in one state of the vehicle, at one place of the wheels. */
type GapIn = (placed: PlacedState, at: WheelPlace | null) => Known<GapColumns>

/** A gap to a flat of a body, or to the ground, which comes up with the wheels. */
function besideFlat(
  build: Build,
  measured: MeasuredModel,
  places: Places,
  gap: Gap,
  obstacle: BodyId,
  read: Known<MeasuredGap>,
): GapIn {
  const { graph } = measured
  const pose = ({ moves, pointMoves }: PlacedState): GapPose => ({
    own: pointMoves(gap.point),
    obstacle: moves.get(obstacle) ?? [],
  })
  const then = pose(places.inTrial(read.known ? read.value.trial : null))
  const told = andThen(packedBasis(graph, [...then.own, ...then.obstacle]), () => read)
  const flat = gapFlat(graph, gap, pointOf(measured, gap.point), told, then)
  return (placed, at) =>
    mapKnown(flat, (one) => {
      const columns = gapColumns(graph, one, pose(placed))
      const up =
        gap.kind === 'ground' && at !== null
          ? groundUp(graph, wheelsThatStand(build, measured, places, at), columns.point)
          : null
      return up === null ? columns : { ...columns, gap: scalarStep(graph, DIFFERENCE, [columns.gap, up]) }
    })
}

/** Wheels at a place, with the stations of their middles as they are read. */
function wheelsThatStand(
  build: Build,
  { graph, points }: MeasuredModel,
  places: Places,
  at: WheelPlace,
): WheelsStand[] {
  return [...places.wheels(at.id)].flatMap(([id, { leftUp, rightUp }]): WheelsStand[] => {
    const centre = wheeledOf(build).find((body) => body.id === id)?.centre
    const place = centre === undefined ? undefined : points.get(centre)
    return place?.known ? [{ place: place.value, up: scalarStep(graph, HALFWAY, [leftUp, rightUp]) }] : []
  })
}

/** Whether it is known how bodies stand as they are packed; else what is missing for it. */
const packedBasis = (graph: Graph, moves: readonly BodyMove[]): Known<unknown> =>
  allKnown(
    moves.flatMap(({ amounts, basis }) => (amounts.some((amount) => graph.at(amount) !== 0) ? [basis] : [])),
  )

/** A gap to a turning shaft: it needs no reading, but one that was read wins. */
function besideShaft(
  build: Build,
  { graph }: MeasuredModel,
  places: Places,
  gap: Gap,
  read: Known<MeasuredGap>,
): GapIn {
  const line = build.lines.find(({ id }) => id === gap.shaft?.line)
  const index = gap.shaft?.index ?? 0
  const outerMm = line?.shafts[index]?.tube?.outerMm
  const pose = (placed: PlacedState): Known<ShaftGapPose> => {
    if (!line || outerMm === undefined)
      return unknown(`${line?.name ?? gap.name}, shaft ${index + 1}: tube not entered`)
    const columns = lineColumns(graph, line, placed)
    return mapKnown(allKnown([placed.point(gap.point), columns] as const), ([point, { centres }]) => ({
      point,
      ends: [centres[index] ?? point, centres[index + 1] ?? point] as const,
      radiusMm: outerMm / 2,
    }))
  }
  const then = read.known ? pose(places.inTrial(read.value.trial)) : null
  return (placed) =>
    mapKnown(pose(placed), (now) =>
      shaftGapColumns(
        graph,
        now,
        read.known && then?.known ? { figure: read.value.figure, then: then.value } : null,
      ),
    )
}

/** The line whose torque winds up one of the bodies of a gap, or what it stands on; undefined for none. */
const windingLine = (build: Build, bodies: readonly BodyId[]): Line | undefined =>
  build.lines.find((line) => {
    const wound = windingBody(build, line)
    return axleById(build, wound) !== undefined && bodies.some((id) => goesAlongWith(build, id, wound))
  })

const pointOf = ({ points }: MeasuredModel, id: Id) =>
  points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** Ride height, then the other places of the wheels. */
const placesOf = (build: Build): (WheelPlace | null)[] => [
  null,
  ...wheelPlaces(build).map(({ id, name }) => ({ id, name })),
]
const stateAt = (at: WheelPlace | null): LineState => ({ state: 'ride', at, noseUpDeg: known(0) })

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
  const vector = vectorAt(figure)
  return {
    gap,
    check: judgedGap(plans, figure, standsAt, calledNow) as Check,
    ride: andThen(standsAt(null), () =>
      andThen(ride, ({ gap: column, point, toward }): GapEvaluation['ride'] => {
        const found = { gapMm: figure(column), point: vector(point), toward: vector(toward) }
        const isFigure = [found.gapMm, ...found.point, ...found.toward].every(Number.isFinite)
        return isFigure ? known(found) : unknown(`${gap.name}: ${NO_NUMBER}`)
      }),
    ),
  }
}

/** Every column that a gap's evaluation reads. */
export const gapWants = ({ gap, places, bodies, load }: CompiledGap): Column[] => [
  ...(load ? [load.least, ...load.cases.values()] : []),
  ...places.flatMap(({ columns, placed }) => [
    ...[placed.pointMoves(gap.point), placed.moves.get(bodies[1]) ?? []].flatMap((moves) =>
      moves.flatMap((move) => move.columns),
    ),
    ...(columns.known ? [columns.value.gap, ...columns.value.point, ...columns.value.toward] : []),
  ]),
]
