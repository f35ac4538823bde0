import type { Check, GapState } from '../../check/check'
import { factsOf, type Quantity } from '../../file/build/quantities'
import type { Shown } from '../../file/kinds/quantityRow'
import { formatAngle, formatLength, fixed, grouped, showsMore } from '../../base/units/format'
import type { UnitSettings } from '../../base/units/unitSettings'

/** The checked value with its unit; "?" when unknown. */
export const checkValueText = (
  check: Pick<Check, 'quantity'>,
  value: number | null,
  units: UnitSettings,
): string =>
  // A pilot is there or not: it has no figure.
  value === null || check.quantity === 'centring-pilot'
    ? '?'
    : quantityValueText(check.quantity, value, units)

/** A value of a quantity with its unit. */
const quantityValueText = (quantity: Quantity, value: number, units: UnitSettings): string =>
  shownText(factsOf(quantity).shown, value, units)

function shownText(shown: Shown, value: number, units: UnitSettings): string {
  switch (shown.as) {
    case 'length':
      return formatLength(value, units)
    case 'angle':
      return formatAngle(value, units, shown.decimals)
    case 'figure':
      return `${shown.decimals === 0 ? grouped(value) : fixed(value, shown.decimals)}${shown.behind}`
  }
}

/** The same behind a ± or a margin, where a long unit is not said again. */
function bareText({ quantity }: Pick<Check, 'quantity'>, value: number, units: UnitSettings): string {
  if (quantity === 'centring-pilot') return '?'
  const { shown } = factsOf(quantity)
  return shownText(
    shown.as === 'figure' && !shown.isSaidAgain ? { ...shown, behind: '' } : shown,
    value,
    units,
  )
}

/** The ± of a check, "± 0.14°", or where it may as well be nought "0.00–0.42°"; empty when it is not known or nought. */
export function plusMinusText(check: Check, units: UnitSettings): string {
  if (check.interval) return intervalText(check.interval, (value) => checkValueText(check, value, units))
  if (!check.plusMinus) return ''
  const size = bareText(check, check.plusMinus, units)
  // Below half the last digit shown there is nothing to say.
  return showsMore(size) ? `± ${size}` : ''
}

/** An interval with its unit said once: "0.00–0.42°". */
export function intervalText(
  [low, high]: readonly [number, number],
  show: (value: number) => string,
): string {
  const from = show(low)
  const [figure = from] = /^[\d.\u202f]+/.exec(from) ?? []
  return `${figure}–${show(high)}`
}

/** How likely the limit is kept: "97 %", "over 99 %". */
export function likelihoodText(probability: number): string {
  if (probability > 0.995) return 'over 99 %'
  if (probability < 0.005) return 'under 1 %'
  return `${fixed(probability * 100, 0)} %`
}

/** Added to what is checked where it is not as the vehicle stands. */
export const STATE_WORDS: Readonly<Record<GapState, string>> = {
  ride: '',
  drive: ' under drive',
  coast: ' on overrun',
  load: ', as mounts give under load',
}

/** What a check is told by. */
type LabelledCheck = Pick<Check, 'quantity' | 'subject' | 'lineName' | 'state' | 'at'>

/** What is checked, wherever the wheels stand: "joint 1", "joint 1 under drive", "slip left in shaft 1". */
export const curveLabel = (check: LabelledCheck, manyLines = false): string =>
  checkLabel({ ...check, at: null }, manyLines).replace(/ at ride$/, '')

/**
 * What is checked, in a few words: "joint 1 at ride", "torsional under drive".
 *
 * @param manyLines - with the name of its line; `within`: even a chain's name is left out, for it stands over the list
 */
