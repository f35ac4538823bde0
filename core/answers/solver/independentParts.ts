import { sourcesOf } from '../../base/columns/run'
import type { SearchLever, SearchProblem } from './problem'

/** Levers that no limit ties to any other lever, as a search of their own. */
export interface IndependentPart {
  /** Places of its levers in the whole problem. */
  readonly places: readonly number[]
  readonly problem: SearchProblem
}

/**
 * A problem in parts that are nothing to each other: no limit hangs on levers of two of them. A drive chain and a steering chain
 * are searched one beside the other then, where their settings together would be thousands of millions.
 *
 * Limits that hang on no lever go with the first part.
 */
export function independentParts(problem: SearchProblem): IndependentPart[] {
  const { graph, levers, limits } = problem
  const hangsOn = limits.map(({ column }) => {
    const sources = sourcesOf(graph, [column])
    return levers.flatMap((lever, place) => (sources.has(lever.column) ? [place] : []))
  })
  const groupOf = levers.map((_, place) => place)
  for (const tied of hangsOn) {
    const groups = new Set(tied.map((place) => groupOf[place]))
    const joined = Math.min(...tied)
    groupOf.forEach((group, place) => {
      if (groups.has(group)) groupOf[place] = joined
    })
  }
  return [...new Set(groupOf)].map((group, part) => {
    const places = levers.flatMap((_, place) => (groupOf[place] === group ? [place] : []))
    const own = (tied: readonly number[]) =>
      tied.length === 0 ? part === 0 : groupOf[tied[0] ?? 0] === group
    return {
      places,
      problem: {
        ...problem,
        levers: places.flatMap((place): SearchLever[] => {
          const lever = levers[place]
          return lever ? [lever] : []
        }),
        limits: limits.filter((_, i): boolean => own(hangsOn[i] ?? [])),
      },
    }
  })
}
