import { numericQuantity } from 'numeric-quantity'
import { notUnderstood, type Parsed } from './parsed'

const DECIMAL = /^(\d+([.,]\d*)?|[.,]\d+)$/
const FRACTION = /^(\d+)?[ -]?(?:(\d+) ?[/\u2044] ?(\d+)|([\u00bc-\u00be\u2150-\u215e]))$/
/** "1,200" may be a thousand-and-two-hundred or one and a fifth; guessing would be a factor of 1000. */
const AMBIGUOUS = /^[1-9]\d{0,2},\d{3}$/

/**
 * One unsigned figure as people write it: `812`, `81.2`, `81,2`, `29 1/8`, `29-1/8`, `3/4`, `29⅛`.
 *
 * @returns the value, or which part was not understood; never NaN
 */
export function parseNumber(text: string): Parsed {
  if (text === '') return notUnderstood('nothing was typed')
  if (AMBIGUOUS.test(text)) {
    return notUnderstood(
      `"${text}" could mean ${text.replace(',', '')} or ${text.replace(',', '.')}; leave the comma out`,
    )
  }
  if (DECIMAL.test(text)) return { ok: true, value: Number(text.replace(',', '.')) }
  const fraction = FRACTION.exec(text)
  if (!fraction) return notUnderstood(`"${text}" is not a figure`)
  const [, whole, top, bottom] = fraction
  if (bottom !== undefined && Number(bottom) === 0) return notUnderstood(`"${text}" divides by nought`)
  if (whole !== undefined && top !== undefined && Number(top) >= Number(bottom)) {
    return notUnderstood(`the fraction ${top}/${bottom} after ${whole} is not less than one`)
  }
  // A vulgar fraction such as ⅛ or a spaced bar needs the library's table; the pattern above has fixed the shape.
  const value = numericQuantity(text.replace(/ ?[/\u2044] ?/, '/').replace(/(\d)-(?=\d)/, '$1 '))
  return Number.isFinite(value) ? { ok: true, value } : notUnderstood(`"${text}" is not a figure`)
}
