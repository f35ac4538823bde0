import { CoreError } from './errors'
import { known, unknown, type Known } from './known'

/** A figure by mathematics that may refuse what it is given: why is then what is missing. */
export function answered<T>(work: () => T, assumptions: readonly string[] = []): Known<T> {
  try {
    return known(work(), assumptions)
  } catch (error) {
    if (error instanceof CoreError) return unknown(error.message)
    throw error
  }
}
