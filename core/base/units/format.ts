import { MM_PER_UNIT, type UnitSettings } from './unitSettings'

const MINUS = '\u2212'
const DECIMALS = { mm: 1, cm: 2, m: 4 } as const

/** A figure with fixed decimals, a true minus sign, and no "−0.0". */
export function fixed(value: number, decimals: number): string {
  const text = Math.abs(value).toFixed(decimals)
  return value < 0 && Number(text) !== 0 ? MINUS + text : text
}

/**
 * A length in the build's unit; inches and feet as the nearest fraction, then + or − when the true length is more or less.
 *
 * @param length - in mm
 * @example formatLength(740, { length: 'in', inchFraction: 16, angle: 'decimal' }) // '29 1/8" +'
 */
export function formatLength(length: number, units: UnitSettings): string {
  if (units.length === 'in') return inchText(length, units.inchFraction)
  if (units.length === 'ft') return feetText(length, units.inchFraction)
  return `${fixed(length / MM_PER_UNIT[units.length], DECIMALS[units.length])} ${units.length}`
}

/** A height or a travel, which nobody reads to a tenth: whole mm, other units as they are. */
export const formatTravel = (length: number, units: UnitSettings): string =>
  units.length === 'mm' ? `${fixed(length, 0)} mm` : formatLength(length, units)

/**
 * A length in both systems, as an order sheet wants it.
 *
 * @example formatBothUnits(740, 16) // '740.0 mm (29 1/8" +)'
 */
export function formatBothUnits(length: number, inchFraction: 16 | 32): string {
  return `${fixed(length, 1)} mm (${inchText(length, inchFraction)})`
}

function inchText(length: number, fraction: 16 | 32): string {
  const steps = Math.round((Math.abs(length) / MM_PER_UNIT.in) * fraction)
  return `${sign(length, steps)}${wholeAndFraction(steps, fraction)}"${remainder(length, steps, fraction)}`
}

function feetText(length: number, fraction: 16 | 32): string {
  const steps = Math.round((Math.abs(length) / MM_PER_UNIT.in) * fraction)
  const perFoot = 12 * fraction
  const feet = Math.floor(steps / perFoot)
  const rest = wholeAndFraction(steps - feet * perFoot, fraction)
  const text = feet > 0 ? `${feet}' ${rest}"` : `${rest}"`
  return `${sign(length, steps)}${text}${remainder(length, steps, fraction)}`
}

const sign = (length: number, steps: number): string => (length < 0 && steps > 0 ? MINUS : '')

/** Steps of a fraction of an inch as one reads them: "48 15/16". */
export function wholeAndFraction(steps: number, fraction: number): string {
  const whole = Math.floor(steps / fraction)
  let top = steps - whole * fraction
  let bottom = fraction
  while (top > 0 && top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  if (top === 0) return `${whole}`
  return whole > 0 ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`
}

/** Below this many mm the fraction is exact for any tape. */
const EXACT = 0.01

function remainder(length: number, steps: number, fraction: number): string {
  const rest = Math.abs(length) - (steps * MM_PER_UNIT.in) / fraction
  if (Math.abs(rest) < EXACT) return ''
  return rest > 0 ? ' +' : ` ${MINUS}`
}

/**
 * An angle in the build's style.
 *
 * @param angleDeg - in degrees
 * @param decimals - decimals of the decimal style; minutes are always whole
 * @example formatAngle(3.2, { length: 'mm', inchFraction: 16, angle: 'minutes' }) // "3° 12'"
 */
export function formatAngle(angleDeg: number, units: Pick<UnitSettings, 'angle'>, decimals = 1): string {
  if (units.angle === 'decimal') return `${fixed(angleDeg, decimals)}°`
  const minutes = Math.round(Math.abs(angleDeg) * 60)
  const text = `${Math.floor(minutes / 60)}° ${minutes % 60}'`
  return angleDeg < 0 && minutes > 0 ? MINUS + text : text
}

/** Thousands in groups of three with a thin space, as on a rev counter. */
export const grouped = (value: number): string => fixed(value, 0).replace(/\B(?=(\d{3})+(?!\d))/g, '\u202f')

/** Whether a size that was written out shows as more than nought: 25 minutes of a degree do, the rest of an inch does not. */
export const showsMore = (text: string): boolean => /[1-9]/.test(text)

/**
 * A change with its sign; what shows as nought has none.
 *
 * @param text - of its size
 * @param nought - said where it shows as nought
 * @example signedText(-0.7, (mm) => `${mm.toFixed(1)} mm`) // '−0.7 mm'
 */
export function signedText(value: number, text: (size: number) => string, nought = text(0)): string {
  const size = text(Math.abs(value))
  return showsMore(size) ? `${value > 0 ? '+' : MINUS}${size}` : nought
}
