import { toSegment } from '../../base/outline/outlineGap'
import type { Place } from './photoScale'

/**
 * Corners with one more: in the side it was set on, else at the end.
 *
 * @param within - how far from a side it may lie to be set on it, in the unit of the corners
 */
export function withCorner(corners: readonly Place[], place: Place, within: number): Place[] {
  const sides = corners.map((from, i) => {
    const to = corners[(i + 1) % corners.length] as Place
    return { after: i + 1, away: toSegment(place, from, to).distanceMm }
  })
  const nearest = corners.length < 3 ? undefined : sides.sort((a, b) => a.away - b.away)[0]
  return corners.toSpliced(nearest && nearest.away <= within ? nearest.after : corners.length, 0, place)
}
