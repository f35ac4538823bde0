import type { Check } from '../check/check'
import { likelySpan } from '../answers/uncertainty/sureness'

/** A stretch of a bar, as fractions of its width. */
export interface BarStretch {
  readonly from: number
  readonly to: number
}

/** A window bar: the allowed window as a band, the warning strips inside the failing limits, the value as a tick. */
export interface WindowBar {
  readonly allowed: BarStretch | null
  readonly warning: readonly BarStretch[]
  /** Null when the value is unknown. */
  readonly tick: number | null
  /** From value − ± to value + ±, or the 95 % interval where the value may as well be nought; null without either. */
  readonly whisker: BarStretch | null
}

/** Room outside the outermost limit, as a share of the window. */
const OUTSIDE = 0.35

/**
 * The bar of a check, on a scale that always shows its limits; a value far outside stands at the bar's end.
 */
export function windowBar({
  window,
  value,
  plusMinus,
  interval,
}: Pick<Check, 'window' | 'value' | 'plusMinus' | 'interval'>): WindowBar {
  const { failLow, warnLow, warnHigh, failHigh } = window
  const limits = [failLow, warnLow, warnHigh, failHigh].filter((limit) => limit !== null)
  if (limits.length === 0)
    return { allowed: null, warning: [], tick: value === null ? null : 0.5, whisker: null }
  const isOneSided = failLow === null && warnLow === null
  const least = isOneSided ? 0 : Math.min(...limits)
  const most = failHigh === null && warnHigh === null ? Math.max(...limits) * 2 : Math.max(...limits)
  // Never nought, so that a window of no width still has a place on the bar.
  const span = Math.max(most - least, Math.abs(most), 1e-9)
  const start = isOneSided ? 0 : Math.min(least - span * OUTSIDE, 0)
  const end = most + span * OUTSIDE
  const place = (amount: number) => Math.max(0, Math.min(1, (amount - start) / (end - start)))
  const low = warnLow ?? failLow
  const high = warnHigh ?? failHigh
  const likely = plusMinus || interval ? likelySpan({ value, plusMinus, interval }) : null
  const warning: BarStretch[] = []
  if (failLow !== null && warnLow !== null && warnLow > failLow)
    warning.push({ from: place(failLow), to: place(warnLow) })
  if (failHigh !== null && warnHigh !== null && failHigh > warnHigh)
    warning.push({ from: place(warnHigh), to: place(failHigh) })
  // A warning without a failing limit behind it shades to the bar's end.
  if (failLow === null && warnLow !== null) warning.push({ from: 0, to: place(warnLow) })
  if (failHigh === null && warnHigh !== null) warning.push({ from: place(warnHigh), to: 1 })
  return {
    allowed: { from: low === null ? 0 : place(low), to: high === null ? 1 : place(high) },
    warning,
    tick: value === null ? null : place(value),
    whisker: likely && { from: place(likely[0]), to: place(likely[1]) },
  }
}
