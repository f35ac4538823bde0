import { CoreError } from '../../base/errors'
import { toSegment } from '../../base/outline/outlineGap'
import { areaOf, requireSimple, sidesOf, type Place2 } from '../../base/outline/polygon'

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
 * @throws CoreError `out-of-range` for a depth below nought, `degenerate` for an opening without an area or whose sides cross, or an edge that runs along the side
 * @see docs/methods/ways-out.md (parallel shift of a polygon's side)
 */
export function cutBack(corners: readonly Place2[], place: Place2, depthMm: number): CutBack {
  if (!(depthMm >= 0)) throw new CoreError('out-of-range', 'depth', 'must not be below nought')
  requireSimple(corners, 'opening')
  const away = sidesOf(corners).map(([from, to]) => toSegment(place, from, to).distanceMm)
  const side = away.indexOf(Math.min(...away))
  const [before, from, to, after] = [-1, 0, 1, 2].map(
    (k) => corners[(side + k + corners.length) % corners.length] as Place2,
  ) as [Place2, Place2, Place2, Place2]
  const long = Math.hypot(to[0] - from[0], to[1] - from[1])
  const turn = areaOf(corners) > 0 ? 1 : -1
  const outward: Place2 = [(turn * (to[1] - from[1])) / long, (-turn * (to[0] - from[0])) / long]
  const marks = [beyond(before, from, outward, depthMm), beyond(after, to, outward, depthMm)] as const
  const shifted = corners.with(side, marks[0].at).with((side + 1) % corners.length, marks[1].at)
  return { side, outward, depthMm, marks, corners: shifted }
}

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
