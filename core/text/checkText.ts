import type { Check } from '../check/check'
import { formatAngle, formatLength, fixed } from '../units/format'
import type { UnitSettings } from '../units/unitSettings'

/** Thousands in groups of three with a thin space, as on a rev counter. */
export const grouped = (value: number): string => fixed(value, 0).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')

/** The checked value with its unit; "?" when unknown. */
export function checkValueText(check: Check, value: number | null, units: UnitSettings): string {
  if (value === null) return '?'
  switch (check.quantity) {
    case 'critical-speed-ratio':
      return fixed(value, 2)
    case 'torsional-acceleration':
    case 'shaft-inertia':
      return `${grouped(value)} rad/s²`
    case 'set-in':
      return formatLength(value, units)
    default:
      return formatAngle(value, units, 2)
  }
}

/** The ± of a check, "± 0.14°"; empty when it is not known or nought. */
export function plusMinusText(check: Check, units: UnitSettings): string {
  if (!check.plusMinus) return ''
  const size = checkValueText(check, check.plusMinus, units).replace(' rad/s²', '')
  // Below half the last digit shown there is nothing to say.
  return Number.parseFloat(size) === 0 ? '' : `± ${size}`
}

/** How likely the limit is kept: "97 %", "over 99 %". */
export function likelihoodText(probability: number): string {
  if (probability > 0.995) return 'over 99 %'
  if (probability < 0.005) return 'under 1 %'
  return `${fixed(probability * 100, 0)} %`
}

/** What is checked, in a few words: "joint 1 at ride", "torsional under drive". */
export function checkLabel(check: Check, manyLines = false): string {
  const line = manyLines ? `${check.lineName}: ` : ''
  const number = check.subject.of === 'line' ? '' : ` ${check.subject.index + 1}`
  const drive = check.state === 'drive' ? ' under drive' : ''
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
    default:
      return `${line}${check.quantity}`
  }
}

/** The verdict with its margin in words: "holds by 1.4°", "out by 0.3°", "unknown". */
export function marginText(check: Check, units: UnitSettings): string {
  if (check.verdict === 'unknown') return 'unknown'
  if (check.margin === null) return check.verdict
  const size = checkValueText(check, Math.abs(check.margin), units).replace(' rad/s²', '')
  if (check.verdict === 'tight') return isTightBySpread(check) ? 'tight by its ±' : `tight by ${size}`
  return `${check.verdict} by ${size}`
}

/** Tight for want of a surer figure: it stands inside its window, but nearer to the limit than its ±. */
const isTightBySpread = ({ margin }: Check): boolean => margin !== null && margin >= 0

/** One sentence with the verdict and its reason. */
export function checkSentence(check: Check, units: UnitSettings, manyLines = false): string {
  const label = sentenceCase(checkLabel(check, manyLines))
  if (check.verdict === 'unknown') {
    const value = check.value === null ? '' : ` is ${checkValueText(check, check.value, units)}, but`
    return `${label}${value} cannot be judged: ${check.missing.map((one) => one.what).join('; ')}.`
  }
  if (check.quantity === 'centring-pilot') return `${label} is missing: ${check.basis}.`
  const speed = check.speedRpm === null ? '' : ` at ${grouped(check.speedRpm)} rev/min`
  const value = `${checkValueText(check, check.value, units)}${check.quantity === 'joint-angle' ? '' : speed}`
  const where = limitText(check, units)
  if (check.verdict === 'holds') return `${label} is ${value}: ${marginText(check, units)}${where}.`
  return `${label} is ${value}: ${marginText(check, units)}${where}; ${check.basis}.`
}

function limitText(check: Check, units: UnitSettings): string {
  const { failLow, warnLow, warnHigh, failHigh } = check.window
  const low = warnLow ?? failLow
  const high = warnHigh ?? failHigh
  const show = (value: number) => checkValueText(check, value, units)
  const failed = check.verdict === 'out' ? [failLow, failHigh] : [low, high]
  const [from, to] = failed
  if (from != null && to != null) return ` (allowed ${show(from)} to ${show(to)})`
  if (to != null) return ` (allowed up to ${show(to)})`
  return from != null ? ` (allowed from ${show(from)})` : ''
}

/** First letter large. */
export const sentenceCase = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
