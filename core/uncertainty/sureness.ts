import type { Check } from '../check/check'
import type { Evaluation } from '../check/evaluateBuild'
import { gravest } from '../limits/verdict'
import type { Window } from '../limits/limit'
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

/** A check with its ±: inside its limit but nearer to it than 2σ, it is tight. */
export function sureCheck(check: Check, sureness: Sureness): Check {
  const spread = sureness.figures[checkFigureId(check)]
  if (!spread || check.value === null) return check
  const { plusMinus, probability } = spread
  const room = roomToFail(check.value, check.window)
  const isClose = check.verdict === 'holds' && room !== null && room < plusMinus
  return { ...check, plusMinus, probability, verdict: isClose ? 'tight' : check.verdict }
}

/** An evaluation whose checks carry their ± and are judged with it. */
export function sureEvaluation(evaluation: Evaluation, sureness: Sureness): Evaluation {
  const lines = evaluation.lines.map((line) => ({
    ...line,
    checks: line.checks.map((check) => sureCheck(check, sureness)),
  }))
  const checks = lines.flatMap((line) => line.checks)
  return { ...evaluation, lines, checks, verdict: gravest(checks.map(({ verdict }) => verdict)) }
}

/** True when the ± of a check reaches across its failing limit: another reading could turn the verdict. */
export function isUndecided(check: Check): boolean {
  if (check.value === null || check.plusMinus === null || check.verdict === 'unknown') return false
  const room = roomToFail(check.value, check.window)
  return room !== null && Math.abs(room) < check.plusMinus
}
