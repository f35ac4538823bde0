import { parseLength } from '../../base/units/parseLength'
import type { Parsed } from '../../base/units/parsed'
import type { LengthUnit } from '../../base/units/unitSettings'

/** Reads a dial's text in mm: other than a tape, a dial counts either way of its nought. */
export function parseDial(text: string, unit: LengthUnit): Parsed {
  const [, sign = '', figure = ''] = /^\s*([+\-−–]?)(.*)$/su.exec(text) ?? []
  const parsed = parseLength(figure, unit)
  return parsed.ok && sign !== '' && sign !== '+' ? { ...parsed, value: -parsed.value } : parsed
}
