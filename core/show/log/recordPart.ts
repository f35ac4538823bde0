import type { Build } from '../../file/build/build'
import type { Evaluation } from '../../model/evaluateBuild'
import type { Money } from '../../jobs/money/money'

/** A part of the record: sentences, a table, pictures by their ids. */
export interface RecordPart {
  readonly title: string
  readonly lines: readonly string[]
  readonly rows: readonly (readonly string[])[]
  readonly photos: readonly { readonly id: string; readonly caption: string }[]
}

/** A whole build as something to read: words, figures, pictures, no layout. */
export interface BuildRecord {
  readonly title: string
  readonly about: string
  readonly parts: readonly RecordPart[]
}

/** What the record is made from. */
export interface RecordSite {
  readonly build: Build
  readonly evaluation: Evaluation
  readonly money: Money
  /** The state of the whole, in one sentence. */
  readonly sentence: string
}

/** A part of which only some is said. */
export const part = (title: string, more: Partial<Omit<RecordPart, 'title'>>): RecordPart => ({
  title,
  lines: [],
  rows: [],
  photos: [],
  ...more,
})
