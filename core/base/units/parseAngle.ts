import { MAX_TEXT, notUnderstood, plainMarks, type Parsed } from './parsed'
import { parseNumber } from './parseNumber'

const DEGREES_MINUTES =
  /^(\d+) ?(?:°|deg\.?|d) ?(\d+(?:[.,]\d*)?) ?(?:'|min\.?)?(?: ?(\d+(?:[.,]\d*)?) ?(?:"|sec\.?))?$/i
const MINUTES_ONLY = /^(\d+(?:[.,]\d*)?) ?(?:'|min\.?)$/i
const DEGREES = / ?(?:°|degrees?|deg\.?)$/i
/** A level shows no more than a half turn. */
const MAX_ANGLE_DEG = 180

/**
 * An angle as a level shows it or a drawing says it: `3.2`, `3,2°`, `3° 12'`, `3°12'30"`, `12'`.
 *
 * @returns the angle in degrees, never negative, or what was not understood
 * @see docs/methods/units.md
 * @example parseAngle("3° 12'") // { ok: true, value: 3.2 }
 */
export function parseAngle(text: string): Parsed {
  if (text.length > MAX_TEXT) return notUnderstood(`the text is longer than ${MAX_TEXT} characters`)
  const plain = plainMarks(text)
  if (plain === '') return notUnderstood('nothing was typed')
  if (/^[+-]/.test(plain))
    return notUnderstood(`"${plain}" has a sign; type the figure and say which end is lower`)
  const parsed = parseUnsigned(plain)
  if (parsed.ok && parsed.value > MAX_ANGLE_DEG) return notUnderstood(`"${plain}" is more than 180°`)
  return parsed
}

function parseUnsigned(plain: string): Parsed {
  const sixtieths = DEGREES_MINUTES.exec(plain)
  if (sixtieths) return fromSixtieths(sixtieths[1], sixtieths[2], sixtieths[3])
  const minutes = MINUTES_ONLY.exec(plain)
  if (minutes) return fromSixtieths('0', minutes[1], undefined)
  const figure = parseNumber(plain.replace(DEGREES, ''))
  if (!figure.ok && /[a-z"]+$/i.test(plain)) return notUnderstood(`"${plain}" is not an angle in degrees`)
  return figure
}

function fromSixtieths(degreesText: string | undefined, minutesText = '0', secondsText = '0'): Parsed {
  const minutes = Number(minutesText.replace(',', '.'))
  const seconds = Number(secondsText.replace(',', '.'))
  if (minutes >= 60) return notUnderstood(`${minutesText} minutes is a degree or more`)
  if (seconds >= 60) return notUnderstood(`${secondsText} seconds is a minute or more`)
  return { ok: true, value: Number(degreesText) + minutes / 60 + seconds / 3600 }
}
