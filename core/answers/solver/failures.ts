import { sourcesOf } from '../../base/columns/run'
import type { Id } from '../../file/parts/id'
import type { SearchProblem } from './problem'

/** What is known to fail: a check that fails with its ± fails in every setting in which the levers it hangs on stand alike. */
export interface Failures {
  readonly learn: (check: Id, amounts: readonly number[]) => void
  readonly isKnown: (amounts: readonly number[]) => boolean
}

/** Nothing known yet, over the levers and checks of a search. */
export function failures({ graph, levers, limits }: SearchProblem): Failures {
  const places = new Map<string, number[]>()
  const seen = new Map<string, Set<string>>()
  const placesOf = (check: Id): number[] => {
    const there = places.get(check)
    if (there) return there
    const columns = limits.flatMap((limit) => (limit.check === check ? [limit.column] : []))
    const sources = sourcesOf(graph, columns)
    const found = levers.flatMap(({ column }, i) => (sources.has(column) ? [i] : []))
    places.set(check, found)
    return found
  }
  const keyOf = (check: Id, amounts: readonly number[]) =>
    placesOf(check)
      .map((i) => amounts[i])
      .join('/')
  return {
    learn: (check, amounts) => {
      // A check that hangs on no lever is no ground to pass over anything.
      if (placesOf(check).length === 0) return
      const keys = seen.get(check) ?? new Set()
      keys.add(keyOf(check, amounts))
      seen.set(check, keys)
    },
    isKnown: (amounts) => [...seen].some(([check, keys]) => keys.has(keyOf(check, amounts))),
  }
}
