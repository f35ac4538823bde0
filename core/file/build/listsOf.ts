import type { Build } from './build'
import type { Kinds } from '../kinds/kinds'
import type { EntryOf, ListFacts } from '../kinds/listFacts'
import { LIST_KEYS, LISTS, type Lists } from './lists'

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
