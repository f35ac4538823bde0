import type { Table } from 'dexie'
import type { StoredCover } from './database'

/** What the list shows of each build, with the revision it was worked out for: opening the list works nothing out. */
export interface CoverRepository {
  readonly all: () => Promise<StoredCover[]>
  readonly put: (covers: readonly StoredCover[]) => Promise<void>
  readonly remove: (buildId: string) => Promise<void>
}

export const coverRepository = (covers: Table<StoredCover, string>): CoverRepository => ({
  all: () => covers.toArray(),
  put: async (some) => {
    await covers.bulkPut([...some])
  },
  remove: (buildId) => covers.delete(buildId),
})
