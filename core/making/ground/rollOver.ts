import { CoreError } from '../../base/errors'
import { summit } from '../../base/summit'
import { degrees } from '../../base/units/angle'
import { groundOf, type Ground, type GroundProfile } from './profile'
import { placeOf, standingAt, type LowPoint, type RollingVehicle, type Standing } from './standing'

/** How near a low point comes to the ground on its way over. */
export interface LeastOver {
  readonly id: string
  readonly leastMm: number
  /** Where the front axle's centre and the point are then; null where it is as near for some way. */
  readonly frontXMm: number | null
  readonly pointXMm: number | null
}

export interface RolledOver {
  /** In the order of the vehicle's. */
  readonly points: readonly LeastOver[]
  /** From the nearest to the furthest. */
  readonly order: readonly string[]
  readonly touches: readonly string[]
  /** The first to touch when driving forward. */
  readonly firstTouch: { readonly id: string; readonly frontXMm: number } | null
  /** The most that the front axle's centre rises. */
  readonly highestMm: number
}

const STEP_MM = 5
const BEYOND_MM = 200
/** As near for longer than this is told as a stretch. */
const STRETCH_MM = 60
const AS_NEAR_MM = 1e-3

/**
 * A vehicle rolled over a hump, a kerb or a ramp: the least gap of each low point, and who touches first.
 *
 * @throws CoreError `out-of-range` for sizes that cannot be or a point below the ground
 * @see docs/methods/ways-out.md
 */
export function rollOver(vehicle: RollingVehicle, profile: GroundProfile): RolledOver {
  requireVehicle(vehicle)
  const ground = groundOf(profile)
  const sweep = sweepOf(vehicle, ground)
  // Where it stands is found once for all of its points.
  const stands = sweep.map((x) => standingAt(vehicle, ground, x))
  const points = vehicle.points.map((point) => leastOver(vehicle, ground, point, stands))
  const order = points.toSorted((a, b) => a.leastMm - b.leastMm).map(({ id }) => id)
  const touching = points.filter(({ leastMm }) => leastMm <= 0)
  return {
    points,
    order,
    touches: touching.map(({ id }) => id),
    firstTouch: firstOf(vehicle, ground, touching, stands),
    highestMm: highest(vehicle, ground, sweep),
  }
}

function requireVehicle({ wheelbaseMm, frontRadiusMm, rearRadiusMm, points }: RollingVehicle): void {
  if (!(frontRadiusMm > 0 && rearRadiusMm > 0))
    throw new CoreError('out-of-range', 'tyre', 'its radius is above 0')
  if (!(wheelbaseMm > frontRadiusMm + rearRadiusMm))
    throw new CoreError('out-of-range', 'wheelbase', 'is so short that the tyres overlap')
  for (const { id, heightMm } of points)
    if (!(heightMm >= 0)) throw new CoreError('out-of-range', id, 'lies below the ground')
}

/** Places of the front axle, from far before the profile to the whole vehicle beyond it. */
function sweepOf(
  { wheelbaseMm, frontRadiusMm, rearRadiusMm, points }: RollingVehicle,
  { from, to }: Ground,
): number[] {
  const backs = points.map(({ backMm }) => backMm)
  const start = from - Math.max(frontRadiusMm, -Math.min(0, ...backs)) - BEYOND_MM
  const end = to + Math.max(wheelbaseMm + rearRadiusMm, ...backs) + BEYOND_MM
  return Array.from({ length: Math.ceil((end - start) / STEP_MM) + 1 }, (_, i) => start + i * STEP_MM)
}

function gapAs(vehicle: RollingVehicle, ground: Ground, point: LowPoint, stands: Standing): number {
  const [x, z] = placeOf(vehicle, stands, point)
  return z - ground.heightAt(x)
}

const gapAt = (vehicle: RollingVehicle, ground: Ground, point: LowPoint, frontXMm: number): number =>
  gapAs(vehicle, ground, point, standingAt(vehicle, ground, frontXMm))

