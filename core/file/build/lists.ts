import type { AnyObject, InferType, ObjectSchema } from 'yup'
import type { Build } from './build'
import { KINDS, type Kinds } from '../kinds/kinds'
import type { EntryOf, ListFacts } from '../kinds/listFacts'
import { list } from '../parts/fields'
import { merged } from '../parts/merged'

/** Every list that subjects add to a build, by its key in the file. */
const LISTS = merged(KINDS, 'lists')
type Lists = typeof LISTS
export const LIST_KEYS = Object.keys(LISTS) as (keyof Lists)[]

/** How many entries each may hold. */
export const MOST_ENTRIES = Object.fromEntries(LIST_KEYS.map((key) => [key, LISTS[key].most])) as Readonly<
  Record<keyof Lists, number>
>

/** The shape of each in a file. */
export const LIST_SHAPES = Object.fromEntries(
  LIST_KEYS.map((key) => [key, list(LISTS[key].shape as ObjectSchema<AnyObject>, LISTS[key].most)]),
) as unknown as { readonly [K in keyof Lists]: ReturnType<typeof list<InferType<Lists[K]['shape']>>> }

/** An entry of any of these lists. */
interface AnyEntry {
  readonly id: string
  readonly name: string
}

/** A list of a build with all that is known of it. */
interface ListOfBuild {
  readonly key: keyof Lists
  readonly facts: ListFacts<AnyEntry>
  readonly entries: readonly AnyEntry[]
}

/** @returns the lists that subjects add, as they are in a build */
export const listsOf = (build: Build): readonly ListOfBuild[] => LIST_KEYS.map((key) => listOf(build, key))

function listOf<K extends keyof Lists>(build: Build, key: K): ListOfBuild {
  // Each row tells of the entries that stand under its key.
  const facts = LISTS[key] as unknown as ListFacts<EntryOf<Kinds['lists'][K]> & AnyEntry>
  return { key, facts: facts as ListFacts<AnyEntry>, entries: build[key] ?? [] }
}
