import { TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import { FALL_PLAN_DEG, RISE_SWEEP_DEG } from '../frame/axis'
import { lineChecks } from '../check/lineChecks'
import { lineStates, windingBody, type LineState } from '../check/lineStates'
import type { CheckPlan } from '../check/plannedCheck'
import { mapKnown, unknown, type Known } from '../known'
import { lineFigureColumns, type LineFigureColumns } from '../line/figureColumns'
import { lineColumns, type LineColumns, type PlaceColumns } from '../line/lineColumns'
import type { BodyMove, LeverColumns } from '../placement/bodyMove'
import { ownMoves, standing, type Movers } from '../placement/bodyMoves'
import { axleById } from '../project/bodies'
import type { Body, BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import type { Line } from '../project/lineSpec'
import { measuredModel, type MeasuredModel } from '../readings/geometry'
import { lineSpeed, type ShaftSpeed } from '../strength/shaftSpeed'

/** Where everything stands in one state of the vehicle, as columns. */
export interface PlacedState extends PlaceColumns {
  /** The moves each body makes, one after the other: its own, then those of the bodies it stands on; empty as measured. */
  readonly moves: ReadonlyMap<BodyId, readonly BodyMove[]>
  /** What moved columns would be without the last move they made. */
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
  const places = placesOf(build, measured, levers)
  const ride = places.placed(null, null)
  return {
    build,
    graph,
    measured,
    levers,
    bodyOf: bodiesOf(build),
    ride,
    lines: build.lines.map((line) => compileLine(build, graph, places, line)),
    placeFigures: placeFigures(build, graph, ride),
  }
}

function compileLine(build: Build, graph: Graph, places: Places, line: Line): CompiledLine {
  const speed = lineSpeed(build, line)
  const speedRpm = speed.known ? speed.value.speedRpm : null
  const states = lineStates(build, line).map((state): CompiledState => {
    const placed = places.placed(state, windingBody(build, line))
    const columns = lineColumns(graph, line, placed)
    const isRide = state.state === 'ride' && state.at === null
    const figures = columns.known ? lineFigureColumns(graph, line, columns.value, speedRpm, isRide) : null
    return { state, placed, columns, figures }
  })
  const planned = states.map(({ state, figures }) => ({ state: state.state, at: state.at, figures }))
  return { line, speed, states, checks: lineChecks(line, build.limits.entries, speed, planned) }
}

/** States of the vehicle, each put together once however many lines are judged in it. */
interface Places {
  /**
   * @param state - null for cruising at ride height
   * @param winding - the body that winds up in it
   */
  readonly placed: (state: LineState | null, winding: BodyId | null) => PlacedState
}

function placesOf(build: Build, measured: MeasuredModel, levers: LeverColumns): Places {
  const { graph, points } = measured
  const made = new Map<string, PlacedState>()
  const ride = stateOf({
    graph,
    build,
    levers,
    point: readPoint(points),
    rise: () => null,
    wheels: () => null,
    when: '',
    place: '',
  })

  function stateOf(movers: Movers, others: PlacedState | null = null): PlacedState {
    const isMoved = (body: Body) => movers.rise(body.id) !== null || movers.wheels(body.id) !== null
    const moves = new Map(
      build.bodies.map(({ id }) => {
        const chain = standing(build, id)
        // A body that nothing new moves keeps its very columns.
        const kept = others && !chain.some(isMoved) ? others.moves.get(id) : undefined
        return [id, kept ?? chain.flatMap((body) => ownMoves(movers, body))] as const
      }),
    )
    const own = placedState(build, measured, moves, `${movers.when}${movers.place}`)
    if (!others) return own
    const bodyOf = bodiesOf(build)
    const stands = (body: BodyId | undefined) =>
      body === undefined || moves.get(body) === others.moves.get(body) ? others : own
    return {
      ...own,
      point: (id) => stands(bodyOf.point.get(id)).point(id),
      axis: (id) => stands(bodyOf.axis.get(id)).axis(id),
    }
  }

  function anew({ state, at, noseUpDeg }: LineState, winding: BodyId | null): PlacedState {
    const axle = axleById(build, winding ?? undefined)
    // A transfer case or a gearbox does not wind up.
    const isWound = axle !== undefined && noseUpDeg.known && noseUpDeg.value !== 0
    const turnedDeg = isWound ? noseUpDeg.value : 0
    const wheels = build.states.find(({ id }) => id === at?.id)?.wheels ?? []
    if (!isWound && wheels.length === 0) return ride
    const rise = isWound ? graph.source(turnedDeg) : null
    if (rise !== null)
      graph.name(
        [rise],
        `${axle?.name}: nose ${turnedDeg > 0 ? 'up under drive' : 'down on overrun'}, as expected`,
      )
    const up = new Map(
      wheels.map(({ axle: id, leftUpMm, rightUpMm }) => {
        const columns = { leftUp: graph.source(leftUpMm), rightUp: graph.source(rightUpMm) }
        const name = axleById(build, id)?.name ?? id
        graph.name([columns.leftUp], `${name}: left wheel up from ride height, at ${at?.name}`)
        graph.name([columns.rightUp], `${name}: right wheel up from ride height, at ${at?.name}`)
        return [id, columns] as const
      }),
    )
    return stateOf(
      {
        graph,
        build,
        levers,
        point: readPoint(points),
        rise: (body) => (body === axle?.id ? rise : null),
        wheels: (body) => up.get(body) ?? null,
        when: state === 'drive' ? ', under drive' : state === 'coast' ? ', on overrun' : '',
        place: at ? `, at ${at.name}` : '',
      },
      ride,
    )
  }

  return {
    placed: (state, winding) => {
      if (!state) return ride
      const turnedDeg = state.noseUpDeg.known ? state.noseUpDeg.value : 0
      const key = `${state.at?.id ?? ''}/${turnedDeg === 0 ? '' : `${winding}/${state.state}/${turnedDeg}`}`
      const there = made.get(key)
      if (there) return there
      const found = anew(state, winding)
      made.set(key, found)
      return found
    },
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
  moves: ReadonlyMap<BodyId, readonly BodyMove[]>,
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
  return {
    moves,
    unmoved,
    when,
    point: remembered((id) =>
      mapKnown(readPoint(points)(id), (place) => {
        const moved = carried(movesOf(bodyOf.point.get(id)), place, 'point')
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
