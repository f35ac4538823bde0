import { bodyById } from '../../file/parts/bodies'
import type {
  Body,
  BodyId,
  BodyKind,
  LiveAxleBody,
  PowertrainBody,
  TransferCaseBody,
} from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { BodyMove } from '../moves/bodyMove'
import { bearingColumns } from './bearingColumns'
import { mountedColumns } from './mountedColumns'
import { shiftedColumns } from '../moves/shiftedColumns'
import { axleMoves } from './axleMoves'
import { hubMoves } from './hubMoves'
import type { Movers, MovesOf } from './movers'

const onMounts: MovesOf<PowertrainBody | TransferCaseBody> = ({ graph, build, levers, point }, body) => [
  mountedColumns(graph, build, body, levers, point),
]
const shifted: MovesOf<Body> = ({ graph, build, levers }, body) => [
  shiftedColumns(graph, build, body, levers),
]

const onBearings: MovesOf<LiveAxleBody> = ({ graph, build, levers, point }, body) => [
  bearingColumns(graph, build, body, levers, point),
]

/** How each kind of body moves, one move after the other. */
const BODY_MOVES: { readonly [K in BodyKind]: MovesOf<Extract<Body, { kind: K }>> } = {
  chassis: () => [],
  powertrain: onMounts,
  'transfer-case': onMounts,
  axle: axleMoves,
  'bearing-bracket': shifted,
  hub: hubMoves,
  'live-axle': onBearings,
  item: shifted,
}

/** The moves of a body itself, in the order in which they are made; empty for one that stands as measured. */
export function ownMoves(movers: Movers, body: Body): BodyMove[] {
  const read = movers.read?.(body.id)
  if (read) return [read]
  const of = BODY_MOVES[body.kind] as MovesOf<Body>
  const from = movers.from?.(body.id)
  const gives = movers.gives(body.id)
  if (!from) return [...of(movers, body), gives].filter((move) => move !== null)
  const { move: first, ...there } = from
  return [first, ...of({ ...movers, ...there }, body), gives].filter((move) => move !== null)
}

/** Whether a body is another or stands on it, and so goes where that goes. */
export const goesAlongWith = (build: Build, id: BodyId, body: BodyId): boolean =>
  bodiesUnder(build, id).some((one) => one.id === body)

/** A body and the bodies it stands on, itself first. */
export function bodiesUnder(build: Build, id: BodyId): Body[] {
  const chain: Body[] = []
  for (let body = bodyById(build, id); body && !chain.includes(body); body = bodyById(build, body.standsOn))
    chain.push(body)
  return chain
}
