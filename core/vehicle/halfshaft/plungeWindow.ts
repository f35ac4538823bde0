import { CoreError } from '../../base/errors'
import type { Known } from '../../base/known'
import type { Halfshaft, HalfshaftFigures } from './halfshaft'

/** How far a wheel goes, how the rack steers it, and what the inner joint lets. */
export interface HalfshaftTravel {
  readonly bumpMm: number
  readonly droopMm: number
  /** To either side; 0 for a wheel that is not steered. */
  readonly rackMm?: number
}

/** Where something is greatest or least: how far the wheel is up, and how far the rack is to the left. */
export interface Extreme {
  readonly value: number
  readonly atMm: number
  readonly rackMm: number
}

/** The longest, the shortest and the steepest of a halfshaft over its travel. */
export interface HalfshaftExtremes {
  readonly rideMm: number
  readonly longest: Extreme
  readonly shortest: Extreme
  readonly innerAngle: Extreme
  readonly outerAngle: Extreme
}

/** Samples from end to end before the greatest is closed in on. */
const SAMPLES = 33

/**
 * The extremes of a halfshaft over its whole travel and steering.
 *
 * @throws CoreError `out-of-range` for a travel below nought, or one that the suspension does not reach, with the place
 */
export function halfshaftExtremes(
  shaft: Halfshaft,
  { bumpMm, droopMm, rackMm = 0 }: HalfshaftTravel,
): HalfshaftExtremes {
  if (!(bumpMm >= 0 && droopMm >= 0))
    throw new CoreError('out-of-range', 'travel', 'bump and droop go from 0 up')
  const at = (up: number, rack: number): HalfshaftFigures => {
    const found = shaft.at(up, rack)
    if (!found)
      throw new CoreError('out-of-range', 'travel', `the suspension does not reach ${up.toFixed(1)} mm`)
    return found
  }
  const racks = rackMm === 0 ? [0] : [0, rackMm, -rackMm]
  const most = (figure: (found: HalfshaftFigures) => number): Extreme =>
    racks
      .map((rack) => ({ ...greatest((up) => figure(at(up, rack)), -droopMm, bumpMm), rackMm: rack }))
      .reduce((best, one) => (one.value > best.value ? one : best))
  const shortest = most(({ lengthMm }) => -lengthMm)
  return {
    rideMm: at(0, 0).lengthMm,
    longest: most(({ lengthMm }) => lengthMm),
    shortest: { ...shortest, value: -shortest.value },
    innerAngle: most(({ innerAngleDeg }) => innerAngleDeg),
    outerAngle: most(({ outerAngleDeg }) => outerAngleDeg),
  }
}

/** The greatest of a smooth curve between two places: sampled, then closed in on by the golden section. */
function greatest(
  of: (x: number) => number,
  from: number,
  to: number,
): { readonly value: number; readonly atMm: number } {
  const step = (to - from) / (SAMPLES - 1)
  const values = Array.from({ length: SAMPLES }, (_, i) => of(from + step * i))
  const top = values.indexOf(Math.max(...values))
  let [low, high] = [from + step * Math.max(0, top - 1), from + step * Math.min(SAMPLES - 1, top + 1)]
  const ratio = (Math.sqrt(5) - 1) / 2
  let [a, b] = [high - ratio * (high - low), low + ratio * (high - low)]
  let [fa, fb] = [of(a), of(b)]
  while (high - low > 1e-4) {
    if (fa > fb) {
      ;[high, b, fb] = [b, a, fa]
      a = high - ratio * (high - low)
      fa = of(a)
    } else {
      ;[low, a, fa] = [a, b, fb]
      b = low + ratio * (high - low)
      fb = of(b)
    }
  }
  const atMm = (low + high) / 2
  const ends = [from, to].map((end) => ({ value: of(end), atMm: end }))
  return [{ value: of(atMm), atMm }, ...ends].reduce((best, one) => (one.value >= best.value ? one : best))
}

/** Lengths that a travel asks for, in mm. */
export interface LengthRange {
  readonly rideMm: number
  readonly longest: { readonly value: number }
  readonly shortest: { readonly value: number }
}

/** What an inner joint lets: half its stroke, and what is kept clear of either stop. */
export interface PlungeRoom {
  readonly plungeMm: number
  readonly spareMm?: number
}

/** Kept clear of either stop of an inner joint. */
export const USUAL_SPARE_MM = 3

/** Lengths a shaft may be made, joint centre to joint centre with the inner joint at mid plunge. */
export interface PlungeWindow {
  /** Halfway between the longest and the shortest: uses the stroke evenly. */
  readonly middleMm: number
  /** Way of the joint over the travel. */
  readonly strokeMm: number
  /** Where the joint then stands at ride height; positive: pulled out. */
  readonly atRideMm: number
  /** Shortest and longest that keep clear of both stops; null for none. */
  readonly window: readonly [number, number] | null
  /** With mid plunge at ride height, or so far off it as is wished: the length, and its way out and in from the middle. */
  readonly fromRide: {
    readonly lengthMm: number
    readonly outMm: number
    readonly inMm: number
    readonly isClear: boolean
  }
}

/**
 * Both schools of a halfshaft's length: the middle of the range that is used, or mid plunge at ride height.
 *
 * @param offsetMm - of the second: how far the joint is to stand out at ride height
 */
export function plungeWindow(
  { rideMm, longest, shortest }: LengthRange,
  { plungeMm, spareMm = USUAL_SPARE_MM }: PlungeRoom,
  offsetMm = 0,
): PlungeWindow {
  const room = plungeMm - spareMm
  const middleMm = (longest.value + shortest.value) / 2
  const [from, to] = [longest.value - room, shortest.value + room]
  const lengthMm = rideMm - offsetMm
  const [outMm, inMm] = [longest.value - lengthMm, lengthMm - shortest.value]
  return {
    middleMm,
    strokeMm: longest.value - shortest.value,
    atRideMm: rideMm - middleMm,
    window: from <= to ? [from, to] : null,
    fromRide: { lengthMm, outMm, inMm, isClear: outMm <= room && inMm <= room },
  }
}

/** How a length stands: its joint keeps clear of both stops through the whole travel, or it does not. */
export function plungeVerdict(
  { longest, shortest }: { readonly longest: HasLength; readonly shortest: HasLength },
  room: Known<{ readonly reachMm: number; readonly spareMm: number }>,
  lengthMm: number,
): 'holds' | 'out' | 'unknown' {
  if (!room.known) return 'unknown'
  const { reachMm, spareMm } = room.value
  const used = Math.max(longest.lengthMm - lengthMm, lengthMm - shortest.lengthMm)
  return used <= reachMm - spareMm ? 'holds' : 'out'
}

interface HasLength {
  readonly lengthMm: number
}
