import { deviationOf } from '../../base/chance/spread'
import { PLUS_TIMES } from '../../base/columns/arithmetic'
import {
  moveStep,
  scalarStep,
  type Column,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import { sourcesOf } from '../../base/columns/run'
import { known, unknown, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { BodyId } from '../../file/parts/body'
import type { NamedPoint } from '../../file/parts/named'
import type { Id } from '../../file/parts/id'
import { chassisFigures, placeColumns } from '../points/chassisPoint'
import type { ReadingContext } from '../figures/context'
import { registration, type Registration } from '../attitude/registration'
import { REGISTERED_MOVE } from '../attitude/registeredMove'
import { studentFactor } from '../figures/studentFactor'

/** A point of a body as it stood in the first trial and in another. */
interface TwicePlaced {
  readonly point: NamedPoint
  readonly first: VectorColumns
  readonly then: VectorColumns
}

/** A body has at least so many points read again before its pose is taken from them. */
const LEAST_POINTS = 3

/**
 * How a body stands in a trial, by its points that were read again in it.
 *
 * @returns null when fewer than three were; unknown with the reason where they do not fix it
 * @see docs/methods/registration.md
 */
export function trialRegistration(
  context: ReadingContext,
  body: BodyId,
  trial: Id,
): Known<Registration> | null {
  const twice = twicePlaced(context, body, trial)
  if (twice.length < LEAST_POINTS) return null
  const placeOf = ([x, y, z]: VectorColumns): Vec3 => [
    context.graph.at(x),
    context.graph.at(y),
    context.graph.at(z),
  ]
  const result = registration(
    twice.map(({ point, first, then }) => ({ id: point.id, setup: placeOf(first), chassis: placeOf(then) })),
  )
  const name = context.build.trials.find(({ id }) => id === trial)?.name ?? trial
  if (!result.ok) return unknown(`${name}: ${result.message}`)
  if (result.value.isMirrored || result.value.isUpsideDown)
    return unknown(`${name}: the points read again fit only with left and right, or up and down, swapped`)
  return known(result.value)
}

/** Points of a body that were read in full both in the first trial and in another. */
export const pointsReadAgain = (context: ReadingContext, body: BodyId, trial: Id): NamedPoint[] =>
  twicePlaced(context, body, trial).map(({ point }) => point)

/**
 * The move of a body from the first trial to another, by its points that were read again; null where they do not tell it.
 *
 * What they miss each other by beyond their readings' own doubt comes along as a doubt of its own.
 */
export function trialMoveColumns(context: ReadingContext, body: BodyId, trial: Id): MoveColumns | null {
  const found = trialRegistration(context, body, trial)
  if (!found?.known) return null
  const twice = twicePlaced(context, body, trial)
  const doubt = misfit(context, twice, found.value)
  const pairs = doubt > 0 ? twice.map((one) => strayed(context, one, trial, doubt)) : twice
  return moveStep(
    context.graph,
    REGISTERED_MOVE,
    pairs.flatMap(({ first, then }) => [...first, ...then]),
    [pairs.length, ...found.value.move.rotation.flat()],
  )
}

function twicePlaced(context: ReadingContext, body: BodyId, trial: Id): TwicePlaced[] {
  return context.build.points.flatMap((point) => {
    if (point.body !== body) return []
    const then = placeColumns(context, chassisFigures(context, point, trial))
    if (!then.known) return []
    const first = placeColumns(context, context.point(point))
    return first.known ? [{ point, first: first.value, then: then.value }] : []
  })
}

/** What the points miss each other by beyond their readings' own doubt, as a standard deviation of each coordinate in mm. */
function misfit(
  { graph, list }: ReadingContext,
  twice: readonly TwicePlaced[],
  { rmsFreedom }: Registration,
): number {
  const freedom = 3 * twice.length - 6
  if (freedom < 1) return 0
  const coordinates = twice.flatMap(({ first, then }) => [...first, ...then])
  const varianceOf = (column: Column) => {
    const sources = sourcesOf(graph, [column])
    return list.inputs.reduce(
      (sum, input, k) => sum + (sources.has(list.columns[k] as Column) ? deviationOf(input) ** 2 : 0),
      0,
    )
  }
  // A difference carries the doubt of both its coordinates.
  const expected = coordinates.reduce((sum, column) => sum + varianceOf(column), 0) / (3 * twice.length)
  const excess = rmsFreedom ** 2 - expected
  return excess > expected ? Math.sqrt(excess) * studentFactor(freedom) : 0
}

const COORDINATES = ['station', 'offset', 'height'] as const

function strayed(
  { graph, list }: ReadingContext,
  twice: TwicePlaced,
  trial: Id,
  deviation: number,
): TwicePlaced {
  const then = twice.then.map((column, k) => {
    const error = list.add({
      readingId: trial,
      source: 'misfit',
      field: `${twice.point.id}-${COORDINATES[k] ?? k}`,
      label: `misfit of ${twice.point.name}, read again`,
      unit: 'mm',
      mean: 0,
      halfWidth: 0,
      scatter: deviation,
      count: 1,
    })
    return scalarStep(graph, PLUS_TIMES, [column, error], [1])
  })
  return { ...twice, then: then as unknown as VectorColumns }
}
