import { CoreError, requireFinite } from '../../base/errors'
import { dot, norm, sub, type Vec3 } from '../../base/linalg/vec3'
import { degrees, radians } from '../../base/units/angle'

/** A way from corner to corner; first and last are the outer fixings of a cable. */
export interface CableWay {
  readonly points: readonly Vec3[]
  /** Of the bend at each inner corner. */
  readonly radiiMm: readonly number[]
}

/** A bend of a route. */
export interface CableCorner {
  readonly turnDeg: number
  readonly arcMm: number
  /** What the bend is shorter than the sharp corner: so much too long a string laid round the corner reads. */
  readonly savedMm: number
}

/** A cable along a way of straights and arcs. */
export interface CableRoute {
  /** A string from corner to corner. */
  readonly stringMm: number
  readonly cableMm: number
  readonly corners: readonly CableCorner[]
  /** Between the arcs; below nought two arcs do not fit beside each other. */
  readonly straightsMm: readonly number[]
  readonly turnDeg: number
}

/** Nearer to a half turn than this there is no corner. */
export const LEAST_COSINE = -1 + 1e-12

/**
 * `R·(2·tan(ψ/2) − ψ)`: how much shorter a bend is than its sharp corner.
 *
 * @throws CoreError `out-of-range` for a radius that is none, or a turn of a half or more
 */
export function cornerSaves(turnDeg: number, radiusMm: number): number {
  if (!(radiusMm > 0)) throw new CoreError('out-of-range', 'radius', 'is above 0')
  if (!(turnDeg >= 0 && turnDeg < 180)) throw new CoreError('out-of-range', 'turn', 'is less than a half')
  const turn = radians(turnDeg)
  return radiusMm * (2 * Math.tan(turn / 2) - turn)
}

/**
 * A cable along a way, whether its arcs fit or not: straights tell by how much they do not.
 *
 * @throws CoreError `degenerate` for corners at one place or a way that doubles back, `out-of-range` for a radius that is none, `wrong-length` for fewer
 * than two points or other than a radius for each inner one
 * @see docs/methods/shift.md
 */
export function laidRoute({ points, radiiMm }: CableWay): CableRoute {
  if (points.length < 2) throw new CoreError('wrong-length', 'points', 'two at least')
  if (radiiMm.length !== points.length - 2)
    throw new CoreError('wrong-length', 'radii', 'one for each inner corner')
  for (const one of points.flat()) requireFinite(one, 'points')
  const ways = points.slice(1).map((point, k) => sub(point, points[k] ?? point))
  const lengths = ways.map(norm)
  if (lengths.some((mm) => mm === 0)) throw new CoreError('degenerate', 'points', 'two lie at one place')
  const corners = radiiMm.map((radiusMm, k): CableCorner & { readonly cutMm: number } => {
    const [first, second] = [ways[k], ways[k + 1]] as [Vec3, Vec3]
    const cosine = dot(first, second) / ((lengths[k] ?? NaN) * (lengths[k + 1] ?? NaN))
    if (cosine < LEAST_COSINE) throw new CoreError('degenerate', 'points', 'the way doubles back on itself')
    const turn = Math.acos(Math.min(1, cosine))
    const savedMm = cornerSaves(degrees(turn), radiusMm)
    return { turnDeg: degrees(turn), arcMm: radiusMm * turn, savedMm, cutMm: radiusMm * Math.tan(turn / 2) }
  })
  const cut = (k: number) => corners[k]?.cutMm ?? 0
  const stringMm = lengths.reduce((sum, mm) => sum + mm, 0)
  return {
    stringMm,
    cableMm: stringMm - corners.reduce((sum, { savedMm }) => sum + savedMm, 0),
    corners: corners.map(({ turnDeg, arcMm, savedMm }) => ({ turnDeg, arcMm, savedMm })),
    straightsMm: lengths.map((mm, k) => mm - cut(k - 1) - cut(k)),
    turnDeg: corners.reduce((sum, { turnDeg }) => sum + turnDeg, 0),
  }
}

/** Rounding of straights that are just used up. */
const FITS_MM = -1e-9

/** The straight that lacks most; null where all arcs fit. */
export function crowdedBy({ straightsMm }: Pick<CableRoute, 'straightsMm'>): number | null {
  const least = Math.min(...straightsMm)
  return least < FITS_MM ? -least : null
}

/**
 * A cable along a way whose arcs fit.
 *
 * @throws CoreError as `laidRoute`, and `out-of-range` where two arcs do not fit beside each other
 */
export function cableRoute(way: CableWay): CableRoute {
  const route = laidRoute(way)
  const lack = crowdedBy(route)
  if (lack !== null)
    throw new CoreError(
      'out-of-range',
      'radii',
      `the arcs do not fit: ${lack.toFixed(1)} mm are missing between two`,
    )
  return route
}

/** What a cable passes on: `e^(−μΘ)` of the effort over its whole turn (capstan equation). */
export const passes = (turnDeg: number, friction: number): number => Math.exp(-friction * radians(turnDeg))

/** Lost motion on reversal: the play in the liner over the whole turn. */
export const cableLost = (turnDeg: number, playMm: number): number => radians(turnDeg) * playMm
