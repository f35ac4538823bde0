import { fixed } from './format'
import { notUnderstood, plainMarks, type Parsed } from './parsed'
import { parseLength } from './parseLength'
import { parseNumber } from './parseNumber'
import { MM_PER_UNIT, type UnitSettings } from './unitSettings'

/** What a typed figure is: a length in the build's unit, or a plain figure in a unit that does not change. */
export type FigureKind = 'length' | 'plain'

/**
 * A figure of a part as typed, within bounds.
 *
 * @returns mm for a length, else the figure as it stands; refused with the bound it breaks
 */
export function parseFigure(
  text: string,
  kind: FigureKind,
  units: UnitSettings,
  least: number,
  most: number,
): Parsed {
  const sign = /^-/.test(plainMarks(text)) && least < 0 ? -1 : 1
  const bare = sign < 0 ? plainMarks(text).slice(1).trim() : text
  const parsed = kind === 'length' ? parseLength(bare, units.length) : parseNumber(plainMarks(bare))
  if (!parsed.ok) return parsed
  const value = sign * parsed.value
  if (value < least) return notUnderstood(`it must be at least ${figureText(least, kind, units)}`)
  if (value > most) return notUnderstood(`it must be at most ${figureText(most, kind, units)}`)
  return { ok: true, value }
}

/** A stored figure as it stands in its typing field, without its unit. */
export function figureText(value: number, kind: FigureKind, units: UnitSettings): string {
  const shown = kind === 'length' ? value / MM_PER_UNIT[units.length] : value
  const decimals = kind === 'length' ? { mm: 2, cm: 3, m: 5, in: 4, ft: 5 }[units.length] : 4
  return fixed(shown, decimals)
    .replace(/(\.\d*?)0+$/, '$1')
    .replace(/\.$/, '')
    .replace('\u2212', '-')
}
