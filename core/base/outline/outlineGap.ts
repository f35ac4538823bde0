import earcut from 'earcut'
import { CoreError } from '../errors'
import { hull, turnAt } from './hull'
import { doSidesMeet, requireSimple, sidesOf, type Place2, type Polygon } from './polygon'

/** How two outlines stand to each other, in mm. */
export interface OutlineGap {
  /** Least distance; below nought the shortest way out, taken negative; 0 when they touch. */
  readonly gapMm: number
  /** The shift of the first outline that frees it by the shortest way; null while they are apart. */
  readonly exit: Place2 | null
}

/**
 * Least distance of two outlines in one view, or the shortest shift of the first that leaves no overlap.
 *
 * Shifts that overlap are the Minkowski difference of the two; cut into triangles it is a union of convex pieces, and the
 * shortest way out ends at the nearest place of its edge. Outlines that are not convex may stand in each other's hollows.
 *
 * @throws CoreError `degenerate` for what is no outline
 * @see docs/methods/gaps.md (Minkowski difference; de Berg et al., Computational Geometry, ch. 13)
 */
export function outlineGap(a: Polygon, b: Polygon): OutlineGap {
  const pieces = overlapShifts(a, b)
  if (!overlapsAt(pieces)) return { gapMm: distanceApart(a, b), exit: null }
  const exit = nearestOnEdge(pieces)
  return { gapMm: -Math.hypot(exit[0], exit[1]), exit }
}

/**
 * How far the first outline can go along a direction: while they are apart until they first touch, while they overlap until it is
 * first free.
 *
 * @param direction - of any length but nought
 * @returns in mm; null when they never touch
 * @throws CoreError `degenerate`
 */
export function wayAlong(a: Polygon, b: Polygon, direction: Place2): number | null {
  const length = Math.hypot(...direction)
  if (!(length > 0)) throw new CoreError('degenerate', 'direction', 'has no length')
  const toward: Place2 = [direction[0] / length, direction[1] / length]
  const pieces = overlapShifts(a, b)
  const spans = pieces
    .flatMap((piece) => {
      const span = spanInPiece(piece, [0, 0], toward)
      return span && span[1] > EDGE ? [span] : []
    })
    .sort((one, other) => one[0] - other[0])
  if (!overlapsAt(pieces)) {
    const first = spans.find(([from]) => from >= -EDGE)
    return first ? Math.max(0, first[0]) : null
  }
  let reached = 0
  for (const [from, to] of spans) if (from <= reached + EDGE && to > reached) reached = to
  return reached
}

/** Beside an edge by this much, in mm, it is told which side is free. */
const EDGE = 1e-7

/** Corners of a convex piece, against the clock. */
type Piece = readonly Place2[]

/** True where nought lies within the union; it may lie on the seam of two pieces, and then all about it is within. */
const overlapsAt = (pieces: readonly Piece[]): boolean =>
  ABOUT.every((place) => pieces.some((piece) => isInPiece(piece, place)))

const ABOUT: readonly Place2[] = [
  [3e-7, 4e-7],
  [-4e-7, 3e-7],
  [-3e-7, -4e-7],
  [4e-7, -3e-7],
]

function overlapShifts(a: Polygon, b: Polygon): Piece[] {
  requireSimple(a, 'the first outline')
  requireSimple(b, 'the second outline')
  const [first, second] = [trianglesOf(a), trianglesOf(b)]
  return second.flatMap((of) =>
    first.map((less) => hull(of.flatMap(([x, y]) => less.map(([u, v]): Place2 => [x - u, y - v])))),
  )
}

function trianglesOf(polygon: Polygon): (readonly Place2[])[] {
  // A convex outline is one piece already.
  const turns = polygon.map((corner, k) =>
    turnAt(polygon.at(k - 1) as Place2, corner, polygon[(k + 1) % polygon.length] as Place2),
  )
  if (turns.every((one) => one >= 0) || turns.every((one) => one <= 0)) return [polygon]
  const corners = earcut(polygon.flat())
  return Array.from({ length: corners.length / 3 }, (_, k) =>
    [0, 1, 2].map((i) => polygon[corners[3 * k + i] ?? 0] as Place2),
  )
}

const isInPiece = (piece: Piece, place: Place2): boolean =>
  sidesOf(piece).every(([a, b]) => turnAt(a, b, place) > EDGE * Math.hypot(b[0] - a[0], b[1] - a[1]))

