import { BrokenRecipe, buildRepository, RefusedChange, type BuildRepository } from './buildRepository'
import { LurvanDatabase } from './database'
import { photoRepository, type PhotoRepository } from './photos'
import { shelfRepository, type ShelfRepository } from './shelf'

let database: LurvanDatabase | null = null
let repository: BuildRepository | null = null
let shelf: ShelfRepository | null = null
let photos: PhotoRepository | null = null

/** The one database of this tab. */
function useDatabase(): LurvanDatabase {
  database ??= new LurvanDatabase()
  return database
}

/** The one repository of this tab. */
export function useBuildRepository(): BuildRepository {
  repository ??= buildRepository(useDatabase())
  return repository
}

/** The one shelf of this tab. */
export function useShelfRepository(): ShelfRepository {
  shelf ??= shelfRepository(useDatabase().parts)
  return shelf
}

/** The pictures of this tab. */
export function usePhotoRepository(): PhotoRepository {
  photos ??= photoRepository(useDatabase().photos)
  return photos
}

/** Asks the browser not to clear our data when its disk runs low; it may say no. */
export const askToPersist = (): void => void navigator.storage?.persist?.().catch(() => false)

/** True when the browser's store failed, so that trying again may help; false when the change itself cannot be made or kept. */
export const isStorageFault = (error: unknown): boolean =>
  !(error instanceof RefusedChange || error instanceof BrokenRecipe)

/** Why storing failed, in a builder's words. */
export function storageReason(error: unknown): string {
  const name = error instanceof Error ? `${error.name} ${error.message}` : String(error)
  if (/quota/i.test(name)) return 'the disk space for this browser is full'
  if (/blocked|denied|security|InvalidState|MissingAPI/i.test(name))
    return 'this browser does not let pages keep data'
  return error instanceof Error ? error.message : 'the browser would not store it'
}
