import type { Known, Missing } from '../../base/known'
import type { Id } from '../../file/parts/id'

/** What was worked out, or null with all that is missing for it. */
export interface Answered<T> {
  readonly value: T | null
  readonly missing: readonly Missing[]
}

export const answered = <T>(known: Known<T>): Answered<T> =>
  known.known ? { value: known.value, missing: [] } : { value: null, missing: known.missing }

/** One of a list, with its answer. */
export type Named<T> = Answered<T> & { readonly id: Id; readonly name: string }
