import { parseNumber } from '../../base/units/parseNumber'
import { SPACER_MM } from '../../file/parts/spacers'
import { plainMarks } from '../../base/units/parsed'

/** Thicknesses as read, or what was not understood. */
export type ParsedStock =
  { readonly ok: true; readonly stock: readonly number[] } | { readonly ok: false; readonly message: string }

const [THINNEST, THICKEST] = SPACER_MM

/** What is typed in one line: spacers when nothing else is said. */
export interface TypedLengths {
  readonly what: string
  /** Shortest and longest, in mm. */
  readonly range: readonly [number, number]
}
const SPACERS: TypedLengths = { what: 'spacer', range: [THINNEST, THICKEST] }

/** Spacers at hand as typed, or other lengths: in mm with a space, a semicolon or a comma and a space between. */
export function parseStock(text: string, most: number, { what, range } = SPACERS): ParsedStock {
  const [least, longest] = range
  const parts = text.split(/\s*[;\s]\s*|,\s+/).filter((part) => part !== '')
  if (parts.length > most) return { ok: false, message: `more than ${most} of them` }
  const stock: number[] = []
  for (const part of parts) {
    const parsed = parseNumber(plainMarks(part.replace(/,$/, '')))
    if (!parsed.ok) return { ok: false, message: parsed.message }
    if (!(parsed.value >= least && parsed.value <= longest))
      return { ok: false, message: `"${part}" is no ${what}: ${least} to ${longest} mm` }
    stock.push(parsed.value)
  }
  return { ok: true, stock: [...new Set(stock)].sort((a, b) => a - b) }
}

/** Spacers at hand as they stand in the typing field. */
export const stockFieldText = (stock: readonly number[]): string => stock.join(' ')
