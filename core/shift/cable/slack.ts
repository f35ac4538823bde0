import { CoreError } from '../../base/errors'
import { degrees } from '../../base/units/angle'

/** A cable that is longer than its way lies in an arc. */
export interface CableSlack {
  readonly halfAngleDeg: number
  readonly radiusMm: number
  /** How far its middle stands off the straight. */
  readonly bowMm: number
  /** `√(3·d·(C − d)/8)`, for a little slack. */
  readonly bowNearlyMm: number
}

const HALVINGS = 60

/**
 * One arc over a chord: `sin x/x = d/C`, radius C/(2x), bow C·(1 − cos x)/(2x).
 *
 * @throws CoreError `out-of-range` for a chord that is none, or a cable that does not reach
 */
export function cableSlack(chordMm: number, lengthMm: number): CableSlack {
  if (!(chordMm > 0)) throw new CoreError('out-of-range', 'chord', 'is above 0')
  if (!(lengthMm > chordMm)) throw new CoreError('out-of-range', 'cable', 'does not reach')
  const share = chordMm / lengthMm
  let [low, high] = [0, Math.PI]
  for (let k = 0; k < HALVINGS; k++) {
    const x = (low + high) / 2
    // sin x/x falls from 1 to 0 over a half turn.
    if (Math.sin(x) / x > share) low = x
    else high = x
  }
  const x = (low + high) / 2
  return {
    halfAngleDeg: degrees(x),
    radiusMm: lengthMm / (2 * x),
    bowMm: (lengthMm * (1 - Math.cos(x))) / (2 * x),
    bowNearlyMm: Math.sqrt((3 * chordMm * (lengthMm - chordMm)) / 8),
  }
}

/** The longest cable that an arc of no less than a radius, and no more than a half turn, takes up over a chord. */
export const mostSlackLength = (chordMm: number, leastRadiusMm: number): number =>
  chordMm <= 2 * leastRadiusMm
    ? 2 * leastRadiusMm * Math.asin(chordMm / (2 * leastRadiusMm))
    : (Math.PI * chordMm) / 2
