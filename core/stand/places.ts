import { whereWords } from '../check/placeName'
import type { CheckState } from '../check/check'
import type { LineState } from '../check/lineStates'
import { DIFFERENCE } from '../base/columns/arithmetic'
import { scalarStep, type Column, type VectorColumns } from '../base/columns/graph'
import { mapKnown, unknown, type Known } from '../base/known'
import { remembered } from '../base/remembered'
import { adapterOf, type Adapter } from '../vehicle/bodies/adapterColumns'
import type { BodyMove, LeverColumns } from '../vehicle/moves/bodyMove'
import { ownMoves, bodiesUnder } from '../vehicle/bodies/bodyMoves'
import { heightInputs } from '../vehicle/wheels/heightInputs'
import type { CountedFrom, Movers } from '../vehicle/bodies/movers'
import { axleById } from '../file/parts/bodies'
import type { Body, BodyId } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { MeasuredModel } from '../measure/geometry/geometry'
import { bodiesOf, nameOf, placedState, readPoint, type Movable, type PlacedState } from './placedState'
import { setMounts } from './setMounts'
import { sprungBodies, sprungMove, type SprungBody } from './sprung'
import { trialMove } from './trialMove'
import { wheelsAtPlace, wheelsAtRide, type WheelsOf } from './wheelHeights'

/** States of the vehicle, each put together once however many lines are judged in it. */
export interface Places {
  /**
   * @param state - null for cruising at ride height
   * @param winding - the body that winds up in it
   */
  readonly placed: (state: LineState | null, winding: BodyId | null) => PlacedState
  /** Where the wheels stand at a place of theirs, as columns. */
  readonly wheels: (at: Id) => WheelsOf
  /** As packed for a lift-in of the powertrain; null for the first, in which nothing had been moved. */
  readonly inTrial: (trial: Id | null) => PlacedState
  /** How bodies give on their mounts, the powertrain first. */
  readonly sprung: () => readonly SprungBody[]
}

/**
 * The states of a build, from its measured model.
 *
 * @param spare - places of the wheels that are set from outside, by their ids
 */
