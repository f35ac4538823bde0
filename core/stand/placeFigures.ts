import { TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph } from '../base/columns/graph'
import { FALL_PLAN_DEG, RISE_SWEEP_DEG } from '../base/frame/axis'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import type { PlacedState } from './placedState'

/** A figure of a point or an axis, under the name of its place in the published result. */
export interface PlaceFigure {
  readonly of: 'point' | 'axis'
  readonly id: Id
  readonly name: string
  readonly column: Column
}

/** Station, offset and height of every point, fall and plan of every axis, in one state. */
export function placeFigures(build: Build, graph: Graph, { point, axis }: PlacedState): PlaceFigure[] {
  const times = (column: Column, factor: number) => scalarStep(graph, TIMES, [column], [factor])
  return [
    ...build.points.flatMap(({ id }): PlaceFigure[] => {
      const place = point(id)
      if (!place.known) return []
      const [x, y, z] = place.value
      return [
        { of: 'point', id, name: 'stationMm', column: times(x, -1) },
        { of: 'point', id, name: 'offsetLeftMm', column: y },
        { of: 'point', id, name: 'heightMm', column: z },
      ]
    }),
    ...build.axes.flatMap(({ id, lies }): PlaceFigure[] => {
      const direction = axis(id)
      if (!direction.known) return []
      const across = lies === 'across'
      const angles = graph.step(across ? RISE_SWEEP_DEG : FALL_PLAN_DEG, direction.value)
      const names = across ? ['riseDeg', 'sweepDeg'] : ['fallDeg', 'planDeg']
      return angles.map((angle, i) => ({
        of: 'axis',
        id,
        name: names[i] ?? '',
        column: angle,
      }))
    }),
  ]
}
