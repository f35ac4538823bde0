import { MAX_TEXT, notUnderstood, plainMarks, type Parsed } from './parsed'
import { parseNumber } from './parseNumber'
import { MM_PER_UNIT, type LengthUnit } from './unitSettings'

const SUFFIXES: readonly (readonly [RegExp, LengthUnit])[] = [
  [/ ?mm$/i, 'mm'],
  [/ ?cm$/i, 'cm'],
  [/ ?m$/i, 'm'],
  [/ ?(inches|inch|in\.?|")$/i, 'in'],
  [/ ?(feet|foot|ft\.?|')$/i, 'ft'],
]
const FEET_AND_INCHES = /^(.+?) ?(?:'|feet|foot|ft\.?) ?-? ?(\S.*?) ?(?:"|inches|inch|in\.?)?$/i
/** 100 m: nothing on a vehicle is longer, so more is a slip of the finger. */
const MAX_LENGTH = 100_000

/**
 * A length as people say it: `812`, `81.2 cm`, `32"`, `29 1/8`, `5' 11 3/8"`, `3/4 in`; a trailing + or − from a
 * rounded fraction is passed over.
 *
 * @param unit - unit of a bare figure
 * @returns the length in mm, never negative, or what was not understood (the text itself is the caller's to keep)
 * @see docs/methods/units.md
 * @example parseLength('29 1/8', 'in') // { ok: true, value: 739.775 }
 */
export function parseLength(text: string, unit: LengthUnit): Parsed {
  if (text.length > MAX_TEXT) return notUnderstood(`the text is longer than ${MAX_TEXT} characters`)
  const plain = plainMarks(text).replace(/(?<=[\d"'m]) ?[+-]$/, '')
  if (plain === '') return notUnderstood('nothing was typed')
  if (/^[+-]/.test(plain)) return notUnderstood(`"${plain}" has a sign; type the figure and say which way`)
  const parsed = parseFeetAndInches(plain) ?? parseOneUnit(plain, unit)
  if (parsed.ok && parsed.value > MAX_LENGTH) return notUnderstood(`"${plain}" is more than 100 m`)
  return parsed
}

function parseFeetAndInches(plain: string): Parsed | null {
  const parts = FEET_AND_INCHES.exec(plain)
  if (!parts) return null
  const feet = parseNumber(parts[1] ?? '')
  const inches = parseNumber(parts[2] ?? '')
  if (!feet.ok) return feet
  if (!inches.ok) return inches
  if (inches.value >= 12) return notUnderstood(`${parts[2]} inches after feet is a foot or more`)
  return { ok: true, value: feet.value * MM_PER_UNIT.ft + inches.value * MM_PER_UNIT.in }
}

function parseOneUnit(plain: string, unit: LengthUnit): Parsed {
  const suffix = SUFFIXES.find(([pattern]) => pattern.test(plain))
  const figure = parseNumber(suffix ? plain.replace(suffix[0], '') : plain)
  if (!figure.ok) {
    const letters = /[a-z°]+\.?$/i.exec(plain)
    return !suffix && letters ? notUnderstood(`"${letters[0]}" is not a unit of length`) : figure
  }
  return { ok: true, value: figure.value * MM_PER_UNIT[suffix ? suffix[1] : unit] }
}
