import type { TargetFacts } from '../kinds/ask'
import { KINDS, type Kinds } from '../kinds/kinds'
import { merged, type Together } from '../parts/merged'
import type { Build } from './build'
import type { Reading, ReadingKind } from './reading'
import { READING_KINDS, type TargetKind } from './readingKinds'

type Targets = Kinds['targets']
/** What names the thing that is read: fields of a reading, and of what a tour asks. */
export type TargetFields = Partial<Together<Targets[TargetKind]>> & {
  /** Of a reading, and of what a tour asks. */
  readonly kind?: ReadingKind
  readonly quantity?: ReadingKind
}

/** Everything a reading can be of: one row each, which looks only at its own fields. */
export const TARGETS = merged(KINDS, 'targets') as unknown as Readonly<
  Record<TargetKind, TargetFacts<TargetFields>>
>

/** What is known of what a kind of reading is of. */
export const targetOf = (kind: ReadingKind): TargetFacts<TargetFields> => TARGETS[READING_KINDS[kind].of]

/** The field in which a reading names the thing it is of, where the build has no such thing; null for one that meets it. */
export function unmetTarget(
  build: Build,
  reading: Reading,
): { readonly key: string; readonly id: string } | null {
  const { keys, things } = targetOf(reading.kind)
  const [key] = keys
  if (key === undefined) return null
  const id = String((reading as TargetFields)[key])
  return things(build).some((one) => one.id === id) ? null : { key, id }
}
