import type { Ground } from './profile'

/** A low point of a vehicle at ride on level ground. */
export interface LowPoint {
  readonly id: string
  /** Behind the centre of the front axle; negative is ahead of it. */
  readonly backMm: number
  readonly heightMm: number
}

/** A vehicle seen from the side: its springs are blocked and its tyres do not sink in. */
export interface RollingVehicle {
  readonly wheelbaseMm: number
  readonly frontRadiusMm: number
  readonly rearRadiusMm: number
  readonly points: readonly LowPoint[]
}

/** Where a vehicle stands on a profile: the front axle's centre, and how the line of both centres leans. */
export interface Standing {
  readonly frontXMm: number
  readonly frontZMm: number
  /** Of the body against level: cosine and sine; nose up is positive. */
  readonly cosine: number
  readonly sine: number
}

/** Nearer than this nothing is told of a place. */
const CLOSE_MM = 1e-9

/** Where the vehicle stands with its front axle there: the rear one hangs on the length between the centres. */
export function standingAt(vehicle: RollingVehicle, ground: Ground, frontXMm: number): Standing {
  const { wheelbaseMm, frontRadiusMm, rearRadiusMm } = vehicle
  const frontZMm = ground.centreAt(frontXMm, frontRadiusMm)
  const rise = rearRadiusMm - frontRadiusMm
  const length = Math.hypot(wheelbaseMm, rise)
  let [near, far] = [frontXMm - length / 8, frontXMm - length - 1]
  while (near - far > CLOSE_MM) {
    const middle = (near + far) / 2
    const apart = Math.hypot(frontXMm - middle, frontZMm - ground.centreAt(middle, rearRadiusMm))
    if (apart > length) far = middle
    else near = middle
  }
  const rear = (near + far) / 2
  const [dx, dz] = [frontXMm - rear, frontZMm - ground.centreAt(rear, rearRadiusMm)]
  // From the line of centres on the level, which falls forward by what the rear tyres are larger.
  const size = Math.hypot(dx, dz) * length
  return {
    frontXMm,
    frontZMm,
    cosine: (dx * wheelbaseMm - dz * rise) / size,
    sine: (dz * wheelbaseMm + dx * rise) / size,
  }
}

/** Where a point of the vehicle lies. */
export function placeOf(
  { frontRadiusMm }: RollingVehicle,
  { frontXMm, frontZMm, cosine, sine }: Standing,
  { backMm, heightMm }: LowPoint,
): readonly [x: number, z: number] {
  const up = heightMm - frontRadiusMm
  return [frontXMm - backMm * cosine - up * sine, frontZMm - backMm * sine + up * cosine]
}
