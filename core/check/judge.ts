import { unknown, type Known, type Missing } from '../base/known'
import type { LimitEntry, Window } from '../file/build/limit'
import { combinedWindow, OPEN_WINDOW, standing } from '../file/limits/verdict'
import type { Check } from './check'

/** One limit on a checked value, with its reason. */
export type Bound = Partial<Pick<LimitEntry, 'failBelow' | 'warnBelow' | 'warnAbove' | 'failAbove'>> & {
  readonly basis: string
}

/** What a check is about, before it is judged. */
export type CheckHead = Pick<
  Check,
  'id' | 'lineId' | 'lineName' | 'quantity' | 'subject' | 'state' | 'at' | 'speedRpm'
>

/**
 * A check from a value and its bounds.
 *
 * @param unknownBounds - what is missing for bounds that could not be computed; the check is then unknown, unless a
 *   bound that is known is already broken
 * @param window - of the bounds, where the caller has it
 */
export function judge(
  head: CheckHead,
  value: Known<number>,
  bounds: readonly Bound[],
  unknownBounds: readonly Missing[] = [],
  window = windowOf(bounds),
): Check {
  // A value that is no number is no value: NaN would pass every comparison.
  const read = value.known && !Number.isFinite(value.value) ? unknown(NO_NUMBER) : value
  if (!read.known) {
    const missing = [
      ...read.missing,
      ...unknownBounds.filter((one) => !read.missing.some((m) => m.what === one.what)),
    ]
    return checkOf(head, {
      value: null,
      window,
      margin: null,
      verdict: 'unknown',
      basis: '',
      missing,
      assumptions: [],
    })
  }
  const { verdict, margin, edge } = standing(read.value, window)
  const deciding =
    bounds.find((bound) => edge !== null && window[edge] === bound[BOUND_KEYS[edge]]) ?? bounds[0]
  // A limit that nobody can tell cannot save what another one has failed already.
  const undecided = unknownBounds.length > 0 && verdict !== 'out'
  return checkOf(head, {
    value: read.value,
    window,
    margin: undecided ? null : margin,
    verdict: undecided ? 'unknown' : verdict,
    basis: deciding?.basis ?? '',
    missing: unknownBounds,
    assumptions: read.assumptions,
  })
}

/** All bounds of a check as one window. */
export const windowOf = (bounds: readonly Bound[]): Window =>
  bounds.length > 0 ? combinedWindow(bounds) : OPEN_WINDOW

/** Written out: spreading the parts costs more than judging them, and each move of a lever judges every check. */
const checkOf = (
  head: CheckHead,
  found: Omit<Check, keyof CheckHead | 'plusMinus' | 'interval' | 'probability'>,
): Check => ({
  id: head.id,
  lineId: head.lineId,
  lineName: head.lineName,
  quantity: head.quantity,
  subject: head.subject,
  state: head.state,
  at: head.at,
  speedRpm: head.speedRpm,
  value: found.value,
  window: found.window,
  margin: found.margin,
  plusMinus: null,
  interval: null,
  probability: null,
  verdict: found.verdict,
  basis: found.basis,
  missing: found.missing,
  assumptions: found.assumptions,
})

/** What is said where no figure comes out of those that are there. */
export const NO_NUMBER = 'the figures contradict each other, so that no value comes out'

const BOUND_KEYS = {
  failLow: 'failBelow',
  warnLow: 'warnBelow',
  warnHigh: 'warnAbove',
  failHigh: 'failAbove',
} as const
