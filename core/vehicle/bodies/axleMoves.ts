import type { VectorColumns } from '../../base/columns/graph'
import { mapKnown, type Known } from '../../base/known'
import type { AxleBody } from '../../file/parts/body'
import type { Id } from '../../file/parts/id'
import type { LeverKind } from '../../file/build/lever'
import { leversOn, type BodyMove } from '../moves/bodyMove'
import type { MovesOf } from './movers'
import { shackleColumns } from '../wheels/shackles'
import { raisedColumns, shiftedColumns } from '../moves/shiftedColumns'
import { turnedColumns } from '../moves/turnedColumns'
import { wheelColumns } from '../wheels/wheelColumns'

/**
 * How an axle moves: turned by wedges, raised on blocks, slid in the slots of its arms, taken along by its wheels as its springs and links let it, and last its nose turned by
 * torque about where its middle has gone.
 *
 * @see docs/methods/travel.md
 */
export const axleMoves: MovesOf<AxleBody> = (
  { graph, build, levers, point, rise, wheels, when, place, heights },
  axle,
) => {
  const of = (kind: LeverKind) =>
    leversOn(build, axle.id, levers).flatMap(({ lever, amount }) => (lever.kind === kind ? [amount] : []))
  const wound = rise(axle.id)
  const up = wheels(axle.id)
  const raised = raisedColumns(graph, axle, of('block'))
  const slid = shiftedColumns(graph, build, axle, levers)
  // Springs on an arc wind up about their seat.
  const pivot = axle.motion?.kind === 'arc' ? axle.motion.seat : axle.centre
  const [shackle = null] = of('shackle')
  const turned = shackleColumns(graph, axle, shackle, point)?.noseUpDeg
  const wedges = turned === undefined ? of('wedge') : [...of('wedge'), turned]
  if (!up && !raised && !slid && pivot === axle.centre)
    return [turnedColumns(graph, axle, wound === null ? wedges : [...wedges, wound], when, point)]
  const before = [
    turnedColumns(graph, axle, wedges, '', point),
    raised,
    slid,
    up && wheelColumns(graph, build, axle, levers, up, place, point, heights),
  ].filter((move) => move !== null)
  const carried = (id: Id): Known<VectorColumns> =>
    mapKnown(point(id), (from) => before.reduce((there, move: BodyMove) => move.point(there), from))
  return [...before, wound === null ? null : turnedColumns(graph, axle, [wound], when, carried, pivot)]
}
