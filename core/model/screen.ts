import type { Column, FigureOf } from '../base/columns/graph'
import type { Kind } from '../base/columns/kept'
import { newRun, type Run } from '../base/columns/run'
import { fallPlan, type FallPlan } from '../base/frame/axis'
import { allKnown, known, mapKnown, type Known } from '../base/known'
import { composed, NO_MOVE, type RigidMove } from '../base/linalg/mat3'
import type { BodyMove } from '../vehicle/moves/bodyMove'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { BodyId } from '../file/parts/body'
import type { Id } from '../file/parts/id'
import { axisOf, geometryOf, vectorAt, type Geometry } from '../measure/geometry/geometry'
import { asRadians } from '../base/units/angle'
import type { CompiledBuild } from './compile'
import { moveWants } from '../stand/moveWants'
import type { PlacesAt } from '../stand/placesAt'
import type { PlacedState } from '../stand/placedState'
import type { SetPlace } from '../stand/travel'

interface OneRow {
  readonly run: Run
  readonly wanted: readonly Column[]
  readonly measured: Geometry
}

const ONE_ROW: Kind<OneRow> = { name: 'the screen' }

/**
 * Sets the levers and works out everything that is shown, with the readings at their means.
 *
 * @param set - places of the wheels that are set for it
 * @returns the figures, which stand until the levers are set again
 */
export function figuresAt(
  compiled: CompiledBuild,
  settings: LeverSettings,
  set: readonly SetPlace[],
): FigureOf {
  const { run, wanted } = rowOf(compiled)
  for (const [column, figure] of givenFigures(compiled, settings, set)) run.set(column, figure)
  run.bring(wanted, 1)
  return run.figure
}

/** What is given from outside at a setting: amounts of levers, and how far up the wheels are at places that are set. */
export const givenFigures = (
  { levers }: Pick<CompiledBuild, 'levers'>,
  settings: LeverSettings,
  set: readonly SetPlace[],
): Map<Column, number> =>
  new Map([
    ...[...levers].map(([id, column]) => [column, settings[id] ?? 0] as const),
    ...set.flatMap(({ figures }) => [...figures]),
  ])

/** The geometry as measured, before any lever is moved. */
export const asMeasured = (compiled: CompiledBuild): Geometry => rowOf(compiled).measured

const rowOf = (compiled: CompiledBuild): OneRow => compiled.graph.kept.the(ONE_ROW, () => newRow(compiled))

function newRow(compiled: CompiledBuild): OneRow {
  const { build, ride } = compiled
  const places = [
    ...build.points.map(({ id }) => ride.point(id)),
    ...build.axes.map(({ id }) => ride.axis(id)),
  ]
  const wanted = [
    ...places.flatMap((place) => (place.known ? place.value : [])),
    ...moveWants(ride),
    ...compiled.subjects.flatMap(({ wants }) => wants),
  ]
  return { run: newRun(compiled.graph, 1), wanted, measured: geometryOf(compiled.measured) }
}

/** The places of one state, as the figures stand now. */
export function placesAt(compiled: CompiledBuild, placed: PlacedState, figure: FigureOf): PlacesAt {
  const { bodyOf } = compiled
  // Of many states only a few bodies are asked for in each.
  const moves = new Map<BodyId, Known<RigidMove>>()
  const measured = asMeasured(compiled)
  const moveOf = (body: BodyId | undefined): Known<RigidMove> => {
    const there = moves.get(body ?? '')
    if (there) return there
    const chain = placed.moves.get(body ?? '')
    const made = chain ? chainAt(chain, figure) : known(NO_MOVE)
    moves.set(body ?? '', made)
    return made
  }
  const { adapter } = placed
  const adapted = adapter ? moveAt(adapter.move, figure) : known(NO_MOVE)
  return {
    move: moveOf,
    setBack: adapted.known && adapted.value === NO_MOVE ? null : mapKnown(adapted, ({ shift }) => shift),
    point: (id) => {
      const onIt = adapter?.isBehind(id) ? adapted : known(NO_MOVE)
      const all = allKnown([moveOf(bodyOf.point.get(id)), onIt, placed.point(id)] as const)
      return mapKnown(all, ([, , place]) => vectorAt(figure)(place))
    },
    axis: (id) => {
      const body = bodyOf.axis.get(id)
      // What stands as measured keeps its very figures.
      if ((placed.moves.get(body ?? '') ?? []).length === 0) return axisOf(measured, id)
      const both = allKnown([moveOf(body), placed.axis(id)] as const)
      return mapKnown(both, ([move, axis]) =>
        move === NO_MOVE ? measuredLie(measured, id) : fallPlan(vectorAt(figure)(axis)),
      )
    },
  }
}

function measuredLie(measured: Geometry, id: Id): FallPlan {
  const lie = axisOf(measured, id)
  return lie.known ? lie.value : { fall: asRadians(NaN), plan: asRadians(NaN) }
}

/** A body's moves one after the other, as its levers stand. */
export function chainAt(chain: readonly BodyMove[], figure: FigureOf): Known<RigidMove> {
  const [first, ...rest] = chain.map((move) => moveAt(move, figure))
  return rest.reduce(
    (before, after) => mapKnown(allKnown([before, after] as const), ([one, other]) => moveAfter(one, other)),
    first ?? known(NO_MOVE),
  )
}

/** Two moves in one, the first first; a body that stands still keeps its very figures. */
const moveAfter = (first: RigidMove, second: RigidMove): RigidMove =>
  second === NO_MOVE ? first : first === NO_MOVE ? second : composed(first, second)

/** One move of a body as its levers stand. */
function moveAt(move: BodyMove, figure: FigureOf): Known<RigidMove> {
  if (move.amounts.every((amount) => figure(amount) === 0)) return known(NO_MOVE)
  if (!move.basis.known) return move.basis
  const found = move.moveAt(figure)
  return Number.isNaN(found.shift[0])
    ? { known: false, missing: [move.tooFar] }
    : known(found, move.basis.assumptions)
}