/** From where to where a line lies in a convex piece; null where it does not meet it. */
function spanInPiece(piece: Piece, from: Place2, toward: Place2): readonly [number, number] | null {
  let [enter, leave] = [-Infinity, Infinity]
  for (const [a, b] of sidesOf(piece)) {
    const [nx, ny] = [a[1] - b[1], b[0] - a[0]]
    const size = Math.hypot(nx, ny)
    const inside = (nx * (from[0] - a[0]) + ny * (from[1] - a[1])) / size
    const rate = (nx * toward[0] + ny * toward[1]) / size
    if (Math.abs(rate) < 1e-12) {
      if (inside <= EDGE) return null
      continue
    }
    const at = -inside / rate
    if (rate > 0) enter = Math.max(enter, at)
    else leave = Math.min(leave, at)
  }
  return leave - enter > EDGE ? [enter, leave] : null
}

/** The place nearest to nought on the edge of the union of pieces. */
function nearestOnEdge(pieces: readonly Piece[]): Place2 {
  let nearest: Place2 = [NaN, NaN]
  let least = Infinity
  for (const piece of pieces)
    for (const [a, b] of sidesOf(piece)) {
      const length = Math.hypot(b[0] - a[0], b[1] - a[1])
      const along: Place2 = [(b[0] - a[0]) / length, (b[1] - a[1]) / length]
      // A side that lies nowhere nearer than what is found need not be looked at.
      const foot = -(a[0] * along[0] + a[1] * along[1])
      const clamped = Math.min(length, Math.max(0, foot))
      if (Math.hypot(a[0] + clamped * along[0], a[1] + clamped * along[1]) >= least) continue
      // Just outside the side: where another piece is there, the side is no edge of the union.
      const beside: Place2 = [a[0] + EDGE * 4 * along[1], a[1] - EDGE * 4 * along[0]]
      const covered = pieces.flatMap((other) => {
        const span = other === piece ? null : spanInPiece(other, beside, along)
        return span ? [span] : []
      })
      for (const [from, to] of uncovered(covered, length)) {
        const at = Math.min(to, Math.max(from, foot))
        const place: Place2 = [a[0] + at * along[0], a[1] + at * along[1]]
        const distance = Math.hypot(...place)
        if (distance >= least) continue
        least = distance
        nearest = place
      }
    }
  return nearest
}

/** What spans leave free of a length. */
function uncovered(spans: readonly (readonly [number, number])[], length: number): [number, number][] {
  const free: [number, number][] = []
  let at = 0
  for (const [from, to] of [...spans].sort((one, other) => one[0] - other[0])) {
    if (from > at + EDGE) free.push([at, Math.min(from, length)])
    at = Math.max(at, to)
    if (at >= length) break
  }
  if (at < length - EDGE) free.push([at, length])
  return free.filter(([from, to]) => to >= from && from <= length)
}

function distanceApart(a: Polygon, b: Polygon): number {
  let least = Infinity
  for (const [p, q] of sidesOf(a))
    for (const [r, s] of sidesOf(b))
      least = doSidesMeet(p, q, r, s)
        ? 0
        : Math.min(
            least,
            toSegment(p, r, s).distanceMm,
            toSegment(q, r, s).distanceMm,
            toSegment(r, p, q).distanceMm,
            toSegment(s, p, q).distanceMm,
          )
  return least
}

/** A place beside a line from one place to another. */
export interface SegmentGap {
  readonly distanceMm: number
  /** Nearest place of the line, and its share of the way along it. */
  readonly foot: Place2
  readonly share: number
}

/**
 * Distance from a place to a straight line between two places, such as a pipe or a shaft seen from the side.
 *
 * @see docs/methods/gaps.md
 */
export function toSegment(place: Place2, from: Place2, to: Place2): SegmentGap {
  const [ux, uy] = [to[0] - from[0], to[1] - from[1]]
  const length2 = ux * ux + uy * uy
  const along = length2 > 0 ? ((place[0] - from[0]) * ux + (place[1] - from[1]) * uy) / length2 : 0
  const share = Math.min(1, Math.max(0, along))
  const foot: Place2 = [from[0] + share * ux, from[1] + share * uy]
  return { distanceMm: Math.hypot(place[0] - foot[0], place[1] - foot[1]), foot, share }
}
