import type { Table } from 'dexie'
import { parsePart, PART_FORMAT, PART_VERSION } from '~~/core/bay/shelf/partFile'
import type { ShelfPart } from '~~/core/bay/shelf/shelfPart'
import type { StoredPart } from './database'

/** The builder's own parts, in this browser. */
export interface ShelfRepository {
  readonly all: () => Promise<ShelfPart[]>
  readonly put: (part: ShelfPart) => Promise<void>
  readonly remove: (id: string) => Promise<void>
}

/** A part that cannot be read any more is left where it is and passed over. */
export function shelfRepository(parts: Table<StoredPart, string>): ShelfRepository {
  return {
    all: async () =>
      (await parts.toArray()).flatMap(({ part }) => {
        const read = parsePart({ format: PART_FORMAT, version: PART_VERSION, part })
        return read.ok ? [read.value] : []
      }),
    put: async (part) => {
      await parts.put({ id: part.id, part })
    },
    remove: (id) => parts.delete(id),
  }
}
