import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import type { Id } from '../../file/parts/id'

export const MISTAKE_KINDS = [
  'hanging-axle',
  'face-or-tube',
  'no-attitude',
  'inch-or-mm',
  'swapped-sides',
  'wrong-way',
  'shaft-contradiction',
  'outlier',
  'chain-length',
] as const
export type MistakeKind = (typeof MISTAKE_KINDS)[number]

/** A change of fields of one reading or setup; `undefined` takes a field away. */
export interface Edit {
  readonly of: 'reading' | 'setup'
  readonly id: Id
  readonly set: Readonly<Record<string, unknown>>
}

/** One tap that puts a mistake right. */
export interface Correction {
  /** What it does, as an order: "Pinion: the front end was the low one". */
  readonly label: string
  readonly edits: readonly Edit[]
}

/** Something about the readings that is probably wrong, with what would put it right, likeliest first. */
export interface Mistake {
  readonly kind: MistakeKind
  /** The readings in question, the likeliest culprit first. */
  readonly readingIds: readonly Id[]
  readonly sentence: string
  readonly corrections: readonly Correction[]
}

/**
 * Looks for one kind of mistake.
 *
 * @param isAsked - of readings that may be left aside: whether one is looked at
 */
export type Detector = (build: Build, isAsked: (reading: Reading) => boolean) => Mistake[]
