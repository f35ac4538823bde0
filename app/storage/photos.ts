import type { Table } from 'dexie'
import type { StoredPhoto } from './database'

/** The pictures of builds, in this browser; builds hold only their names and scales. */
export interface PhotoRepository {
  readonly get: (buildId: string, id: string) => Promise<StoredPhoto | undefined>
  readonly ofBuild: (buildId: string) => Promise<StoredPhoto[]>
  readonly put: (photo: StoredPhoto) => Promise<void>
  /** Gives a build the pictures of another as well. */
  readonly copy: (from: string, to: string) => Promise<void>
  /** Throws the pictures of a build away for good. */
  readonly purge: (buildId: string) => Promise<void>
}

/** A picture stays when its build lets go of it: undo brings the name back, and the picture must be there then. */
export function photoRepository(photos: Table<StoredPhoto, [buildId: string, id: string]>): PhotoRepository {
  const ofBuild = (buildId: string) => photos.where('buildId').equals(buildId).toArray()
  return {
    get: (buildId, id) => photos.get([buildId, id]),
    ofBuild,
    put: async (photo) => {
      await photos.put(photo)
    },
    copy: async (from, to) => {
      const all = await ofBuild(from)
      await photos.bulkPut(all.map((photo) => ({ ...photo, buildId: to })))
    },
    purge: async (buildId) => {
      await photos.where('buildId').equals(buildId).delete()
    },
  }
}
