import { known, unknown, type Known } from '../../base/known'
import type { Parsed } from '../../base/units/parsed'

/** What the repeats of one reading say together. */
export interface Repeats {
  /** Mean of the repeats, in the unit of the parser (mm or degrees). */
  readonly mean: number
  readonly count: number
  /** Largest minus smallest. */
  readonly spread: number
}

/**
 * The repeats of a reading, parsed and averaged.
 *
 * @param texts - raw text of each repeat
 * @param parse - reads one text
 * @param name - what was read, for the message
 * @param path - place of the reading in the file
 * @returns mean and spread; unknown as soon as one repeat cannot be understood, for dropping it silently would change
 *   the mean behind the builder's back
 */
export function readRepeats(
  texts: readonly string[],
  parse: (text: string) => Parsed,
  name: string,
  path: string,
): Known<Repeats> {
  const values: number[] = []
  for (const [index, text] of texts.entries()) {
    const parsed = parse(text)
    if (!parsed.ok) return unknown(`${name}: ${parsed.message}`, `${path}[${index}]`)
    values.push(parsed.value)
  }
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  return known({ mean, count: values.length, spread: Math.max(...values) - Math.min(...values) })
}
