import type { Place } from './photoScale'

/**
 * Corners with one more: in the side it was set on, else at the end.
 *
 * @param within - how far from a side it may lie to be set on it, in the unit of the corners
 */
export function withCorner(corners: readonly Place[], place: Place, within: number): Place[] {
  const sides = corners.map((from, i) => {
    const to = corners[(i + 1) % corners.length] as Place
    return { after: i + 1, away: awayFrom(place, from, to) }
  })
  const nearest = corners.length < 3 ? undefined : sides.sort((a, b) => a.away - b.away)[0]
  return corners.toSpliced(nearest && nearest.away <= within ? nearest.after : corners.length, 0, place)
}

/** How far a place lies from a side. */
function awayFrom([x, y]: Place, [x1, y1]: Place, [x2, y2]: Place): number {
  const [dx, dy] = [x2 - x1, y2 - y1]
  const square = dx * dx + dy * dy
  const along = square > 0 ? ((x - x1) * dx + (y - y1) * dy) / square : 0
  const share = Math.min(1, Math.max(0, along))
  return Math.hypot(x - x1 - share * dx, y - y1 - share * dy)
}
