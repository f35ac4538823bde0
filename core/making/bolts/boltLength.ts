import { sum } from '../../base/numbers'
import { CoreError } from '../../base/errors'
import { stockLength, type Thread } from './thread'

/** What a bolt holds together. */
export interface Clamped {
  /** Plates, spacers, crush sleeves: each from its head on. */
  readonly clampedMm: readonly number[]
  /** The first under the head, all others under the nut. */
  readonly washersMm: readonly number[]
  readonly stockMm?: readonly number[]
}

/** A bolt right through, with a nut. */
export interface ThroughBolt extends Clamped {
  readonly thread: Thread
  readonly nutHeightMm?: number
  /** Thread up to the head. */
  readonly isFullThread?: boolean
  /** Faces that slide on each other, from the head's side of what is clamped. */
  readonly shearPlanesMm: readonly number[]
}

export interface ThroughLength {
  readonly gripMm: number
  readonly neededMm: number
  readonly lengthMm: number
  readonly longerByMm: number
  readonly threadMm: number
  readonly shankMm: number
  /** The nut stays on thread: it does not run up to the shank. */
  readonly isNutOnThread: boolean
  /** Washers under the nut that would cure it. */
  readonly washersMoreMm: number
  readonly isThreadInShear: boolean
}

/** Longest bolt that has the shorter thread. */
const SHORT_THREAD_TO_MM = 125

function gripOf({ clampedMm }: Clamped): number {
  const grip = sum(clampedMm)
  if (!(grip > 0)) throw new CoreError('out-of-range', 'grip', 'nothing is clamped')
  return grip
}

/**
 * Length of a bolt with a nut: grip, washers, nut and two pitches, to the next that is sold.
 *
 * @throws CoreError `out-of-range` when nothing is clamped or none is long enough
 */
export function throughBolt(bolt: ThroughBolt): ThroughLength {
  const { diameterMm, pitchMm } = bolt.thread
  const [gripMm, washers] = [gripOf(bolt), sum(bolt.washersMm)]
  const neededMm = gripMm + washers + (bolt.nutHeightMm ?? 0.9 * diameterMm) + 2 * pitchMm
  const lengthMm = stockLength(neededMm, bolt.stockMm)
  const usual = 2 * diameterMm + (lengthMm <= SHORT_THREAD_TO_MM ? 6 : 12)
  const threadMm = bolt.isFullThread ? lengthMm : Math.min(lengthMm, usual)
  const shankMm = lengthMm - threadMm
  const lastPlane = Math.max(-Infinity, ...bolt.shearPlanesMm)
  return {
    gripMm,
    neededMm,
    lengthMm,
    longerByMm: lengthMm - neededMm,
    threadMm,
    shankMm,
    isNutOnThread: shankMm <= gripMm + washers,
    washersMoreMm: Math.max(0, shankMm - gripMm - washers),
    isThreadInShear: shankMm < (bolt.washersMm[0] ?? 0) + lastPlane,
  }
}

/** Thread that holds as much as the bolt does, in diameters. */
export const ENGAGEMENT = { steel: 1, 'cast-iron': 1.5, aluminium: 2 } as const
export type ThreadedIn = keyof typeof ENGAGEMENT

/** A bolt into a blind hole. */
export interface BlindBolt extends Clamped {
  readonly thread: Thread
  readonly into: ThreadedIn
  /** Thread below the bolt's end, in pitches: a tap does not cut to the bottom. */
  readonly extraPitches?: number
  /** Depth of thread that is there. */
  readonly depthMm?: number
  /** Drill that was used. */
  readonly drillMm?: number
}

export interface BlindLength {
  readonly gripMm: number
  readonly engagementMm: number
  readonly neededMm: number
  readonly lengthMm: number
  readonly engagedMm: number
  readonly holeMm: number
  readonly tapDrillMm: number
  /** It stands on the bottom before it clamps; null where nobody told the depth. */
  readonly bottoms: boolean | null
  /** Share of the full thread that the drill leaves; null where nobody told it. */
  readonly threadPercent: number | null
}

/**
 * Length of a bolt into a blind hole, and the hole.
 *
 * @throws CoreError `out-of-range` when nothing is clamped, none is long enough, or the drill suits no such thread
 */
export function blindBolt(bolt: BlindBolt): BlindLength {
  const { diameterMm, pitchMm } = bolt.thread
  const [gripMm, washers] = [gripOf(bolt), sum(bolt.washersMm)]
  const engagementMm = ENGAGEMENT[bolt.into] * diameterMm
  const neededMm = gripMm + washers + engagementMm
  const lengthMm = stockLength(neededMm, bolt.stockMm)
  const engagedMm = lengthMm - gripMm - washers
  return {
    gripMm,
    engagementMm,
    neededMm,
    lengthMm,
    engagedMm,
    holeMm: engagedMm + (bolt.extraPitches ?? 4) * pitchMm,
    tapDrillMm: diameterMm - pitchMm,
    bottoms: bolt.depthMm === undefined ? null : engagedMm > bolt.depthMm,
    threadPercent: bolt.drillMm === undefined ? null : threadPercent(bolt.thread, bolt.drillMm),
  }
}

function threadPercent({ diameterMm, pitchMm }: Thread, drillMm: number): number {
  if (!(drillMm <= diameterMm && drillMm >= diameterMm - 1.3 * pitchMm))
    throw new CoreError('out-of-range', 'drill', 'does not suit this thread')
  return (76.98 * (diameterMm - drillMm)) / pitchMm
}
