import type { FigureOf } from '../base/columns/graph'
import type { Known } from '../base/known'
import { lineNeeds } from '../line/lineColumns'
import type { BodyMove } from '../vehicle/moves/bodyMove'
import type { Id } from '../file/parts/id'
import { pointOfJoint, type Line } from '../file/parts/lineSpec'
import type { BodyOf, PlacedState } from './placedState'

/** Points and axes as they stand now; unknown where they cannot. */
interface Standing {
  readonly point: (id: Id) => Known<unknown>
  readonly axis: (id: Id) => Known<unknown>
}

/** What a line rests on in one state: the moves that its points and axes make, and what was found of them by how they stand. */
export interface StateNeeds {
  readonly moves: readonly BodyMove[]
  readonly found: Map<string, Known<null>>
}

/** The needs of a line in a state, with nothing found yet. */
export function stateNeeds(line: Line, placed: PlacedState, { axis: bodyOf }: BodyOf): StateNeeds {
  const axes = [line.driving, line.driven].map((id) => placed.moves.get(bodyOf.get(id) ?? '') ?? [])
  const points = line.joints.map((_, index) => {
    const id = pointOfJoint(line, index)
    return id === undefined ? [] : placed.pointMoves(id)
  })
  return { moves: [...new Set([...axes, ...points].flat())], found: new Map() }
}

/**
 * Whether all that a line rests on was read and its bodies can go where they are asked, with what was taken for granted.
 *
 * Only that a body stands, moves, cannot be moved or goes too far makes a difference, so the answer is kept by that: a lever in
 * the hand asks for it in every state of every frame.
 */
export function needsIn(
  { moves, found }: StateNeeds,
  line: Line,
  places: Standing,
  figure: FigureOf,
): Known<null> {
  const stands = moves.map((move) => standOf(move, figure)).join('')
  const there = found.get(stands)
  if (there) return there
  const needs = lineNeeds(line, places.axis, places.point)
  const made: Known<null> = needs.known ? { ...needs, value: null } : needs
  found.set(stands, made)
  return made
}

function standOf({ amounts, basis, moveAt }: BodyMove, figure: FigureOf): string {
  if (amounts.every((amount) => figure(amount) === 0)) return 's'
  if (!basis.known) return 'u'
  return Number.isNaN(moveAt(figure).shift[0]) ? 'f' : 'm'
}
