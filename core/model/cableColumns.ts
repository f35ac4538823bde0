import { scalarStep, type Column, type MoveColumns, type VectorColumns } from '../base/columns/graph'
import { allKnown, andThen, mapKnown, type Known } from '../base/known'
import type { Id } from '../file/parts/id'
import type { Cable } from '../file/parts/cable'
import { SMALL_MOVE } from '../making/mounts/mountKernels'
import { stringAlong } from '../measure/points/cableReading'
import { cableTo } from '../shift/cable/hotKernel'
import * as kernels from '../shift/cable/routeKernels'
import { bodiesOf } from '../stand/placedState'
import { goesAlongWith } from '../vehicle/bodies/bodyMoves'
import { rigidly } from '../vehicle/moves/bodyMove'
import { standing, wayLaid, type BulkheadColumns } from './cableWay'
import type { Ground } from './subject'

/** Figures of a cable, by their names in the published result. */
export const CABLE_FIGURES = [
  'stringMm',
  'cableMm',
  'turnDeg',
  'straightMm',
  'passes',
  'looseMm',
  'lostMm',
  'leftMm',
  'byStringMm',
] as const
export type CableFigure = (typeof CABLE_FIGURES)[number]

/** Friction of a cable in its liner where none is told (an estimate). */
export const USUAL_FRICTION = 0.15

/** Something hot, and how far the cable stays from it. */
export interface HotColumns {
  readonly point: Id
  readonly at: VectorColumns
  readonly gapMm: number
  readonly column: Column
}

/** All that is worked out of a cable. */
export interface CableColumns {
  /** Fixing, corners, fixing; with the radius at each inner one. */
  readonly points: readonly VectorColumns[]
  readonly radiiMm: readonly number[]
  /** How many of them are on the driver's side of the bulkhead. */
  readonly before: number
  readonly bulkhead: BulkheadColumns | null
  /** Without those that nobody told what they need. */
  readonly figures: Readonly<Partial<Record<CableFigure, Column>>>
  readonly hot: readonly HotColumns[]
}

export function cableColumns(ground: Ground, cable: Cable): Known<CableColumns> {
  const { graph } = ground
  const laid = wayLaid(ground, cable, standing(ground))
  return andThen(laid, ({ corners, before, bulkhead }) => {
    const points = corners.map(({ at }) => at)
    const radiiMm = corners.slice(1, -1).map(({ radiusMm }) => radiusMm)
    const hot = allKnown<HotColumns[]>(
      (cable.hot ?? []).map(({ point, gapMm }) =>
        mapKnown(ground.places.placed(null, null).point(point), (at) => ({
          ...{ point, at, gapMm },
          column: scalarStep(graph, cableTo(points.length), [...points.flat(), ...at], radiiMm),
        })),
      ),
    )
    return mapKnown(hot, (all) => ({
      ...{ points, radiiMm, before, bulkhead, hot: all },
      figures: figuresOf(ground, cable, points, radiiMm),
    }))
  })
}

function figuresOf(
  ground: Ground,
  cable: Cable,
  points: readonly VectorColumns[],
  radiiMm: readonly number[],
): CableColumns['figures'] {
  const { graph } = ground
  const laid = graph.step(kernels.laidCable(points.length), points.flat(), radiiMm)
  const [stringMm, cableMm, turnDeg, straightMm] = laid as unknown as [Column, Column, Column, Column]
  const looseMm = looseOf(ground, cable, cableMm)
  const { lengthMm, adjustMm = 0, playMm, friction = USUAL_FRICTION } = cable
  const string = stringAlong(ground.measured.context, cable)
  return {
    ...{ stringMm, cableMm, turnDeg, straightMm, looseMm },
    passes: scalarStep(graph, kernels.EFFORT_PASSES, [turnDeg], [friction]),
    ...(playMm !== undefined && { lostMm: scalarStep(graph, kernels.TURN_LOSES, [turnDeg], [playMm]) }),
    ...(lengthMm !== undefined && {
      leftMm: scalarStep(graph, kernels.LEFT_OF_ADJUSTER, [cableMm, looseMm], [lengthMm, adjustMm]),
    }),
    ...(string.known && {
      byStringMm: scalarStep(graph, kernels.STRING_CORRECTED, [string.value, stringMm, cableMm]),
    }),
  }
}

/** What the way takes more in the worst case of the mounts; as it is told where none are. */
function looseOf(ground: Ground, cable: Cable, cableMm: Column): Column {
  const { graph, build, places } = ground
  const bodies = bodiesOf(build).point
  const cases = places.sprung().flatMap(({ body, sprung }) => {
    const isOn = [cable.from, cable.to].some(({ point }) =>
      goesAlongWith(build, bodies.get(point) ?? '', body.id),
    )
    if (!isOn || !sprung.known) return []
    return sprung.value.cases.flatMap(({ shift, turn }) => {
      const move = rigidly(graph, graph.step(SMALL_MOVE, [...shift, ...turn]) as unknown as MoveColumns)
      const laid = wayLaid(ground, cable, standing(ground, { body: body.id, move }))
      if (!laid.known) return []
      const { corners } = laid.value
      const radiiMm = corners.slice(1, -1).map(({ radiusMm }) => radiusMm)
      const all = corners.flatMap(({ at }) => at)
      return [graph.step(kernels.laidCable(corners.length), all, radiiMm)[1] as Column]
    })
  })
  if (cases.length === 0) return graph.source(cable.rockMm ?? 0)
  return scalarStep(graph, kernels.mostMore(cases.length), [cableMm, ...cases])
}
