import { CoreError } from '../../base/errors'
import type { Place2 } from '../../base/outline/polygon'

/** The side of an opening that is cut back, and the line that is taped off for it. */
export interface CutBack {
  /** The side from this corner to the next. */
  readonly side: number
  /** Which way it is cut: away from the middle of the opening. */
  readonly outward: Place2
  readonly depthMm: number
  /** Where the line meets the edges beside it, each so far beyond the corner that is there now. */
  readonly marks: readonly [CutMark, CutMark]
  /** The opening once it is cut. */
  readonly corners: readonly Place2[]
}

export interface CutMark {
  readonly at: Place2
  readonly beyondMm: number
}

/**
 * The side of an opening nearest to a place, cut back along itself by a depth: one straight line between the edges beside it.
 *
 * @param corners - of the opening, in mm, either way round, not crossing itself
 * @throws CoreError `out-of-range` for a depth below nought, `degenerate` for an opening without a face or an edge that runs along the side
 * @see docs/methods/ways-out.md (parallel shift of a polygon's side)
 */
export function cutBack(corners: readonly Place2[], place: Place2, depthMm: number): CutBack {
  if (!(depthMm >= 0)) throw new CoreError('out-of-range', 'depth', 'must not be below nought')
  const area = signedArea(corners)
  if (!(Math.abs(area) > 0)) throw new CoreError('degenerate', 'corners', 'enclose nothing')
  const sides = corners.map((from, side) => ({ side, away: awayFrom(place, from, next(corners, side)) }))
  const { side } = sides.reduce((nearest, one) => (one.away < nearest.away ? one : nearest))
  const [from, to] = [corners[side] as Place2, next(corners, side)]
  const long = Math.hypot(to[0] - from[0], to[1] - from[1])
  const turn = area > 0 ? 1 : -1
  const outward: Place2 = [(turn * (to[1] - from[1])) / long, (-turn * (to[0] - from[0])) / long]
  const before = corners[(side + corners.length - 1) % corners.length] as Place2
  const after = next(corners, side + 1)
  const marks = [beyond(before, from, outward, depthMm), beyond(after, to, outward, depthMm)] as const
  const shifted = corners.with(side, marks[0].at).with((side + 1) % corners.length, marks[1].at)
  return { side, outward, depthMm, marks, corners: shifted }
}

const next = (corners: readonly Place2[], side: number): Place2 =>
  corners[(side + 1) % corners.length] as Place2

/** Twice what a polygon encloses; above nought against the clock where the second figure goes up. */
const signedArea = (corners: readonly Place2[]): number =>
  corners.reduce((sum, [x, y], i) => {
    const [u, v] = next(corners, i)
    return sum + x * v - u * y
  }, 0)

/** Along the line from a corner through another, as far as it takes to be so deep outward of it. */
function beyond(from: Place2, corner: Place2, outward: Place2, depthMm: number): CutMark {
  const way: Place2 = [corner[0] - from[0], corner[1] - from[1]]
  const long = Math.hypot(way[0], way[1])
  const gains = (way[0] * outward[0] + way[1] * outward[1]) / long
  if (!(Math.abs(gains) > 1e-3))
    throw new CoreError('degenerate', 'corners', 'have an edge that runs along the one that is cut')
  const beyondMm = depthMm / gains
  return {
    at: [corner[0] + (way[0] / long) * beyondMm, corner[1] + (way[1] / long) * beyondMm],
    beyondMm,
  }
}

function awayFrom([x, y]: Place2, [x1, y1]: Place2, [x2, y2]: Place2): number {
  const [dx, dy] = [x2 - x1, y2 - y1]
  const square = dx * dx + dy * dy
  const share = square > 0 ? Math.min(1, Math.max(0, ((x - x1) * dx + (y - y1) * dy) / square)) : 0
  return Math.hypot(x - x1 - share * dx, y - y1 - share * dy)
}
