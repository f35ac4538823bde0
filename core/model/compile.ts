import { TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import { FALL_PLAN_DEG, RISE_SWEEP_DEG } from '../frame/axis'
import { lineChecks } from '../check/lineChecks'
import type { WheelPlace } from '../check/check'
import { lineStates, statesAt, windingBody, type LineState } from '../check/lineStates'
import type { CheckPlan, PlannedCheck } from '../check/plannedCheck'
import { known, mapKnown, type Known } from '../known'
import { lineFigureColumns, type LineFigureColumns } from '../line/figureColumns'
import { FLOW_DIRECTIONS, lineColumns, type LineColumns } from '../line/lineColumns'
import type { LeverColumns } from '../placement/bodyMove'
import { standing } from '../placement/bodyMoves'
import type { BodyId, WheeledBody } from '../project/body'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import type { ChainLine } from '../project/chainLine'
import type { CentreBearing, Line } from '../project/lineSpec'
import { crossesOf } from '../project/stock'
import { isLock, wheelPlaces } from '../project/wheelPlaces'
import { measuredModel, type MeasuredModel } from '../readings/geometry'
import { lineTorque, type LineTorque } from '../strength/lineTorque'
import { lineSpeed, type ShaftSpeed } from '../strength/shaftSpeed'
import { compileGaps, type CompiledGap } from './gaps'
import { stateNeeds, type StateNeeds } from './stateNeeds'
import { compileChain } from './chains'
import { extremePlacesOf } from './chainTravel'
import type { CompiledChain } from './compiledChain'
import { bodiesOf, placesOf, type BodyOf, type PlacedState, type Places } from './places'
import { compileHalfshafts, extremeIds } from './halfshafts'
import type { CompiledHalfshaft, CompiledTravel, SparePlace, SweptChain, SweptLine } from './compiledTravel'
import { sparePlace, sparePlaces, SWEEP_ID } from './travel'
import { travelling } from './wheelHeights'

/** A line in one state it is judged in. */
export interface CompiledState {
  readonly state: LineState
  readonly placed: PlacedState
  /** Unknown for want of a reading, whatever the levers do. */
  readonly columns: Known<LineColumns>
  readonly figures: LineFigureColumns | null
  readonly needs: StateNeeds
}

/** A line with its figures in every state and its checks. */
export interface CompiledLine {
  readonly line: Line
  readonly speed: Known<ShaftSpeed>
  readonly torque: Known<LineTorque>
  readonly states: readonly CompiledState[]
  readonly checks: readonly CheckPlan[]
}

/**
 * A build with everything decided that its levers and the exact readings do not change: what can be computed and from what,
 * what is missing or taken for granted, which limits speak of what. What is left is a graph of steps on columns.
 */
export interface CompiledBuild {
  readonly build: Build
  readonly graph: Graph
  readonly measured: MeasuredModel
  readonly levers: LeverColumns
  readonly bodyOf: BodyOf
  /** Cruising, at ride height. */
  readonly ride: PlacedState
  readonly lines: readonly CompiledLine[]
  readonly gaps: readonly CompiledGap[]
  readonly chains: readonly CompiledChain[]
  /** Station, offset and height of every point in mm, fall and plan of every axis in degrees, cruising. */
  readonly placeFigures: readonly PlaceFigure[]
  /** Null where nobody has told how far the wheels go. */
  readonly travel: CompiledTravel | null
}

/** A figure of a point or an axis, under the name of its place in the published result. */
export interface PlaceFigure {
  readonly of: 'point' | 'axis'
  readonly id: Id
  readonly name: string
  readonly column: Column
}

/** Every check of a compiled build in every state it is made in, but those that are certain. */
export const plannedChecks = ({
  lines,
  gaps,
  chains,
}: Pick<CompiledBuild, 'lines' | 'gaps' | 'chains'>): PlannedCheck[] => [
  ...lines.flatMap(({ checks }) => checks.flatMap((plan) => ('certain' in plan ? [] : plan.inStates))),
  ...[...gaps, ...chains].flatMap(({ plans }) => plans.map(({ planned }) => planned)),
]

/** Compilations of builds that are still around; a build never changes, so neither does what it compiles to. */
const compiled = new WeakMap<Build, CompiledBuild>()

/**
 * Compiles a build, once.
 *
 * @see docs/architecture.md
 */
export function compile(build: Build): CompiledBuild {
  const there = compiled.get(build)
  if (there) return there
  const made = compileAnew(build)
  compiled.set(build, made)
  return made
}

function compileAnew(build: Build): CompiledBuild {
  const measured = measuredModel(build)
  const { graph } = measured
  const levers = new Map(build.levers.map((lever) => [lever.id, graph.source(0)] as const))
  const axles = travelling(build)
  const set = axles.length > 0 ? sparePlaces(graph, axles) : null
  const extremes = build.lines.flatMap((line) => extremePlaces(build, graph, axles, line))
  const moving = goingAlong(build, axles)
  const chainPlaces = (chain: ChainLine) => (set ? placesOfChain(build, moving, chain) : [])
  const chainsOf = (build.chains ?? []).map((chain) => {
    const named = chainPlaces(chain)
    return { chain, named, extremes: named.length > 0 ? extremePlacesOf(graph, chain, axles) : null }
  })
  const spare = set
    ? [
        ...[...set.spares, set.sweep, ...extremes],
        ...chainsOf.flatMap(({ extremes: own }) => (own ? [own.tightest, own.slackest] : [])),
      ]
    : []
  const places = placesOf(build, measured, levers, new Map(spare.map(({ id, wheels }) => [id, wheels])))
  const between = (set?.spares ?? []).map(({ id }) => ({ id, name: '' }))
  const ride = places.placed(null, null)
  const goes = (line: Line) => set !== null && runsTo(build, moving, line)
  const lines = build.lines.map((line) => compileLine(build, graph, places, line, goes(line) ? between : []))
  const through = { id: SWEEP_ID, name: '' }
  const gaps = compileGaps(build, measured, places, between)
  const ground = { build, measured, places, levers }
  const chains = chainsOf.map(({ chain, named, extremes: own }) =>
    compileChain(ground, chain, {
      at: [null, ...named, ...(own ? between : [])],
      extremes: own,
      isTravelling: own !== null,
    }),
  )
  const sweptLines = set
    ? build.lines.filter(goes).map((line) => sweptLine(build, graph, places, line, through))
    : []
  const sweptChains = chainsOf.flatMap(({ chain, extremes: own }) =>
    own ? [compileChain(ground, chain, { at: [through], extremes: null, isTravelling: true })] : [],
  )
  const sweptPlans = set
    ? [
        ...sweptLines.flatMap(({ plans }) => plans),
        ...compileGaps(build, measured, places, [through], true).flatMap(({ plans }) =>
          plans.map(({ planned }) => planned),
        ),
        ...sweptChains.flatMap(({ plans }) => plans.map(({ planned }) => planned)),
      ]
    : []
  const made: CompiledBuild = {
    build,
    graph,
    measured,
    levers,
    bodyOf: bodiesOf(build),
    ride,
    lines,
    gaps,
    chains,
    placeFigures: placeFigures(build, graph, ride),
    travel: set && {
      axles,
      ...set,
      lines: sweptLines,
      plans: sweptPlans,
      chains: sweptChains.flatMap(sweptChain),
      halfshafts: build.lines
        .filter(goes)
        .flatMap((line) => plunging(build, graph, places, line, extremes, lines, sweptLines)),
    },
  }
  graph.close()
  return made
}

/** The axles and hubs that a line runs to. */
const wheeledEnds = (
  build: Build,
  axles: readonly WheeledBody[],
  { driving, driven }: Line,
): WheeledBody[] => {
  const ends = build.axes.flatMap(({ id, body }) => (id === driving || id === driven ? [body] : []))
  return axles.filter(({ id }) => ends.some((end) => standing(build, end).some((body) => body.id === id)))
}

/** Places for the longest and the shortest of each shaft of a line that plunges. */
function extremePlaces(build: Build, graph: Graph, axles: readonly WheeledBody[], line: Line): SparePlace[] {
  const ends = wheeledEnds(build, axles, line)
  if (ends.length === 0) return []
  return line.shafts.flatMap(({ plunge }, shaft) =>
    plunge ? extremeIds(line.id, shaft).map((id) => sparePlace(graph, id, ends)) : [],
  )
}

/** The shafts of a line that plunge, with the line at the places where they are longest and shortest. */
function plunging(
  build: Build,
  graph: Graph,
  places: Places,
  line: Line,
  extremes: readonly SparePlace[],
  lines: readonly CompiledLine[],
  swept: readonly SweptLine[],
): CompiledHalfshaft[] {
  const ride = lines.find((one) => one.line === line)?.states[0]?.columns
  const through = swept.find(({ lineId }) => lineId === line.id)?.columns
  if (!ride?.known || !through) return []
  return compileHalfshafts(graph, line, {
    ride: ride.value,
    swept: through,
    place: (id) => {
      const place = extremes.find((one) => one.id === id)
      const [state] = statesAt(line, { id, name: '' })
      if (!place || !state) return null
      const columns = lineColumns(graph, line, places.placed(state, windingBody(build, line)))
      return columns.known ? { place, columns: columns.value } : null
    },
  })
}

/** The bodies that go along with an axle or a hub. */
const goingAlong = (build: Build, axles: readonly WheeledBody[]): ReadonlySet<BodyId> =>
  new Set(
    build.bodies
      .filter(({ id }) => standing(build, id).some((body) => axles.some((axle) => axle.id === body.id)))
      .map(({ id }) => id),
  )

/** A chain as it stands at the place that goes through the travel; none that does not go along. */
function sweptChain({ chain, places, slackSpan }: CompiledChain): SweptChain[] {
  const columns = places[0]?.columns
  if (!columns?.known) return []
  const { neededMm, spansMm } = columns.value
  const spanMm = spansMm[slackSpan ?? 0]
  return spanMm === undefined ? [] : [{ chainId: chain.id, neededMm, spanMm }]
}

/** The named places of the wheels that a chain is looked at in: none where all its sprockets stay where they are. */
const placesOfChain = (build: Build, moving: ReadonlySet<BodyId>, { sprockets }: ChainLine): WheelPlace[] =>
  sprockets.some(({ point }) => moving.has(build.points.find(({ id }) => id === point)?.body ?? ''))
    ? wheelPlaces(build).flatMap(({ id, name, travel }) =>
        travel !== null && isLock(travel) ? [] : [{ id, name }],
      )
    : []

/** True for a line that runs to something that goes along with an axle. */
const runsTo = (build: Build, bodies: ReadonlySet<BodyId>, { driving, driven }: Line): boolean =>
  build.axes.some(({ id, body }) => (id === driving || id === driven) && bodies.has(body))

function compileLine(
  build: Build,
  graph: Graph,
  places: Places,
  line: Line,
  between: readonly WheelPlace[],
): CompiledLine {
  const inStates = [...lineStates(build, line), ...between.flatMap((at) => statesAt(line, at))]
  return compiledIn(build, graph, places, line, inStates, between.length > 0)
}

/** A line at the place that goes through the travel, with the checks that are made there. */
function sweptLine(build: Build, graph: Graph, places: Places, line: Line, through: WheelPlace): SweptLine {
  const { states, checks } = compiledIn(build, graph, places, line, statesAt(line, through), true)
  const plans = checks.flatMap((plan) =>
    'certain' in plan ? [] : plan.inStates.filter(({ head }) => head.at !== null),
  )
  const ride = states[0]?.columns
  return { lineId: line.id, plans, columns: ride?.known ? ride.value : null }
}

/**
 * A line in some states.
 *
 * @param isFollowed - it was told how far its wheels go, so that a slip yoke is followed on its spline
 */
function compiledIn(
  build: Build,
  graph: Graph,
  places: Places,
  line: Line,
  inStates: readonly LineState[],
  isFollowed: boolean,
): CompiledLine {
  const speed = lineSpeed(build, line)
  const torque = lineTorque(build, line)
  const duty = {
    speedRpm: speed.known ? speed.value.speedRpm : null,
    torqueNm: torque.known ? torque.value.designNm : null,
    crosses: line.joints.map(({ cross }) => crossesOf(build).find(({ id }) => id === cross) ?? null),
  }
  const resting = lineColumns(graph, line, places.placed(null, null))
  const states = inStates.map((state): CompiledState => {
    const placed = places.placed(state, windingBody(build, line))
    const isResting = placed === places.placed(null, null)
    const columns = isResting
      ? resting
      : lineColumns(graph, line, placed, isFollowed && resting.known ? resting.value : null)
    const isRide = state.state === 'ride' && state.at === null
    const seats = line.shafts.map(({ bearing }) => (bearing ? seatOf(graph, line, bearing, placed) : null))
    const figures = columns.known ? lineFigureColumns(graph, line, columns.value, duty, seats, isRide) : null
    return { state, placed, columns, figures, needs: stateNeeds(line, placed, bodiesOf(build)) }
  })
  const planned = states.map(({ state, figures }) => ({ state: state.state, at: state.at, figures }))
  const needs = {
    speed,
    torque,
    seats: line.shafts.map(({ bearing }) => seatNeed(bearing, states[0]?.placed)),
  }
  return { line, speed, torque, states, checks: lineChecks(line, build.limits.entries, needs, planned) }
}

/** The axis of a bearing's seat; straight along the power flow where it has none of its own. */
function seatOf(
  graph: Graph,
  line: Line,
  { axis }: CentreBearing,
  placed: PlacedState,
): VectorColumns | null {
  if (axis === undefined)
    return FLOW_DIRECTIONS[line.flow ?? 'rearward'].map(graph.source) as unknown as VectorColumns
  const direction = placed.axis(axis)
  return direction.known ? direction.value : null
}

/** What is taken for granted of a seat, or missing for it. */
function seatNeed(bearing: CentreBearing | undefined, placed: PlacedState | undefined): Known<null> {
  if (!bearing || !placed) return known(null)
  if (bearing.axis !== undefined) return mapKnown(placed.axis(bearing.axis), () => null)
  return known(null, ['the seat of the centre bearing is taken to look straight along the vehicle'])
}

function placeFigures(build: Build, graph: Graph, { point, axis }: PlacedState): PlaceFigure[] {
  const times = (column: Column, factor: number) => scalarStep(graph, TIMES, [column], [factor])
  return [
    ...build.points.flatMap(({ id }): PlaceFigure[] => {
      const place = point(id)
      if (!place.known) return []
      const [x, y, z] = place.value
      return [
        { of: 'point', id, name: 'stationMm', column: times(x, -1) },
        { of: 'point', id, name: 'offsetLeftMm', column: y },
        { of: 'point', id, name: 'heightMm', column: z },
      ]
    }),
    ...build.axes.flatMap(({ id, lies }): PlaceFigure[] => {
      const direction = axis(id)
      if (!direction.known) return []
      const across = lies === 'across'
      const angles = graph.step(across ? RISE_SWEEP_DEG : FALL_PLAN_DEG, direction.value)
      const names = across ? ['riseDeg', 'sweepDeg'] : ['fallDeg', 'planDeg']
      return angles.map((angle, i) => ({
        of: 'axis',
        id,
        name: names[i] ?? '',
        column: angle,
      }))
    }),
  ]
}
