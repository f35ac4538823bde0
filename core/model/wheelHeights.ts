import { PLUS_TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../columns/graph'
import type { PointOf, WheelColumns } from '../placement/axleMotion'
import { leversOn, summed, type LeverColumns } from '../placement/bodyMove'
import { shackleColumns } from '../placement/shackles'
import { linkLevers } from '../placement/wheelColumns'
import { axlesOf } from '../project/bodies'
import type { AxleBody, BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { LeverKind } from '../project/lever'
import { heightsAt, wheelPlaces } from '../project/wheelPlaces'

/** Where the wheels of each axle stand at one place, as columns; an axle that stands as measured is not in it. */
export type WheelsOf = ReadonlyMap<BodyId, WheelColumns>

const amountsOf = (build: Build, axle: AxleBody, levers: LeverColumns, kind: LeverKind): Column[] =>
  leversOn(build, axle.id, levers).flatMap(({ lever, amount }) => (lever.kind === kind ? [amount] : []))

/**
 * The wheels at ride height: springs that stand higher and longer shackles let them down, and links of other lengths turn the axle where it stands.
 */
export function wheelsAtRide(graph: Graph, build: Build, levers: LeverColumns, point: PointOf): WheelsOf {
  return new Map(
    axlesOf(build).flatMap((axle) => {
      const [shackle = null] = amountsOf(build, axle, levers, 'shackle')
      const higher = shackleColumns(graph, axle, shackle, point)?.liftMm
      const lifts = [...amountsOf(build, axle, levers, 'lift'), ...(higher === undefined ? [] : [higher])]
      if (lifts.length === 0 && linkLevers(build, axle, levers).size === 0) return []
      const up = scalarStep(graph, PLUS_TIMES, [graph.source(0), summed(graph, lifts)], [-1])
      if (lifts.length > 0) graph.name([up], `${axle.name}: wheels down as its springs stand higher`)
      return [[axle.id, { leftUp: up, rightUp: up }] as const]
    }),
  )
}

/**
 * The wheels at a place of theirs; what its springs or stops end there, a strap ends before.
 *
 * @param id - of the place; axles that it says nothing of stand as at ride height
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
  const there = place.wheels.flatMap(({ axle: axleId, leftUpMm, rightUpMm }) => {
    const axle = axlesOf(build).find((one) => one.id === axleId)
    if (!axle) return []
    const isBrought = place.travel !== null && place.travel !== 'settled'
    const straps = isBrought ? amountsOf(build, axle, levers, 'strap') : []
    const column = (upMm: number, side: string): Column => {
      const stands = graph.source(upMm)
      graph.name([stands], `${axle.name}: ${side} up from ride height, at ${place.name}`)
      return upMm < 0 && straps.length > 0
        ? scalarStep(graph, PLUS_TIMES, [stands, summed(graph, straps)], [1])
        : stands
    }
    const leftUp = column(leftUpMm, leftUpMm === rightUpMm ? 'wheels' : 'left wheel')
    const rightUp = leftUpMm === rightUpMm ? leftUp : column(rightUpMm, 'right wheel')
    return [[axleId, { leftUp, rightUp }] as const]
  })
  return new Map([...ride, ...there])
}

/** Axles whose travel was told, and so is looked through from end to end. */
export const travellingAxles = (build: Build): AxleBody[] =>
  axlesOf(build).filter((axle) => axle.suspension !== 'fixed' && heightsAt(axle, 'droop') !== null)

/** True where an axle can stand with one wheel up and the other down. */
export const goesCrossed = ({ sizes }: AxleBody): boolean => sizes?.trackMm !== undefined
