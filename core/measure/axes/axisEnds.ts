import { TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column } from '../../base/columns/graph'
import { unknown, type Known } from '../../base/known'
import type { NamedAxis } from '../../file/parts/named'
import { radians } from '../../base/units/angle'
import { isAcross } from './aside'
import type { ReadingContext } from '../figures/context'

interface EndColumns {
  readonly station: Column
  readonly offset: Column
  readonly height: Column
}

/** Two points this close, in mm, say nothing about a direction. */
const CLOSEST = 10

/** The two points on an axis that lie farthest apart along it and have all figures asked for, front first; null for fewer. */
export function farthestPair(
  context: ReadingContext,
  axis: NamedAxis,
  wanted: readonly ('station' | 'offset' | 'height')[],
): readonly [EndColumns, EndColumns] | 'too-close' | null {
  const ends: EndColumns[] = []
  for (const id of axis.through ?? []) {
    const point = context.build.points.find((one) => one.id === id)
    if (!point) continue
    const figures = context.point(point)
    if (!wanted.every((which) => figures[which].known)) continue
    const column = (figure: Known<Column>) => (figure.known ? figure.value : context.graph.source(0))
    const [station, offset, height] = [figures.station, figures.offset, figures.height].map(column) as [
      Column,
      Column,
      Column,
    ]
    // Seen across the vehicle what is left is rearward, and what is forward is left.
    ends.push(
      isAcross(axis)
        ? { station: offset, offset: scalarStep(context.graph, TIMES, [station], [-1]), height }
        : { station, offset, height },
    )
  }
  const { at } = context.graph
  ends.sort((a, b) => at(a.station) - at(b.station))
  const front = ends[0]
  const rear = ends.at(-1)
  if (!front || !rear || front === rear) return null
  return at(rear.station) - at(front.station) >= CLOSEST ? [front, rear] : 'too-close'
}

/** Said of points that tell no direction. */
export const tooClose = (axis: NamedAxis) =>
  unknown(
    `${axis.name}: its points stand at the same ${isAcross(axis) ? 'offset' : 'station'} and show no direction`,
  )

/**
 * Smallest spacing of two points, in mm, for which their angle is good to the wanted accuracy.
 *
 * @param accuracy - standard error of one offset or height, in mm
 * @param wantedDeg - standard error wanted of the angle, in degrees
 * @see docs/methods/readings.md (standard error of the angle is √2·σ/Δ)
 */
export const spacingFor = (accuracy: number, wantedDeg: number): number =>
  (Math.SQRT2 * accuracy) / Math.tan(radians(wantedDeg))
