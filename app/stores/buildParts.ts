import { computed, type ComputedRef } from 'vue'
import type { Build } from '~~/core/file/build/build'
import { LIST_KEYS } from '~~/core/file/build/lists'

/** Parts of a build that its measured geometry rests on. */
const GEOMETRY_PARTS = [
  'units',
  'tools',
  'setups',
  'points',
  'axes',
  'readings',
  'centrePairs',
  'bodies',
  'trials',
] as const satisfies readonly (keyof Build)[]

/** Parts that mistakes in readings are looked for in, and that say what is to be read: with every list that a subject adds. */
export const READING_PARTS = [...GEOMETRY_PARTS, ...LIST_KEYS] as const satisfies readonly (keyof Build)[]

/** Parts that a build is compiled from: all but where the levers stand. */
export const COMPILED_PARTS = [
  ...READING_PARTS,
  'levers',
  'countedFrom',
  'limits',
  'drivetrain',
  'states',
] as const satisfies readonly (keyof Build)[]

/**
 * A build, handed on as the same object for as long as none of some parts has changed: what is derived from it is then not
 * derived again when a lever moves in a build of thousands of readings.
 */
export function buildBy(
  build: () => Build | null,
  parts: readonly (keyof Build)[],
): ComputedRef<Build | null> {
  let last: Build | null = null
  return computed(() => {
    const now = build()
    const isSame =
      last !== null && now !== null && now.id === last.id && parts.every((part) => now[part] === last?.[part])
    if (!isSame) last = now
    return last
  })
}
