import type { Column, Graph } from '../base/columns/graph'
import { byGrade } from '../file/limits/grade'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { WheeledBody } from '../file/parts/body'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import { rackOf } from '../file/build/wheelPlaces'
import type { CompiledTravel, SparePlace } from './compiledTravel'
import { heightsInRow, rowName, wheelsInRow, sweptWorst, type Sweep, type SweepRow } from './sweep'

/** A place that is set from outside, and how: how far up its wheels stand, in mm, as the columns of the place. */
export interface SetPlace {
  readonly figures: ReadonlyMap<Column, number>
}

/** A place between the named ones where something stands worse than at any of them. */
export interface PlaceBetween extends SetPlace {
  readonly id: Id
  readonly name: string
}

/** As many places between are held at once; those that matter most. */
const SPARE_IDS = ['between-1', 'between-2', 'between-3'] as const
export const SWEEP_ID = 'through-travel'

/** Wheels of axles and hubs at the places that are set from outside. */
export const sparePlaces = (
  graph: Graph,
  axles: readonly WheeledBody[],
): Pick<CompiledTravel, 'spares' | 'sweep'> => ({
  spares: SPARE_IDS.map((id) => sparePlace(graph, id, axles)),
  sweep: sparePlace(graph, SWEEP_ID, axles),
})

/** A place whose wheels are set from outside; all stand at ride height until then. */
export const sparePlace = (graph: Graph, id: Id, axles: readonly WheeledBody[]): SparePlace => ({
  id,
  wheels: new Map(
    axles.map((axle) => {
      const wheels = { leftUp: graph.source(0), rightUp: graph.source(0) }
      const isSingle = axle.kind === 'hub'
      graph.name(
        [wheels.leftUp],
        `${axle.name}: ${isSingle ? 'wheel' : 'left wheel'} up from ride height`,
        'mm',
      )
      graph.name([wheels.rightUp], `${axle.name}: right wheel up from ride height`, 'mm')
      if (rackOf(axle) === 0) return [axle.id, wheels] as const
      const rack = graph.source(0)
      graph.name([rack], `${axle.name}: rack to the left`, 'mm')
      return [axle.id, { ...wheels, rack }] as const
    }),
  ),
})

/**
 * Where between the named places something stands worse than at any of them: looked for row by row, then by the parabola through the
 * three rows about the worst.
 *
 * @returns those that matter most, as many as there are spare places
 * @see docs/methods/travel.md
 */
export function placesBetween(
  build: Build,
  travel: CompiledTravel,
  sweep: Sweep,
  settings: LeverSettings,
): PlaceBetween[] {
  const found = travel.plans.flatMap((plan) => {
    const worst = sweptWorst(plan, sweep)
    return worst?.isBetween ? [worst] : []
  })
  const [first] = travel.axles
  if (!first) return []
  const kept: SweepRow[] = []
  for (const { row } of found.toSorted(byGrade)) {
    if (kept.length === travel.spares.length) break
    const isNear = kept.some((one) => one.way === row.way && isSamePlace(build, first, one, row, settings))
    if (!isNear) kept.push(row)
  }
  return kept.flatMap((row, i): PlaceBetween[] => {
    const spare = travel.spares[i]
    if (!spare) return []
    const figures = wheelsInRow(build, travel.axles, spare, row, settings)
    return [{ id: spare.id, name: rowName(build, first, row, settings), figures }]
  })
}

/** Places nearer than this are one, in mm. */
const SAME_MM = 0.5

function isSamePlace(
  build: Build,
  axle: WheeledBody,
  one: SweepRow,
  other: SweepRow,
  settings: LeverSettings,
): boolean {
  const [a, b] = [heightsInRow(build, axle, one, settings), heightsInRow(build, axle, other, settings)]
  return Math.abs(a[0] - b[0]) < SAME_MM && Math.abs(a[1] - b[1]) < SAME_MM
}
