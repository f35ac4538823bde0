import type { Column, Graph, MoveColumns } from '../../base/columns/graph'
import { known, type Known } from '../../base/known'
import type { HubBody } from '../../file/parts/body'
import type { LengthMotion } from '../../file/parts/hubMotion'
import type { PointOf, WheelColumns } from '../wheels/axleMotion'
import { rigidly, type BodyMove } from '../moves/bodyMove'
import { heldBody, unmoved } from '../moves/heldBody'
import type { HeightInputs } from '../wheels/heightInputs'
import { lengthMove, suspensionMove } from '../wheels/hubMotion'
import type { MovesOf } from './movers'
import { oncePerPlace } from '../wheels/oncePerPlace'
import { shiftedColumns } from '../moves/shiftedColumns'

const once = oncePerPlace()

/**
 * How a hub moves: shifted by its levers, then taken along by its wheel as its suspension lets it.
 *
 * @see docs/methods/halfshafts.md
 */
export const hubMoves: MovesOf<HubBody> = ({ graph, build, levers, point, wheels, place, heights }, hub) => {
  const up = wheels(hub.id)
  return [
    shiftedColumns(graph, build, hub, levers),
    up && once(up, point, () => withItsWheel(graph, hub, up, place, point, heights)),
  ]
}

/** True for a hub that stands where its halfshaft was measured, at ride height too. */
export const isMeasured = (hub: HubBody): hub is HubBody & { readonly motion: LengthMotion } =>
  hub.motion?.kind === 'lengths' && hub.motion.rows.length > 0

function withItsWheel(
  graph: Graph,
  hub: HubBody,
  wheels: WheelColumns,
  place: string,
  point: PointOf,
  heights: HeightInputs,
): BodyMove {
  const amounts: Column[] = [wheels.leftUp, ...(wheels.rack === undefined ? [] : [wheels.rack])]
  const move = moveOf(graph, hub, wheels, point, heights)
  // Where distances were measured it stands by them, at ride height too.
  const isMoved = move.known && hub.motion?.kind === 'lengths'
  const moves = {
    body: hub.id,
    amounts: isMoved ? [...amounts, ...move.value] : amounts,
    tooFar: { what: tooFar(graph, hub, wheels, place), path: '' },
  }
  if (!move.known) return { ...moves, basis: move, ...heldBody(graph, amounts) }
  graph.name(move.value, `${hub.name}, with its wheel${place}`)
  return { ...moves, basis: known(null, move.assumptions), ...rigidly(graph, move.value) }
}

function tooFar(graph: Graph, { name, motion }: HubBody, { leftUp }: WheelColumns, place: string): string {
  if (motion?.kind === 'lengths') return `${name}: its halfshaft was not measured that far${place}`
  const up = Math.round(graph.at(leftUp))
  return `${name}: the suspension cannot reach ${up < 0 ? '−' : ''}${Math.abs(up)} mm${place}`
}

function moveOf(
  graph: Graph,
  hub: HubBody,
  wheels: WheelColumns,
  point: PointOf,
  heights: HeightInputs,
): Known<MoveColumns> {
  const { name, motion } = hub
  if (!motion) return unmoved(`${name}: how it moves with its wheel was not entered`)
  if (motion.kind !== 'lengths') return suspensionMove(graph, hub, motion, wheels, point)
  const count = motion.rows.length
  const isRide = graph.at(wheels.leftUp) === 0
  if (count < (isRide ? 1 : 2))
    return unmoved(
      `${name}: its halfshaft was measured at ${count === 0 ? 'no height' : 'one height'}; it takes three`,
    )
  const move = lengthMove(graph, hub, motion, wheels, point, heights)
  const said =
    count === 2 ? [`${name}: measured at two heights only, it is taken to move straight between them`] : []
  return move.known ? known(move.value, [...move.assumptions, ...said]) : move
}
