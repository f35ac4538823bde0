import { CoreError } from '../../base/errors'
import { add, dot, norm, scale, sub, type Vec3 } from '../../base/linalg/vec3'
import { summit } from '../../base/summit'
import { crowdedBy, laidRoute, type CableRoute } from './route'

/** Something hot near a bulkhead, and how far the hole has to stay from it. */
export interface HotPoint {
  readonly at: Vec3
  readonly gapMm: number
}

/** A cable of a set length through a hole whose place along a line of the bulkhead is looked for. */
export interface BulkheadCable {
  /** From the outer fixing to the bulkhead, and from its other side to the other fixing. */
  readonly before: readonly Vec3[]
  readonly behind: readonly Vec3[]
  readonly bulkhead: {
    readonly point: Vec3
    /** Of length 1: in which the hole may move, and in which the cable passes. */
    readonly along: Vec3
    readonly normal: Vec3
    /** Straight on each side. */
    readonly stubMm: number
  }
  readonly radiusMm: number
  /** At each inner corner, those at the bulkhead among them, where they are not all alike. */
  readonly radiiMm?: readonly number[]
  readonly lengthMm: number
  /** Either way. */
  readonly adjustMm: number
  readonly hot: readonly HotPoint[]
}

/** From and to along the line of the bulkhead. */
export type Stretch = readonly [number, number]

/** Where the hole may be. */
export interface HoleBand {
  readonly stretches: readonly Stretch[]
  /** Where the cable is just as long as wanted, nearest to the middle of the line; null where nowhere. */
  readonly bestMm: number | null
}

const LOOKS = 1200
/** An edge is narrowed to this. */
const NARROW_MM = 1e-7
const SQUARE = 1e-9

/** The route through a hole; null where the way doubles back or two corners meet. */
export function routeThrough(cable: BulkheadCable, atMm: number): CableRoute | null {
  const { before, behind, bulkhead, radiusMm, radiiMm } = cable
  const hole = add(bulkhead.point, scale(bulkhead.along, atMm))
  const stub = scale(bulkhead.normal, bulkhead.stubMm)
  const points = [...before, sub(hole, stub), add(hole, stub), ...behind]
  try {
    return laidRoute({ points, radiiMm: radiiMm ?? points.slice(2).map(() => radiusMm) })
  } catch (error) {
    if (error instanceof CoreError && error.code === 'degenerate') return null
    throw error
  }
}

/** Length of the cable through a hole; null where its arcs do not fit. */
export function lengthThrough(cable: BulkheadCable, atMm: number): number | null {
  const route = routeThrough(cable, atMm)
  return route && crowdedBy(route) === null ? route.cableMm : null
}

/**
 * All places of a hole on a line of the bulkhead from which the cable reaches within its adjuster, with arcs that fit, away from what is hot.
 *
 * @param looks - steps in which the line is looked along
 * @throws CoreError `degenerate` where the line leaves the bulkhead, `out-of-range` for a line, a radius or a length that is none
 * @see docs/methods/shift.md
 */
export function holeBand(cable: BulkheadCable, [from, to]: Stretch, looks = LOOKS): HoleBand {
  requireBulkhead(cable, from, to)
  const places = Array.from({ length: looks + 1 }, (_, k) => from + ((to - from) * k) / looks)
  const known = new Map<number, number>()
  const room = (at: number) => {
    const here = known.get(at) ?? roomAt(cable, at)
    known.set(at, here)
    return here
  }
  // A stretch narrower than the looks is still found at its top.
  const all = places.flatMap((at, k) => {
    const [before, after] = [places[k - 1], places[k + 1]]
    if (before === undefined || after === undefined || room(at) >= 0) return [at]
    const isTop = room(at) >= room(before) && room(at) >= room(after)
    return isTop ? [summit(room, before, after)] : [at]
  })
  const stretches: Stretch[] = []
  let begun: number | null = room(from) >= 0 ? from : null
  all.forEach((at, k) => {
    const last = all[k - 1]
    if (last === undefined) return
    if (begun === null && room(at) >= 0) begun = edge(room, at, last)
    else if (begun !== null && room(at) < 0) {
      stretches.push([begun, edge(room, last, at)])
      begun = null
    }
  })
  if (begun !== null) stretches.push([begun, to])
  return { stretches, bestMm: bestIn(cable, stretches, (from + to) / 2) }
}

function requireBulkhead(
  { bulkhead, radiusMm, lengthMm, adjustMm }: BulkheadCable,
  from: number,
  to: number,
) {
  const { along, normal, stubMm } = bulkhead
  for (const [name, mm] of [
    ['radius', radiusMm],
    ['length', lengthMm],
    ['stub', stubMm],
  ] as const)
    if (!(mm > 0)) throw new CoreError('out-of-range', name, 'is above 0')
  if (!(adjustMm >= 0)) throw new CoreError('out-of-range', 'adjuster', 'is not below 0')
  if (!(from < to)) throw new CoreError('out-of-range', 'line', 'goes from one place to a further one')
  if (
    Math.abs(norm(along) - 1) > SQUARE ||
    Math.abs(norm(normal) - 1) > SQUARE ||
    Math.abs(dot(along, normal)) > SQUARE
  )
    throw new CoreError('degenerate', 'bulkhead', 'the hole moves within it')
}

/** What is left at a place of everything that is asked, in mm; below nought something is not kept. */
function roomAt(cable: BulkheadCable, at: number): number {
  const route = routeThrough(cable, at)
  if (!route) return -Infinity
  const hole = add(cable.bulkhead.point, scale(cable.bulkhead.along, at))
  return Math.min(
    cable.adjustMm - Math.abs(route.cableMm - cable.lengthMm),
    ...route.straightsMm,
    ...cable.hot.map((hot) => norm(sub(hole, hot.at)) - hot.gapMm),
  )
}

/** Where the room is used up between a place with some and one with none. */
function edge(room: (at: number) => number, inside: number, outside: number): number {
  let [within, beyond] = [inside, outside]
  while (Math.abs(beyond - within) > NARROW_MM) {
    const at = (within + beyond) / 2
    if (room(at) >= 0) within = at
    else beyond = at
  }
  return within
}

function bestIn(cable: BulkheadCable, stretches: readonly Stretch[], middle: number): number | null {
  const over = (at: number) => (routeThrough(cable, at)?.cableMm ?? NaN) - cable.lengthMm
  const exact = stretches.flatMap(([low, high]) => {
    const places = Array.from({ length: 65 }, (_, k) => low + ((high - low) * k) / 64)
    return places.flatMap((at, k) => {
      const last = places[k - 1] ?? at
      if (over(at) === 0) return [at]
      if (over(last) * over(at) >= 0) return []
      return [crossing(over, last, at)]
    })
  })
  return exact.sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))[0] ?? null
}

function crossing(over: (at: number) => number, from: number, to: number): number {
  let [low, high] = [from, to]
  const sign = Math.sign(over(low))
  while (high - low > NARROW_MM) {
    const at = (low + high) / 2
    if (Math.sign(over(at)) === sign) low = at
    else high = at
  }
  return (low + high) / 2
}
