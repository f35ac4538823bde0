import { PLUS_TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import type { PointOf, WheelColumns } from '../vehicle/wheels/axleMotion'
import { leversOn, summed, type LeverColumns } from '../vehicle/moves/bodyMove'
import { shackleColumns } from '../vehicle/wheels/shackles'
import { isMeasured } from '../vehicle/bodies/hubMoves'
import { linkLevers } from '../vehicle/wheels/wheelColumns'
import { axlesOf, hubsOf, wheeledOf } from '../file/parts/bodies'
import type { BodyId, WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { LeverKind } from '../file/build/lever'
import { heightsAt, wheelPlaces } from '../file/build/wheelPlaces'

/** Where the wheels of each axle stand at one place, as columns; an axle that stands as measured is not in it. */
export type WheelsOf = ReadonlyMap<BodyId, WheelColumns>

const amountsOf = (build: Build, axle: WheeledBody, levers: LeverColumns, kind: LeverKind): Column[] =>
  leversOn(build, axle.id, levers).flatMap(({ lever, amount }) => (lever.kind === kind ? [amount] : []))

/**
 * The wheels at ride height: springs that stand higher and longer shackles let them down, links of other lengths turn the axle where it stands, and
 * the distance of a halfshaft's joints was measured there too.
 */
export function wheelsAtRide(graph: Graph, build: Build, levers: LeverColumns, point: PointOf): WheelsOf {
  const down = ({ name }: WheeledBody, lifts: readonly Column[], what: string): Column => {
    const up = scalarStep(graph, PLUS_TIMES, [graph.source(0), summed(graph, lifts)], [-1])
    if (lifts.length > 0) graph.name([up], `${name}: ${what} down as its springs stand higher`)
    return up
  }
  const axles = axlesOf(build).flatMap((axle) => {
    const [shackle = null] = amountsOf(build, axle, levers, 'shackle')
    const higher = shackleColumns(graph, axle, shackle, point)?.liftMm
    const lifts = [...amountsOf(build, axle, levers, 'lift'), ...(higher === undefined ? [] : [higher])]
    if (lifts.length === 0 && linkLevers(build, axle, levers).size === 0) return []
    return [[axle.id, alike(down(axle, lifts, 'wheels'))] as const]
  })
  const hubs = hubsOf(build).flatMap((hub) => {
    const lifts = amountsOf(build, hub, levers, 'lift')
    if (lifts.length === 0 && !isMeasured(hub)) return []
    return [[hub.id, alike(down(hub, lifts, 'wheel'))] as const]
  })
  return new Map([...axles, ...hubs])
}

const alike = (up: Column) => ({ leftUp: up, rightUp: up })

/**
 * The wheels at a place of theirs; what its springs or stops end there, a strap ends before.
 *
 * @param id - of the place; axles and hubs that it says nothing of stand as at ride height
 */
export function wheelsAtPlace(
  graph: Graph,
  build: Build,
  levers: LeverColumns,
  id: string,
  ride: WheelsOf,
): WheelsOf {
  const place = wheelPlaces(build).find((one) => one.id === id)
  if (!place) return ride
  const there = place.wheels.flatMap(({ axle: id, leftUpMm, rightUpMm, rackMm }) => {
    const axle = wheeledOf(build).find((one) => one.id === id)
    if (!axle) return []
    const isBrought = place.travel !== null && place.travel !== 'settled'
    const straps = isBrought ? amountsOf(build, axle, levers, 'strap') : []
    const isSingle = axle.kind === 'hub'
    // Steered at ride height the wheel stands where it stands.
    const lowered = leftUpMm === 0 && rightUpMm === 0 ? ride.get(id)?.leftUp : undefined
    const column = (upMm: number, side: string): Column => {
      if (lowered !== undefined) return lowered
      const stands = graph.source(upMm)
      graph.name([stands], `${axle.name}: ${side} up from ride height, at ${place.name}`, 'mm')
      return upMm < 0 && straps.length > 0
        ? scalarStep(graph, PLUS_TIMES, [stands, summed(graph, straps)], [1])
        : stands
    }
    const isAlike = leftUpMm === rightUpMm
    const leftUp = column(leftUpMm, isSingle ? 'wheel' : isAlike ? 'wheels' : 'left wheel')
    const rightUp = isAlike ? leftUp : column(rightUpMm, 'right wheel')
    if (rackMm === undefined) return [[id, { leftUp, rightUp }] as const]
    const rack = graph.source(rackMm)
    graph.name([rack], `${axle.name}: rack to the left, at ${place.name}`, 'mm')
    return [[id, { leftUp, rightUp, rack }] as const]
  })
  return new Map([...ride, ...there])
}

/** Axles and hubs whose travel was told, and which so are looked through from end to end. */
export const travelling = (build: Build): WheeledBody[] =>
  wheeledOf(build).filter((body) => heightsAt(body, 'droop') !== null)