export function checkLabel(check: LabelledCheck, manyLines: boolean | 'within' = false): string {
  const { quantity, subject, at, state } = check
  const line = manyLines === true && check.lineName !== null ? `${check.lineName}: ` : ''
  const number = 'index' in subject ? ` ${subject.index + 1}` : ''
  if (quantity === 'centring-pilot') return `${line}pilot of joint${number}`
  const { label, isInStates, atRest = '' } = factsOf(quantity)
  const where = isInStates ? `${at ? ` at ${at.name}` : ''}${STATE_WORDS[state]}` || atRest : ''
  switch (subject.of) {
    case 'gap':
      return `${subject.name}${where}`
    case 'thing':
      return `${subject.name}: ${label}${where}`
    case 'chain': {
      const whose = manyLines === 'within' ? '' : `${subject.name}: `
      return `${whose}${label}${subject.sprocket ? ` of ${subject.sprocket.name}` : ''}${where}`
    }
    case 'joint':
    case 'shaft':
    case 'line':
      return `${line}${label.replace('#', number)}${where}`
  }
}

/** The verdict with its margin in words: "holds by 1.4°", "out by 0.3°", "unknown". */
export function marginText(check: Check, units: UnitSettings): string {
  if (check.verdict === 'unknown') return 'unknown'
  if (check.margin === null) return check.verdict
  const size = bareText(check, Math.abs(check.margin), units)
  if (check.verdict !== 'tight') return `${check.verdict} by ${size}`
  if (isTightBySpread(check)) return 'tight by its ±'
  return check.margin < 0 ? `tight by ${size}` : `tight, ${size} left`
}

/** Tight for want of a surer figure: it stands inside its warnings, but its likely truths reach past one or a limit. */
export function isTightBySpread({ verdict, value, window: { warnLow, warnHigh } }: Check): boolean {
  return (
    verdict === 'tight' &&
    value !== null &&
    value >= (warnLow ?? -Infinity) &&
    value <= (warnHigh ?? Infinity)
  )
}

/** One sentence with the verdict and its reason. */
export function checkSentence(check: Check, units: UnitSettings, manyLines = false): string {
  if (check.verdict === 'unknown')
    return `${unknownText(check, units, manyLines)} ${check.missing.map((one) => one.what).join('; ')}.`
  const label = sentenceCase(checkLabel(check, manyLines))
  if (check.quantity === 'centring-pilot') return `${label} is missing: ${check.basis}.`
  const speed = check.speedRpm === null ? '' : ` at ${grouped(check.speedRpm)} rev/min`
  const value = `${checkValueText(check, check.value, units)}${check.quantity === 'joint-angle' ? '' : speed}`
  const where = limitText(check, units)
  if (check.verdict === 'holds') return `${label} is ${value}: ${marginText(check, units)}${where}.`
  return `${label} is ${value}: ${marginText(check, units)}${where}; ${check.basis}.`
}

/** The beginning of that sentence for a check that is unknown; what is missing follows. */
export function unknownText(check: Check, units: UnitSettings, manyLines = false): string {
  const value = check.value === null ? '' : ` is ${checkValueText(check, check.value, units)}, but`
  return `${sentenceCase(checkLabel(check, manyLines))}${value} cannot be judged:`
}

/** The limits that speak: where something fails, that first, with the warning named beside it. */
function limitText(check: Check, units: UnitSettings): string {
  const { failLow, warnLow, warnHigh, failHigh } = check.window
  const show = (value: number) => checkValueText(check, value, units)
  const fails = rangeText(failLow, failHigh, show)
  const warns = rangeText(warnLow === failLow ? null : warnLow, warnHigh === failHigh ? null : warnHigh, show)
  if (fails === '' && warns === '') return ''
  if (fails === '') return ` (wanted ${warns})`
  if (warns === '' || check.verdict === 'out') return ` (allowed ${fails})`
  return ` (allowed ${fails}, wanted ${warns})`
}

function rangeText(from: number | null, to: number | null, show: (value: number) => string): string {
  if (from !== null && to !== null) return `${show(from)} to ${show(to)}`
  if (to !== null) return `up to ${show(to)}`
  return from === null ? '' : `from ${show(from)}`
}

/** First letter large. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
