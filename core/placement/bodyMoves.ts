import type { Column, Graph, VectorColumns } from '../columns/graph'
import type { Known } from '../known'
import { bodyById } from '../project/bodies'
import type { Body, BodyId, BodyKind, PowertrainBody, TransferCaseBody } from '../project/body'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import type { BodyMove, LeverColumns } from './bodyMove'
import { mountedColumns } from './mountedColumns'
import { shiftedColumns } from './shiftedColumns'
import { turnedColumns } from './turnedColumns'
import { wheelColumns, type WheelColumns } from './wheelColumns'

/** What moves bodies in one state of the vehicle. */
export interface Movers {
  readonly graph: Graph
  readonly build: Build
  readonly levers: LeverColumns
  /** Points as measured. */
  readonly point: (id: Id) => Known<VectorColumns>
  /** How far the nose of an axle turns up by its torque, in degrees; null where it does not wind up. */
  readonly rise: (axle: BodyId) => Column | null
  /** Where the wheels of an axle stand; null at ride height. */
  readonly wheels: (axle: BodyId) => WheelColumns | null
  /** A body whose pose was read itself: that is how it stands, whatever its levers say; null for all others. */
  readonly read?: (body: BodyId) => BodyMove | null
  /** A body whose levers count from how it stood in a trial: that move, and its levers and points from there; null for all others. */
  readonly from?: (body: BodyId) => CountedFrom | null
  /** Of the torque, to follow a name: ", under drive". */
  readonly when: string
  /** Of the wheels, to follow a name: ", at droop". */
  readonly place: string
}

/** Where a body stood when its levers began to count. */
export interface CountedFrom {
  readonly move: BodyMove
  /** What each lever has been moved since. */
  readonly levers: LeverColumns
  readonly point: (id: Id) => Known<VectorColumns>
}

type MovesOf<B extends Body> = (movers: Movers, body: B) => readonly (BodyMove | null)[]

const onMounts: MovesOf<PowertrainBody | TransferCaseBody> = ({ graph, build, levers, point }, body) => [
  mountedColumns(graph, build, body, levers, point),
]
const shifted: MovesOf<Body> = ({ graph, build, levers }, body) => [
  shiftedColumns(graph, build, body, levers),
]

/** How each kind of body moves, one move after the other. */
const BODY_MOVES: { readonly [K in BodyKind]: MovesOf<Extract<Body, { kind: K }>> } = {
  chassis: () => [],
  powertrain: onMounts,
  'transfer-case': onMounts,
  axle: ({ graph, build, levers, point, rise, wheels, when, place }, axle) => {
    const wound = rise(axle.id)
    const up = wheels(axle.id)
    return [
      turnedColumns(graph, build, axle, levers, wound === null ? null : { rise: wound, when }, point),
      up && wheelColumns(graph, axle, up, place, point),
    ]
  },
  'bearing-bracket': shifted,
  hub: shifted,
  item: shifted,
}

/** The moves of a body itself, in the order in which they are made; empty for one that stands as measured. */
export function ownMoves(movers: Movers, body: Body): BodyMove[] {
  const read = movers.read?.(body.id)
  if (read) return [read]
  const of = BODY_MOVES[body.kind] as MovesOf<Body>
  const from = movers.from?.(body.id)
  if (!from) return of(movers, body).filter((move) => move !== null)
  const { move: first, ...there } = from
  return [first, ...of({ ...movers, ...there }, body).filter((move) => move !== null)]
}

/** A body and the bodies it stands on, itself first. */
export function standing(build: Build, id: BodyId): Body[] {
  const chain: Body[] = []
  for (let body = bodyById(build, id); body && !chain.includes(body); body = bodyById(build, body.standsOn))
    chain.push(body)
  return chain
}
