import type { UnitSettings } from '../../base/units/unitSettings'
import { formatAngle } from '../../base/units/format'
import { sentenceCase } from '../text/checkText'
import type { Echo } from './subjectWords'

/** " ± 0.16°"; nothing for a figure no tool has a say in. */
export const plusMinus = (size: number | null, units: UnitSettings): string =>
  size === null || size === 0 ? '' : ` ± ${formatAngle(size, units, 2)}`

/** What keeps a reading from being used. */
export const missingEcho = (missing: readonly { what: string }[]): Echo => ({
  ok: false,
  text: ended(sentenceCase(missing[0]?.what ?? 'not understood')),
})

/** A full stop, unless the sentence has its own end. */
const ended = (text: string): string => (/[.?!]$/.test(text) ? text : `${text}.`)
