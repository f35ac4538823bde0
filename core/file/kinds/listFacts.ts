import type { AnyObject, ObjectSchema } from 'yup'
import type { Things } from './ask'

/** Lists of a build that an entry of another can name. */
export const NAMED_LISTS = {
  points: 'point',
  axes: 'axis',
  bodies: 'body',
  lines: 'line',
  gaps: 'gap',
  levers: 'lever',
  trials: 'trial',
  bulkheads: 'bulkhead',
  controls: 'control',
  cables: 'cable',
} as const
export type NamedList = keyof typeof NAMED_LISTS

/** What an entry names, and where in it that stands. */
export interface NamedEntry {
  /** Such as `joints[0].point`. */
  readonly at: string
  readonly in: NamedList
  /** Absent where nothing is named. */
  readonly id: string | undefined
}

/** Says what is wrong with an entry, and where in it. */
export type EntryComplaint = (at: string, message: string) => void

/** A list that a subject adds to a build; every entry has an id, and a name to be called by. */
export interface ListFacts<Entry> {
  /** What an entry holds in a file. */
  readonly shape: ObjectSchema<AnyObject>
  /** Entries at the most. */
  readonly most: number
  /** Everything of the build that an entry names: it must be there. */
  readonly names: (entry: Entry) => readonly NamedEntry[]
  /** Said of an entry that keeps what it names in the build, such as `runs to it`; absent for one that goes along with it. */
  readonly holds?: string
  /** What else cannot be, once all names meet a thing or do not. */
  readonly problems?: (build: Things, entry: Entry, complain: EntryComplaint) => void
}

/** The entry of a list. */
export type EntryOf<L> = NonNullable<L> extends readonly (infer E)[] ? E : never
