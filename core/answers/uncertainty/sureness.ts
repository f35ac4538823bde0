import type { Check } from '../../check/check'
import { rejudged, type Evaluation } from '../../model/evaluateBuild'
import { standing } from '../../file/limits/verdict'
import type { Window } from '../../file/build/limit'
import { checkFigureId } from './sampleModel'
import type { Sureness } from './monteCarlo'

/** Room of a value to the nearest failing limit; negative past it; null where nothing fails. */
export function roomToFail(value: number, { failLow, failHigh }: Window): number | null {
  const rooms = [failLow === null ? null : value - failLow, failHigh === null ? null : failHigh - value]
  return rooms.reduce(
    (least, room) => (room !== null && (least === null || room < least) ? room : least),
    null,
  )
}

/** From where to where the truth likely lies: the 95 % interval where there is one, else value ± 2σ. */
export function likelySpan({
  value,
  plusMinus,
  interval,
}: Pick<Check, 'value' | 'plusMinus' | 'interval'>): readonly [number, number] | null {
  if (value === null || plusMinus === null) return null
  return interval ?? [value - plusMinus, value + plusMinus]
}

/** A check with its ±: inside its limits, but with a likely truth past a warning or failing one, it is tight. */
export function sureCheck(check: Check, sureness: Sureness): Check {
  const spread = sureness.figures[checkFigureId(check)]
  if (!spread || check.value === null) return check
  const { plusMinus, interval, probability } = spread
  const span = likelySpan({ value: check.value, plusMinus, interval })
  const reachesOut = span !== null && span.some((end) => standing(end, check.window).verdict !== 'holds')
  return {
    ...check,
    plusMinus,
    interval,
    probability,
    verdict: check.verdict === 'holds' && reachesOut ? 'tight' : check.verdict,
  }
}

/** An evaluation whose checks carry their ± and are judged with it. */
export const sureEvaluation = (evaluation: Evaluation, sureness: Sureness): Evaluation =>
  rejudged(evaluation, (check) => sureCheck(check, sureness))

/** True when the likely truths of a check lie on both sides of its failing limit: another reading could turn the verdict. */
export function isUndecided(check: Check): boolean {
  const span = likelySpan(check)
  if (span === null || check.verdict === 'unknown') return false
  const [low, high] = span.map((end) => roomToFail(end, check.window))
  return low != null && high != null && low < 0 !== high < 0
}
