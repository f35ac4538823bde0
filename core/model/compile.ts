import { TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import { FALL_PLAN } from '../frame/axis'
import { lineChecks } from '../check/lineChecks'
import { lineStates, windingBody, type LineState } from '../check/lineStates'
import type { CheckPlan } from '../check/plannedCheck'
import { mapKnown, unknown, type Known } from '../known'
import { lineFigureColumns, type LineFigureColumns } from '../line/figureColumns'
import { lineColumns, type LineColumns, type PlaceColumns } from '../line/lineColumns'
import { axleColumns } from '../placement/axleColumns'
import type { BodyMove, LeverColumns } from '../placement/bodyMove'
import { powertrainColumns } from '../placement/powertrainColumns'
import type { BodyId, Build } from '../project/build'
import type { Id } from '../project/id'
import type { Line } from '../project/lineSpec'
import { measuredModel, type MeasuredModel } from '../readings/geometry'
import { shaftSpeed, type ShaftSpeed } from '../strength/shaftSpeed'
import { degrees } from '../units/angle'

/** Where everything stands in one state of the vehicle, as columns. */
export interface PlacedState extends PlaceColumns {
  /** How each body moves; null for one that stands as measured. */
  readonly moves: ReadonlyMap<BodyId, BodyMove | null>
  /** What moved columns would be without their body's move. */
  readonly unmoved: ReadonlyMap<Column, { readonly from: Column; readonly move: BodyMove }>
}

/** The body each point and axis belongs to. */
export interface BodyOf {
  readonly point: ReadonlyMap<Id, BodyId>
  readonly axis: ReadonlyMap<Id, BodyId>
}

/** A line in one state it is judged in. */
export interface CompiledState {
  readonly state: LineState
  readonly placed: PlacedState
  /** Unknown for want of a reading, whatever the levers do. */
  readonly columns: Known<LineColumns>
  readonly figures: LineFigureColumns | null
}

/** A line with its figures in every state and its checks. */
export interface CompiledLine {
  readonly line: Line
  readonly speed: Known<ShaftSpeed>
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
  /** Station, offset and height of every point in mm, fall and plan of every axis in degrees, cruising. */
  readonly placeFigures: readonly PlaceFigure[]
}

/** A figure of a point or an axis, under the name of its place in the published result. */
export interface PlaceFigure {
  readonly of: 'point' | 'axis'
  readonly id: Id
  readonly name: string
  readonly column: Column
}

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
  const ride = placedState(build, measured, stillMoves(build, measured, levers))
  return {
    build,
    graph,
    measured,
    levers,
    bodyOf: bodiesOf(build),
    ride,
    lines: build.lines.map((line) => compileLine(build, measured, levers, ride, line)),
    placeFigures: placeFigures(build, graph, ride),
  }
}

function compileLine(
  build: Build,
  measured: MeasuredModel,
  levers: LeverColumns,
  ride: PlacedState,
  line: Line,
): CompiledLine {
  const { graph } = measured
  const speed = shaftSpeed(line)
  const speedRpm = speed.known ? speed.value.speedRpm : null
  const states = lineStates(line).map((state): CompiledState => {
    const placed = state.state === 'ride' ? ride : woundUp(build, measured, levers, ride, line, state)
    const columns = lineColumns(graph, line, placed)
    const figures = columns.known
      ? lineFigureColumns(graph, line, columns.value, speedRpm, state.state === 'ride')
      : null
    return { state, placed, columns, figures }
  })
  const planned = states.map(({ state, figures }) => ({ state: state.state, figures }))
  return { line, speed, states, checks: lineChecks(line, build.limits.entries, speed, planned) }
}

/** How bodies move by their levers alone. */
function stillMoves(
  build: Build,
  { graph, points }: MeasuredModel,
  levers: LeverColumns,
): Map<BodyId, BodyMove | null> {
  const point = readPoint(points)
  return new Map<BodyId, BodyMove | null>([
    ['chassis', null],
    ['powertrain', powertrainColumns(graph, build, levers, point)],
    ...build.axles.map((axle) => [axle.id, axleColumns(graph, build, axle, levers, null, point)] as const),
  ])
}

