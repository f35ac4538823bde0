import { object } from 'yup'
import { figure, requiredId, requiredName, wordField } from '../parts/fields'
import type { Told } from '../parts/told'
import type { Things } from './ask'
import type { EntryComplaint } from './listFacts'
import { ONLY_TOLD, type OnlyTold } from './onlyTold'
import type { SubjectKinds } from './subjectKinds'

/** What a vehicle rolls over, and the sizes that tell it. */
export const HUMP_KINDS = {
  /** An arc over level ground, its length the chord. */
  round: ['lengthMm', 'heightMm'],
  /** A flat top between two ramps. */
  table: ['lengthMm', 'heightMm', 'rampMm'],
  /** Up a step, with level ground behind it. */
  kerb: ['heightMm'],
  /** Up a ramp to level ground, as onto a trailer. */
  ramp: ['heightMm', 'rampMm'],
} as const
export type HumpKind = keyof typeof HUMP_KINDS
/** A size of a hump. */
export type HumpSize = 'lengthMm' | 'heightMm' | 'rampMm'

const humpShape = object({
  id: requiredId(),
  name: requiredName(),
  kind: wordField(Object.keys(HUMP_KINDS) as HumpKind[]).required(),
  lengthMm: figure(10, 1e5),
  heightMm: figure(1, 3000),
  rampMm: figure(1, 1e5),
  /** Loaded, or through a bump: how far the springs let it down in front and behind. */
  frontDownMm: figure(0, 500),
  rearDownMm: figure(0, 500),
})

/** A hump, a kerb or a ramp. */
export type Hump = Told<typeof humpShape>

export interface HumpTypes extends OnlyTold {
  readonly lists: { readonly humps?: readonly Hump[] }
}

/** Humps. */
export const KINDS_OF_HUMPS = {
  ...ONLY_TOLD,
  lists: { humps: { shape: humpShape, most: 20, names: () => [], problems: humpProblems } },
} as const satisfies SubjectKinds<HumpTypes>

function humpProblems(_: Things, hump: Hump, complain: EntryComplaint): void {
  for (const size of HUMP_KINDS[hump.kind]) if (hump[size] === undefined) complain(size, 'is missing')
  const { kind, lengthMm = 0, heightMm = 0 } = hump
  if (kind === 'round' && 2 * heightMm > lengthMm)
    complain('heightMm', 'is more than half of its length: no arc over level ground')
}