export function placesOf(
  build: Build,
  measured: MeasuredModel,
  levers: LeverColumns,
  spare: ReadonlyMap<Id, WheelsOf> = new Map(),
): Places {
  const { graph, points, axes } = measured
  const asRead = readPoint(points)
  const set = setMounts(graph, build, levers, asRead)
  const adapterBy = (amounts: LeverColumns) =>
    adapterOf(graph, build, amounts, asRead, (id) =>
      mapKnown(axes.get(id) ?? unknown(`axis "${id}" is not in the build`), ({ direction }) => direction),
    )
  const adapter = adapterBy(levers)
  const settled = setBack(set, adapter)
  const heights = heightInputs(build, measured.list)
  const from = countedFrom(build, measured, levers, settled)
  const made = new Map<string, PlacedState>()
  const rideWheels = wheelsAtRide(graph, build, levers, settled)
  const ride = stateOf({
    graph,
    build,
    levers,
    from,
    point: settled,
    heights,
    rise: () => null,
    gives: () => null,
    wheels: (body) => rideWheels.get(body) ?? null,
    when: '',
    place: '',
  })

  function stateOf(
    movers: Movers,
    others: PlacedState | null = null,
    before: Omit<Movable, 'moves'> = { point: set, adapter },
  ): PlacedState {
    const isMoved = ({ id }: Body) =>
      movers.rise(id) !== null ||
      movers.gives(id) !== null ||
      movers.wheels(id) !== (rideWheels.get(id) ?? null)
    const moves = new Map(
      build.bodies.map(({ id }) => {
        const chain = bodiesUnder(build, id)
        // A body that nothing new moves keeps its very columns.
        const kept = others && !chain.some(isMoved) ? others.moves.get(id) : undefined
        return [id, kept ?? chain.flatMap((body) => ownMoves(movers, body))] as const
      }),
    )
    const own = placedState(build, measured, { ...before, moves }, `${movers.when}${movers.place}`)
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
    const up = at ? (spare.get(at.id) ?? wheelsOf(at.id)) : rideWheels
    const gives = givesIn(state)
    if (!isWound && gives.size === 0 && [...up].every(([id, wheels]) => wheels === rideWheels.get(id)))
      return ride
    const rise = isWound ? riseOf(axle.name, turnedDeg) : null
    return stateOf(
      {
        graph,
        build,
        levers,
        from,
        point: settled,
        heights,
        rise: (body) => (body === axle?.id ? rise : null),
        gives: (body) => gives.get(body) ?? null,
        wheels: (body) => up.get(body) ?? null,
        when: state === 'drive' ? ', under drive' : state === 'coast' ? ', on overrun' : '',
        place: at ? `, ${whereWords(at)}` : '',
      },
      ride,
    )
  }

  const sprungAtRide = remembered<readonly SprungBody[], 'ride'>(() => sprungBodies(graph, build, ride))
  const sprung = () => sprungAtRide('ride')
  const givesIn = remembered(
    (state: CheckState): ReadonlyMap<BodyId, BodyMove> =>
      new Map(
        sprung().flatMap((one) => {
          const move = sprungMove(graph, one, state)
          return move ? [[one.body.id, move] as const] : []
        }),
      ),
  )

  /** One for every place of the wheels: an axle winds up alike in all of them. */
  const rises = new Map<string, Column>()
  function riseOf(name: string, turnedDeg: number): Column {
    const key = `${name}/${turnedDeg}`
    const rise = rises.get(key) ?? graph.source(turnedDeg)
    rises.set(key, rise)
    graph.name(
      [rise],
      `${name}: nose ${turnedDeg > 0 ? 'up under drive' : 'down on overrun'}, as expected`,
      'deg',
    )
    return rise
  }

  const wheelsOf = remembered((id) => wheelsAtPlace(graph, build, levers, id, rideWheels))
  const unmoved = placedState(build, measured, { point: asRead, moves: new Map(), adapter: null })
  const inTrial = remembered((id) => {
    const packed = build.trials.find((trial) => trial.id === id)?.packed ?? {}
    const amounts = new Map(
      build.levers.map(({ id: lever }) => {
        const column = graph.source(packed[lever] ?? 0)
        graph.name([column], `as packed for ${nameOf(build.trials, id)}`)
        return [lever, column] as const
      }),
    )
    const read = remembered((body) => trialMove(measured.context, body, id))
    const still = { rise: () => null, gives: () => null, wheels: () => null, when: '', place: '' }
    const packedAdapter = adapterBy(amounts)
    const packedMounts = setMounts(graph, build, amounts, asRead)
    const point = setBack(packedMounts, packedAdapter)
    const before = { point: packedMounts, adapter: packedAdapter }
    return stateOf({ graph, build, levers: amounts, point, heights, read, ...still }, null, before)
  })

  return {
    wheels: (at) => spare.get(at) ?? wheelsOf(at),
    inTrial: (trial) => (trial === null ? unmoved : inTrial(trial)),
    sprung,
    placed: (state, winding) => {
      if (!state) return ride
      // Lines that wind up the same axle by as much share the state.
      const turnedDeg = state.noseUpDeg.known ? state.noseUpDeg.value : 0
      const wound = turnedDeg === 0 ? '' : `${winding}/${turnedDeg}`
      const torque = wound === '' && givesIn(state.state).size === 0 ? '' : state.state
      const key = `${state.at?.id ?? ''}/${wound}/${torque}`
      const there = made.get(key)
      if (there) return there
      const found = anew(state, winding)
      made.set(key, found)
      return found
    },
  }
}

/** Bodies that were read as they stood in the trial from which levers count. */
function countedFrom(
  { trials, countedFrom: id, levers: all }: Build,
  { graph, context }: MeasuredModel,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): (body: BodyId) => CountedFrom | null {
  const trial = trials.find((one) => one.id === id)
  if (!trial) return () => null
  return remembered((body) => {
    const move = trialMove(context, body, trial.id)
    if (!move) return null
    const since = new Map(levers)
    for (const { id: lever, body: of } of all) {
      const [now, then] = [levers.get(lever), trial.packed?.[lever]]
      if (of !== body || now === undefined || then === undefined || then === 0) continue
      const packed = graph.source(then)
      graph.name([packed], `as packed for ${trial.name}`)
      since.set(lever, scalarStep(graph, DIFFERENCE, [now, packed]))
    }
    return { move, levers: since, point: (of) => mapKnown(point(of), (place) => move.point(place)) }
  })
}

/** Points where they are once the adapter is in, before anything else has moved. */
const setBack =
  (point: (id: Id) => Known<VectorColumns>, adapter: Adapter | null) =>
  (id: Id): Known<VectorColumns> =>
    adapter?.isBehind(id) ? mapKnown(point(id), (place) => adapter.move.point(place)) : point(id)
