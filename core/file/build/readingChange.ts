import type { Id } from '../parts/id'
import type { Reading } from './reading'

/** Something that was done to a reading after it was taken, with the reading before and after. */
export interface ReadingChange {
  readonly id: Id
  /** ISO 8601. */
  readonly at: string
  readonly by?: string
  readonly what: 'repeated' | 'repeat-removed' | 'corrected' | 'removed'
  readonly reading: Id
  readonly before?: Reading
  readonly after?: Reading
  /** The reason, for a correction in the words of the mistake. */
  readonly why?: string
}
