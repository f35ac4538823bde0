import type { Check, CheckState } from '../check/check'
import { formatAngle, formatLength, fixed, grouped } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** The checked value with its unit; "?" when unknown. */
export const checkValueText = (
  check: Pick<Check, 'quantity'>,
  value: number | null,
  units: UnitSettings,
): string => (value === null ? '?' : quantityValueText(check.quantity, value, units))

/** A value of a quantity with its unit. */
export function quantityValueText(quantity: Check['quantity'], value: number, units: UnitSettings): string {
  switch (quantity) {
    case 'critical-speed-ratio':
    case 'tube-shear':
    case 'cross-shear':
      return fixed(value, 2)
    case 'chain-ratio':
      return `${fixed(value, 2)} : 1`
    case 'chain-safety':
      return `${fixed(value, 1)} times`
    case 'chain-teeth':
      return `${fixed(value, 0)} teeth`
    case 'chain-centre':
      return `${fixed(value, 1)} pitches`
    case 'chain-slack':
    case 'chain-slack-upright':
    case 'chain-offset':
      return `${fixed(value, 2)} %`
    case 'chain-wrap':
      return formatAngle(value, units, 0)
    case 'spline-engaged':
      return `${fixed(value, 2)} diameters`
    case 'bearing-force':
      return `${grouped(value)} N`
    case 'torsional-acceleration':
    case 'shaft-inertia':
      return `${grouped(value)} rad/s²`
    case 'set-in':
    case 'slip-left':
    case 'plunge-left':
    case 'gap':
    case 'adjuster-left':
    case 'sprocket-ground':
      return formatLength(value, units)
    default:
      return formatAngle(value, units, 2)
  }
}

/** Units that are not said again behind a ± or a margin. */
const BARE = / (rad\/s²|N|diameters|: 1|times|teeth|pitches)$/

/** The ± of a check, "± 0.14°", or where it may as well be nought "0.00–0.42°"; empty when it is not known or nought. */
export function plusMinusText(check: Check, units: UnitSettings): string {
  if (check.interval) return intervalText(check.interval, (value) => checkValueText(check, value, units))
  if (!check.plusMinus) return ''
  const size = checkValueText(check, check.plusMinus, units).replace(BARE, '')
  // Below half the last digit shown there is nothing to say.
  return Number.parseFloat(size) === 0 ? '' : `± ${size}`
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
const STATE_WORDS: Readonly<Record<CheckState, string>> = {
  ride: '',
  drive: ' under drive',
  coast: ' on overrun',
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
  const line = manyLines === true && check.lineName !== null ? `${check.lineName}: ` : ''
  const number = 'index' in check.subject ? ` ${check.subject.index + 1}` : ''
  const drive = `${check.at ? ` at ${check.at.name}` : ''}${STATE_WORDS[check.state]}`
  switch (check.quantity) {
    case 'joint-angle':
      return `${line}joint${number}${drive || ' at ride'}`
    case 'flex-disc-angle':
      return `${line}disc at joint${number}`
    case 'centring-pilot':
      return `${line}pilot of joint${number}`
    case 'pair-difference':
      return `${line}pair difference${drive}`
    case 'torsional-acceleration':
      return `${line}torsional${drive}`
    case 'critical-speed-ratio':
      return `${line}shaft${number} speed to critical`
    case 'set-in':
      return `${line}slip yoke set-in`
    case 'tube-shear':
      return `${line}tube${number} shear to yield`
    case 'cross-shear':
      return `${line}cross of joint${number}${drive}`
    case 'bearing-force':
      return `${line}centre bearing${number} force${drive}`
    case 'bearing-misalignment':
      return `${line}shaft${number} in its bearing${drive}`
    case 'slip-left':
      return `${line}slip left in shaft${number}${drive}`
    case 'spline-engaged':
      return `${line}spline engaged in shaft${number}${drive}`
    case 'plunge-left':
      return `${line}plunge left of shaft${number}${drive}`
    case 'chain-wrap':
      return chainLabel(check, 'wrap', manyLines === 'within')
    case 'chain-teeth':
      return chainLabel(check, 'teeth', manyLines === 'within')
    case 'chain-offset':
      return chainLabel(check, 'offset', manyLines === 'within')
    case 'chain-angle':
      return chainLabel(check, 'angle', manyLines === 'within')
    case 'chain-centre':
      return chainLabel(check, 'shaft to shaft', manyLines === 'within')
    case 'chain-slack':
    case 'chain-slack-upright':
      return chainLabel(check, 'slack', manyLines === 'within')
    case 'chain-ratio':
      return chainLabel(check, 'ratio', manyLines === 'within')
    case 'chain-safety':
      return chainLabel(check, 'strength to pull', manyLines === 'within')
    case 'chain-backlash':
      return chainLabel(check, 'play felt by hand', manyLines === 'within')
    case 'adjuster-left':
      return chainLabel(check, 'room left in its adjuster', manyLines === 'within')
    case 'sprocket-ground':
      return chainLabel(check, 'ground clearance', manyLines === 'within')
    case 'gap':
      return `${'name' in check.subject ? check.subject.name : check.quantity}${drive}`
    default:
      return `${line}${check.quantity}`
  }
}

/** What is checked of a chain: "drive chain: wrap of front sprocket at droop". */
function chainLabel({ subject, at }: LabelledCheck, what: string, within: boolean): string {
  if (subject.of !== 'chain') return what
  const where = at ? ` at ${at.name}` : ''
  return `${within ? '' : `${subject.name}: `}${what}${subject.sprocket ? ` of ${subject.sprocket.name}` : ''}${where}`
}

/** The verdict with its margin in words: "holds by 1.4°", "out by 0.3°", "unknown". */
export function marginText(check: Check, units: UnitSettings): string {
  if (check.verdict === 'unknown') return 'unknown'
  if (check.margin === null) return check.verdict
  const size = checkValueText(check, Math.abs(check.margin), units).replace(BARE, '')
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
