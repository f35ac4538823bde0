import type { BodyId } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Reading, ReadingKind } from '../../file/build/reading'
import { targetOf, type TargetFields } from '../../file/build/targets'

/** The name of the thing that is read; its id where nothing of the build is called so. */
export function thingName(build: Build, kind: ReadingKind, target: TargetFields): string {
  const { keys, word, things } = targetOf(kind)
  const [key] = keys
  if (key === undefined) return word
  const id = target[key]
  return things(build).find((one) => one.id === id)?.name ?? String(id)
}

/** The name of what a reading is of, with the part of it that was read. */
export const targetName = (build: Build, kind: ReadingKind, target: TargetFields): string =>
  thingName(build, kind, target) + (targetOf(kind).part?.(build, target) ?? '')

/** The same of a reading. */
export const bodyName = (build: Build, reading: Reading): string => targetName(build, reading.kind, reading)

/** The body a reading is of; null for readings of a shaft and of what lies between two bodies. */
export const bodyOf = (build: Build, reading: Reading): BodyId | null =>
  targetOf(reading.kind).body?.(build, reading) ?? null

/** True when both name the same thing, and the same part of it. */
export const isSameTarget = (kind: ReadingKind, a: TargetFields, b: TargetFields): boolean =>
  targetOf(kind).keys.every((key) => a[key] === b[key])

/** True when two readings are of the same quantity of the same thing, whichever setup they are from. */
export function isSameQuantity(a: Reading, b: Reading): boolean {
  const level = (kind: ReadingKind) => (kind === 'axis-face' ? 'axis-level' : kind)
  return level(a.kind) === level(b.kind) && isSameTarget(a.kind, a, b)
}
