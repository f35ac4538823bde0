import { KINDS, type Kinds } from '../kinds/kinds'
import { merged } from '../parts/merged'
import { anyWords, FRONT_REAR, LEFT_RIGHT, type ReadingKindFacts, type Words } from '../kinds/readingRow'
import type { Reading, ReadingKind, ReadingOf, TourQuantity } from './reading'

export type TargetKind = keyof Kinds['targets']

/** Every kind of reading: one row each, and whoever needs to know reads it here. */
export const READING_KINDS: {
  readonly [K in ReadingKind]: ReadingKindFacts<ReadingOf<K>, TargetKind, TourQuantity>
} = merged(KINDS, 'readings')

export const READING_KIND_NAMES = Object.keys(READING_KINDS) as ReadingKind[]

/** What is known of a kind, whichever it is. */
export const readingFacts = (kind: ReadingKind): (typeof READING_KINDS)[ReadingKind] => READING_KINDS[kind]

/** True for what a drawing or a data sheet tells. */
export const isGiven = ({ kind }: { readonly kind: ReadingKind }): boolean =>
  READING_KINDS[kind].told === 'given'

/**
 * The words that a field of a reading may hold.
 *
 * @param isAcross - the axis that is read lies across the vehicle; null for the words of any axis
 * @returns none for a field that the kind does not have
 */
export function wordsOf(kind: ReadingKind, field: string, isAcross: boolean | null): readonly string[] {
  const words = (READING_KINDS[kind].words as Readonly<Record<string, Words>>)[field]
  if (words === undefined) return []
  if (isAcross === null) return anyWords(field, words)
  if (words !== 'ends' && words !== 'sides') return words
  // A display looks to the side of the way a level is laid.
  return isAcross === (words === 'ends') ? LEFT_RIGHT : FRONT_REAR
}

/** The word in which a reading says which way; undefined when it says none. */
export function wayOf(reading: Reading): string | undefined {
  const { way } = READING_KINDS[reading.kind]
  return way === null ? undefined : (reading as unknown as Readonly<Record<string, string | undefined>>)[way]
}
