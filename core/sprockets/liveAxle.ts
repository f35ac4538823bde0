import { degrees } from '../base/units/angle'
import { CoreError } from '../base/errors'

/** A live axle on two bearings, with what turns on it, in mm along it; a tube has a bore. */
export interface LiveAxle {
  readonly outerMm: number
  readonly boreMm?: number
  readonly bearings: readonly [number, number]
  /** Where the chain pulls. */
  readonly sprocketMm: number
}

/** How an axle bears the pull of its chain. */
export interface AxleBending {
  /** On each bearing, against the pull. */
  readonly reactionsN: readonly [number, number]
  readonly momentNm: number
  readonly stressMPa: number
  /** At the sprocket, along the pull. */
  readonly deflectionMm: number
  readonly slopeDeg: number
}

/** Of steel, in MPa. */
const STIFFNESS = 206_000

/**
 * Bending of an axle at its sprocket, between its bearings or beyond them, by the beam on two supports.
 *
 * @throws CoreError `out-of-range` for an axle of no wall, `degenerate` for bearings in one place
 * @see docs/methods/chains.md (Euler–Bernoulli beam)
 */
export function axleBending(
  { outerMm, boreMm = 0, bearings, sprocketMm }: LiveAxle,
  pullN: number,
): AxleBending {
  if (!(boreMm >= 0 && boreMm < outerMm))
    throw new CoreError('out-of-range', 'bore', 'a bore is smaller than its axle')
  const [first, second] = [Math.min(...bearings), Math.max(...bearings)]
  const long = second - first
  if (!(long > 0)) throw new CoreError('degenerate', 'bearings', 'both bearings stand in one place')
  const inertia = (Math.PI * (outerMm ** 4 - boreMm ** 4)) / 64
  const stiff = STIFFNESS * inertia
  const at = sprocketMm - first
  const reactionsN = [(pullN * (long - at)) / long, (pullN * at) / long] as const
  const inside = at >= 0 && at <= long
  const beyond = at < 0 ? -at : at - long
  const momentNmm = inside ? (pullN * at * (long - at)) / long : pullN * beyond
  const deflectionMm = inside
    ? (pullN * at ** 2 * (long - at) ** 2) / (3 * stiff * long)
    : (pullN * beyond ** 2 * (long + beyond)) / (3 * stiff)
  const slope = inside
    ? (pullN * at * (long - at) * (long - 2 * at)) / (3 * stiff * long)
    : ((at < 0 ? -1 : 1) * pullN * beyond * (2 * long + 3 * beyond)) / (6 * stiff)
  const ordered = bearings[0] <= bearings[1] ? reactionsN : ([reactionsN[1], reactionsN[0]] as const)
  return {
    reactionsN: ordered,
    momentNm: momentNmm / 1000,
    stressMPa: (momentNmm * outerMm) / (2 * inertia),
    deflectionMm,
    slopeDeg: degrees(Math.atan(slope)),
  }
}

/** Clearance of a sprocket with its chain to the ground, in mm: from the axle's height over the ground, less the chain's outer half. */
export const sprocketClearance = (
  axleHeightMm: number,
  outsideDiameterMm: number,
  chainHeightMm = 0,
): number => axleHeightMm - Math.max(outsideDiameterMm / 2, chainHeightMm)
