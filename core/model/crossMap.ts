import { graded, gravestOf, type Grade } from '../file/limits/grade'
import type { Kind } from '../base/columns/kept'
import { newRun, type Run } from '../base/columns/run'
import type { Column } from '../base/columns/graph'
import type { LeverSettings } from '../vehicle/moves/settings'
import type { Id } from '../file/parts/id'
import { goesCrossed, reachOf } from '../file/build/wheelPlaces'
import type { CompiledBuild } from './compile'
import type { CompiledTravel } from '../stand/compiledTravel'
import { strapCut } from '../stand/sweep'

/** How a line stands with each wheel at a height of its own. */
export const CROSS_STATES = ['holds', 'tight', 'out', 'unknown'] as const
export type CrossState = (typeof CROSS_STATES)[number]

/** One cell of the map: how far either wheel is up, how it stands there, and the check that stands worst. */
export interface CrossCell {
  readonly leftUpMm: number
  readonly rightUpMm: number
  readonly state: CrossState
  /** Null where nothing is limited, or nothing is reached. */
  readonly worst: { readonly id: Id; readonly value: number } | null
}

/** Every pair of heights of the two wheels of an axle, row by row: the right wheel lowest first, along each row the left one rises. */
export interface CrossMap {
  readonly size: number
  readonly cells: readonly CrossCell[]
}

/** Cells along each wheel. */
export const CROSS_SIZE = 21

/** The run of all cells, and what is wanted in each. */
const CELLS: Kind<{ readonly run: Run; readonly wanted: readonly Column[] }> = {
  name: 'both wheels against each other',
}

/**
 * The travel of an axle as a map of its left wheel against its right one, every check in it; the other axles stand as it does, side by side.
 *
 * @returns null where nobody has told how far the wheels go, or the axle has no track to cross by
 */
export function crossMap(compiled: CompiledBuild, settings: LeverSettings): CrossMap | null {
  const { travel, graph, build, levers } = compiled
  const axle = travel?.axles.find(goesCrossed)
  const reach = axle && reachOf(axle)
  if (!travel || !axle || !reach) return null
  const cut = strapCut(build, axle, settings)
  const heights = ({ bumpMm, droopMm }: { readonly bumpMm: number; readonly droopMm: number }) => {
    const [from, to] = [-Math.max(0, droopMm - cut), bumpMm]
    return Array.from({ length: CROSS_SIZE }, (_, i) => from + ((to - from) * i) / (CROSS_SIZE - 1))
  }
  const [left, right] = [heights(reach.left), heights(reach.right)]
  const count = CROSS_SIZE * CROSS_SIZE
  const { run, wanted } = graph.kept.the(CELLS, () => ({
    run: newRun(graph, count),
    wanted: wantedOf(travel),
  }))
  for (const [id, column] of levers) run.set(column, settings[id] ?? 0)
  for (const wheels of travel.sweep.wheels.values()) {
    const [ofLeft, ofRight] = [run.fill(wheels.leftUp), run.fill(wheels.rightUp)]
    for (let i = 0; i < count; i++) {
      ofLeft[i] = left[i % CROSS_SIZE] ?? NaN
      ofRight[i] = right[Math.floor(i / CROSS_SIZE)] ?? NaN
    }
  }
  run.bring(wanted, count)
  return {
    size: CROSS_SIZE,
    cells: Array.from({ length: count }, (_, i) => ({
      leftUpMm: left[i % CROSS_SIZE] ?? NaN,
      rightUpMm: right[Math.floor(i / CROSS_SIZE)] ?? NaN,
      ...cellOf(travel, run, i),
    })),
  }
}

const wantedOf = ({ plans }: CompiledTravel): Column[] =>
  plans.flatMap(({ value }) => (value === null || typeof value === 'number' ? [] : [value.column]))

function cellOf({ plans }: CompiledTravel, run: Run, row: number): Pick<CrossCell, 'state' | 'worst'> {
  const graver: (Grade & { readonly worst: CrossCell['worst'] })[] = []
  for (const { head, window, value } of plans) {
    if (value === null || typeof value === 'number') continue
    const figure = run.cells(value.column)[row] ?? NaN
    if (Number.isNaN(figure)) return { state: 'unknown', worst: null }
    const grade = graded(figure, window, head.quantity)
    if (grade) graver.push({ ...grade, worst: { id: head.id, value: figure } })
  }
  const found = gravestOf(graver)
  return { state: CROSS_STATES[found?.gravity ?? 0] ?? 'unknown', worst: found?.worst ?? null }
}