/** The state in which the driven axle's nose is turned up as its torque does; all other bodies stand as at ride height. */
function woundUp(
  build: Build,
  measured: MeasuredModel,
  levers: LeverColumns,
  ride: PlacedState,
  line: Line,
  { noseUpDeg }: LineState,
): PlacedState {
  const body = windingBody(build, line)
  const axle = build.axles.find((one) => one.id === body)
  // A transfer case or a gearbox does not wind up.
  if (!axle || !noseUpDeg.known || noseUpDeg.value === 0) return ride
  const { graph, points } = measured
  const rise = graph.source(noseUpDeg.value)
  graph.name(
    [rise],
    `${axle.name}: nose ${noseUpDeg.value > 0 ? 'up under drive' : 'down on overrun'}, as expected`,
  )
  const when = noseUpDeg.value > 0 ? ', under drive' : ', on overrun'
  const move = axleColumns(graph, build, axle, levers, { rise, when }, readPoint(points))
  const own = placedState(build, measured, new Map([...ride.moves, [body, move]]), when)
  const bodyOf = bodiesOf(build)
  return {
    moves: own.moves,
    unmoved: own.unmoved,
    when,
    point: (id) => (bodyOf.point.get(id) === body ? own.point(id) : ride.point(id)),
    axis: (id) => (bodyOf.axis.get(id) === body ? own.axis(id) : ride.axis(id)),
  }
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
    ...build.axes.flatMap(({ id }): PlaceFigure[] => {
      const direction = axis(id)
      if (!direction.known) return []
      const [fall, plan] = graph.step(FALL_PLAN, direction.value) as unknown as [Column, Column]
      return [
        { of: 'axis', id, name: 'fallDeg', column: times(fall, degrees(1)) },
        { of: 'axis', id, name: 'planDeg', column: times(plan, degrees(1)) },
      ]
    }),
  ]
}

const readPoint =
  (points: MeasuredModel['points']) =>
  (id: Id): Known<VectorColumns> =>
    points.get(id) ?? unknown(`point "${id}" is not in the build`)

const bodiesOf = (build: Build): BodyOf => ({
  point: new Map(build.points.map((point) => [point.id, point.body])),
  axis: new Map(build.axes.map((axis) => [axis.id, axis.body])),
})

/** Points and axes after their bodies have moved; each is put into the graph when first asked for. */
function placedState(
  build: Build,
  { graph, points, axes }: MeasuredModel,
  moves: ReadonlyMap<BodyId, BodyMove | null>,
  when = '',
): PlacedState {
  const bodyOf = bodiesOf(build)
  const unmoved = new Map<Column, { readonly from: Column; readonly move: BodyMove }>()
  const carried = (move: BodyMove | null, from: VectorColumns, by: 'point' | 'direction'): VectorColumns => {
    if (!move) return from
    const to = move[by](from)
    to.forEach((column, part) => {
      const before = from[part]
      if (before !== undefined && before !== column) unmoved.set(column, { from: before, move })
    })
    return to
  }
  const moveOf = (body: BodyId | undefined) => moves.get(body ?? 'chassis') ?? null
  return {
    moves,
    unmoved,
    point: remembered((id) =>
      mapKnown(readPoint(points)(id), (place) => {
        const moved = carried(moveOf(bodyOf.point.get(id)), place, 'point')
        graph.name(moved, `${nameOf(build.points, id)}, where it stands${when}`)
        return moved
      }),
    ),
    axis: remembered((id) =>
      mapKnown(axes.get(id) ?? unknown(`axis "${id}" is not in the build`), ({ direction }) => {
        const turned = carried(moveOf(bodyOf.axis.get(id)), direction, 'direction')
        graph.name(turned, `${nameOf(build.axes, id)}, as it lies${when}`)
        return turned
      }),
    ),
  }
}

const nameOf = (items: readonly { readonly id: Id; readonly name: string }[], id: Id): string =>
  items.find((item) => item.id === id)?.name ?? id

function remembered<T>(make: (id: Id) => T): (id: Id) => T {
  const made = new Map<Id, T>()
  return (id) => {
    const there = made.get(id)
    if (there !== undefined) return there
    const value = make(id)
    made.set(id, value)
    return value
  }
}
