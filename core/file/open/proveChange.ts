import type { Build } from '../build/build'
import { LIST_LIMITS } from '../build/lists'
import { doorProblems } from '../door/door'
import { parseBuild } from './parseBuild'
import type { ReadResult } from '../parts/problem'
import { referenceProblems } from '../references/references'

/** Lists that grow long; of them only the items that a change touched are looked at again. */
const LONG_LISTS = ['readings', 'readingLog'] as const

/**
 * Proves a change before it is stored: what was sound and was not touched stays sound, so a build of thousands of readings
 * costs no more than the readings that changed.
 *
 * @param before - sound
 * @param after - shares with `before` what was not touched
 * @returns the changed build, or all problems with their places
 */
export function proveChange(before: Build, after: Build): ReadResult<Build> {
  const touched = Object.fromEntries(
    LONG_LISTS.map((key) => {
      const known = new Set<unknown>(before[key])
      const list: unknown = after[key]
      return [key, Array.isArray(list) ? list.filter((item: unknown) => !known.has(item)) : list]
    }),
  )
  const problems = doorProblems(touched)
  const changedOnly: Build = { ...after, ...touched }
  const isSound =
    problems.length === 0 &&
    countsAreSound(after) &&
    parseBuild(changedOnly).ok &&
    referenceProblems(pointsElsewhere(before, after) ? after : changedOnly).length === 0
  // The long way tells the places as they are in the whole build.
  return isSound ? { ok: true, value: after } : parseBuild(after)
}

/** What readings name; where none of it and no reading has changed, their names still meet. */
const NAMED_BY_READINGS = [
  'tools',
  'setups',
  'trials',
  'points',
  'axes',
  'lines',
  'gaps',
  'chains',
  'readings',
] as const

const pointsElsewhere = (before: Build, after: Build): boolean =>
  NAMED_BY_READINGS.some((key) => before[key] !== after[key])

const countsAreSound = (build: Build): boolean =>
  LONG_LISTS.every((key) => (build[key]?.length ?? 0) <= LIST_LIMITS[key])
