import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import { sprocketName, sprocketsOf } from '../project/chainLine'
import type { Id } from '../project/id'
import type { FacePlace, Reading } from '../project/reading'
import { READING_KINDS, TARGET_KEYS, type ReadingKind, type TargetKind } from '../project/readingKinds'

/** What names the thing that is read: the fields of `TARGET_KEYS`, of a reading or of what a tour asks. */
export interface TargetFields {
  /** Of a reading, and of what a tour asks. */
  readonly kind?: ReadingKind
  readonly quantity?: ReadingKind
  readonly axis?: Id
  readonly point?: Id
  readonly line?: Id
  readonly shaft?: number
  readonly gap?: Id
  readonly sprocket?: Id
  readonly place?: FacePlace
  readonly chain?: Id
}

/** A thing that can be read, by the name it is called. */
export interface NamedThing {
  readonly id: Id
  readonly name: string
}

/** All that is known of what a reading can be of. */
export interface TargetFacts {
  /** The field that holds the id of the thing; null where there is but one. */
  readonly key: keyof TargetFields | null
  /** What it is called when it is asked for. */
  readonly word: string
  readonly things: (build: Build) => readonly NamedThing[]
  /** Said behind the name, where the thing alone is not what is read. */
  readonly part?: (build: Build, target: TargetFields) => string
  /** The point it is on or the body it is of; absent for what lies between two bodies. */
  readonly body?: (build: Build, target: TargetFields) => BodyId | undefined
}

const bodyAt = (build: Build, point: Id | undefined): BodyId | undefined =>
  build.points.find(({ id }) => id === point)?.body

/** Everything a reading can be of: one row each. */
export const TARGETS: Readonly<Record<TargetKind, TargetFacts>> = {
  chassis: { key: null, word: 'chassis', things: () => [], body: () => 'chassis' },
  axis: {
    key: 'axis',
    word: 'axis',
    things: ({ axes }) => axes,
    body: ({ axes }, { axis }) => axes.find(({ id }) => id === axis)?.body,
  },
  point: {
    key: 'point',
    word: 'point',
    things: ({ points }) => points,
    body: (build, { point }) => bodyAt(build, point),
  },
  shaft: {
    key: 'line',
    word: 'line',
    things: ({ lines }) => lines,
    // Of several shafts of a line each has its number.
    part: ({ lines }, { line, shaft = 0 }) =>
      (lines.find(({ id }) => id === line)?.shafts.length ?? 0) > 1 ? `, shaft ${shaft + 1}` : '',
  },
  gap: { key: 'gap', word: 'gap', things: ({ gaps }) => gaps },
  sprocket: {
    key: 'sprocket',
    word: 'sprocket',
    things: (build) =>
      sprocketsOf(build).map((sprocket) => ({ id: sprocket.id, name: sprocketName(sprocket) })),
    part: (_, { place }) => `, face at the ${place}`,
    body: (build, { sprocket }) => bodyAt(build, sprocketsOf(build).find(({ id }) => id === sprocket)?.point),
  },
  chain: { key: 'chain', word: 'chain', things: ({ chains }) => chains ?? [] },
}

/** What is known of what a kind of reading is of. */
export const targetOf = (kind: ReadingKind): TargetFacts => TARGETS[READING_KINDS[kind].of]

/** The name of the thing that is read; its id where nothing of the build is called so. */
export function thingName(build: Build, kind: ReadingKind, target: TargetFields): string {
  const { key, word, things } = targetOf(kind)
  if (key === null) return word
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
  TARGET_KEYS[READING_KINDS[kind].of].every((key) => a[key] === b[key])

/** True when two readings are of the same quantity of the same thing, whichever setup they are from. */
export function isSameQuantity(a: Reading, b: Reading): boolean {
  const level = (kind: ReadingKind) => (kind === 'axis-face' ? 'axis-level' : kind)
  return level(a.kind) === level(b.kind) && isSameTarget(a.kind, a, b)
}