function leastOver(
  vehicle: RollingVehicle,
  ground: Ground,
  point: LowPoint,
  stands: readonly Standing[],
): LeastOver {
  const gaps = stands.map((one) => gapAs(vehicle, ground, point, one))
  const rough = Math.min(...gaps)
  const lows = stands.filter((_, i) => {
    const here = gaps[i] as number
    return here < rough + STEP_MM && here <= (gaps[i - 1] ?? Infinity) && here <= (gaps[i + 1] ?? Infinity)
  })
  const places = lows.map(({ frontXMm: x }) =>
    summit((one) => -gapAt(vehicle, ground, point, one), x - STEP_MM, x + STEP_MM),
  )
  const leasts = places.map((x) => gapAt(vehicle, ground, point, x))
  const leastMm = Math.min(...leasts)
  const frontXMm = places[leasts.indexOf(leastMm)] ?? NaN
  const asNear = gaps.filter((gap) => gap <= leastMm + AS_NEAR_MM).length * STEP_MM
  if (asNear > STRETCH_MM) return { id: point.id, leastMm, frontXMm: null, pointXMm: null }
  const [pointXMm] = placeOf(vehicle, standingAt(vehicle, ground, frontXMm), point)
  return { id: point.id, leastMm, frontXMm, pointXMm }
}

function firstOf(
  vehicle: RollingVehicle,
  ground: Ground,
  touching: readonly LeastOver[],
  stands: readonly Standing[],
): RolledOver['firstTouch'] {
  const points = new Map(vehicle.points.map((point) => [point.id, point]))
  const found = touching.map(({ id, frontXMm }) => {
    const point = points.get(id) as LowPoint
    const isDown = (one: Standing) => gapAs(vehicle, ground, point, one) <= 0
    let low = stands.find(isDown)?.frontXMm ?? frontXMm ?? NaN
    let high = low - STEP_MM
    for (let k = 0; k < 40; k++) {
      const middle = (low + high) / 2
      if (isDown(standingAt(vehicle, ground, middle))) low = middle
      else high = middle
    }
    return { id, frontXMm: low }
  })
  return found.reduce<RolledOver['firstTouch']>(
    (first, one) => (first && first.frontXMm <= one.frontXMm ? first : one),
    null,
  )
}

function highest({ frontRadiusMm }: RollingVehicle, ground: Ground, sweep: readonly number[]): number {
  const rise = (x: number) => ground.centreAt(x, frontRadiusMm) - frontRadiusMm
  const top = sweep.reduce((best, x) => (rise(x) > rise(best) ? x : best))
  return rise(summit(rise, top - STEP_MM, top + STEP_MM))
}

/**
 * The sharpest crest that a point clears, by its place between the axles and the tyres' radius.
 *
 * `Σ [asin(r/D) − atan((r − h)/d)]`, `D² = d² + (r − h)²` for the way d to each axle: tangents from the point to both tyres.
 *
 * @throws CoreError `out-of-range` for a point that is not between the axles or below the ground
 */
export function breakoverDeg(
  { wheelbaseMm, frontRadiusMm, rearRadiusMm }: Omit<RollingVehicle, 'points'>,
  point: Omit<LowPoint, 'id'>,
): number {
  const { backMm, heightMm } = point
  if (!(backMm > 0 && backMm < wheelbaseMm))
    throw new CoreError('out-of-range', 'point', 'lies between the axles')
  if (!(heightMm >= 0)) throw new CoreError('out-of-range', 'point', 'lies below the ground')
  const tangent = (way: number, radius: number) => {
    const up = radius - heightMm
    return Math.asin(radius / Math.hypot(way, up)) - Math.atan(up / way)
  }
  return degrees(tangent(backMm, frontRadiusMm) + tangent(wheelbaseMm - backMm, rearRadiusMm))
}
