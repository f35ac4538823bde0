import { computed, type ComputedRef } from 'vue'
import type { Build } from '~~/core/file/build/build'
import { LIST_KEYS } from '~~/core/file/build/lists'

/** What a part of a build changes: what was measured, what is worked out of it, or neither. A new part does not compile until it says so. */
type Changes = 'geometry' | 'model' | 'nothing'

const PARTS = {
  units: 'geometry',
  tools: 'geometry',
  setups: 'geometry',
  points: 'geometry',
  axes: 'geometry',
  readings: 'geometry',
  centrePairs: 'geometry',
  bodies: 'geometry',
  trials: 'geometry',
  levers: 'model',
  countedFrom: 'model',
  limits: 'model',
  drivetrain: 'model',
  states: 'model',
  // What hangs on the hoist stands on the mounts.
  weight: 'model',
  format: 'nothing',
  version: 'nothing',
  id: 'nothing',
  name: 'nothing',
  vehicle: 'nothing',
  note: 'nothing',
  readingLog: 'nothing',
  positions: 'nothing',
  chosen: 'nothing',
  mating: 'nothing',
  wayIn: 'nothing',
  crew: 'nothing',
  cutting: 'nothing',
  shiftLever: 'nothing',
  services: 'nothing',
  photos: 'nothing',
  tubes: 'nothing',
  crosses: 'nothing',
  patterns: 'nothing',
  axleCuts: 'nothing',
} as const satisfies Readonly<Record<Exclude<keyof Build, (typeof LIST_KEYS)[number]>, Changes>>

const partsThat = (...changes: readonly Changes[]): (keyof Build)[] =>
  (Object.keys(PARTS) as (keyof typeof PARTS)[]).filter((part) => changes.includes(PARTS[part]))

/** Lists of the work itself: nothing is measured by them, nothing worked out of them. */
const OF_WORK: readonly (keyof Build)[] = [
  'ticks',
  'tasks',
  'removals',
  'bars',
  'cutPieces',
  'gates',
  'orders',
]

/** Parts that mistakes in readings are looked for in, and that say what is to be read: with every list that a subject adds. */
export const READING_PARTS: readonly (keyof Build)[] = [
  ...partsThat('geometry'),
  ...LIST_KEYS.filter((key) => !OF_WORK.includes(key)),
]

/** Parts that say what is to be done: what is to be read and made, and what the builder says of it. */
export const WORK_PARTS: readonly (keyof Build)[] = [...READING_PARTS, ...OF_WORK, 'levers', 'crew']

/** Parts that a build is compiled from: all but where the levers stand. */
export const COMPILED_PARTS: readonly (keyof Build)[] = [...READING_PARTS, ...partsThat('model')]

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
