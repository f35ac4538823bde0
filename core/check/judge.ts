import { unknown, type Known, type Missing } from '../known'
import type { LimitEntry } from '../limits/limit'
import { combinedWindow, OPEN_WINDOW, standing } from '../limits/verdict'
import type { Check } from './check'

/** One limit on a checked value, with its reason. */
export type Bound = Partial<Pick<LimitEntry, 'failBelow' | 'warnBelow' | 'warnAbove' | 'failAbove'>> & {
  readonly basis: string
}

/** What a check is about, before it is judged. */
export type CheckHead = Pick<
  Check,
  'id' | 'lineId' | 'lineName' | 'quantity' | 'subject' | 'state' | 'speedRpm'
>

/**
 * A check from a value and its bounds.
 *
 * @param unknownBounds - what is missing for bounds that could not be computed; the check is then unknown, unless a
 *   bound that is known is already broken
 */
export function judge(
  head: CheckHead,
  value: Known<number>,
  bounds: readonly Bound[],
  unknownBounds: readonly Missing[] = [],
): Check {
  const window = bounds.length > 0 ? combinedWindow(bounds) : OPEN_WINDOW
  // A value that is no number is no value: NaN would pass every comparison.
  const read = value.known && !Number.isFinite(value.value) ? unknown(NO_NUMBER) : value
  if (!read.known) {
    const missing = [
      ...read.missing,
      ...unknownBounds.filter((one) => !read.missing.some((m) => m.what === one.what)),
    ]
    return {
      ...head,
      value: null,
      window,
      margin: null,
      plusMinus: null,
      interval: null,
      probability: null,
      verdict: 'unknown',
      basis: '',
      missing,
      assumptions: [],
    }
  }
  const { verdict, margin, edge } = standing(read.value, window)
  const deciding =
    bounds.find((bound) => edge !== null && window[edge] === bound[BOUND_KEYS[edge]]) ?? bounds[0]
  const undecided = unknownBounds.length > 0 && verdict !== 'out'
  return {
    ...head,
    value: read.value,
    window,
    margin: undecided ? null : margin,
    plusMinus: null,
    interval: null,
    probability: null,
    verdict: undecided ? 'unknown' : verdict,
    basis: deciding?.basis ?? '',
    missing: unknownBounds,
    assumptions: read.assumptions,
  }
}

const NO_NUMBER = 'the figures contradict each other, so that no value comes out'

const BOUND_KEYS = {
  failLow: 'failBelow',
  warnLow: 'warnBelow',
  warnHigh: 'warnAbove',
  failHigh: 'failAbove',
} as const
