import { BrokenRecipe, buildRepository, RefusedChange, type BuildRepository } from './buildRepository'
import { coverRepository, type CoverRepository } from './covers'
import { LurvanDatabase } from './database'
import { photoRepository, type PhotoRepository } from './photos'
import { shelfRepository, type ShelfRepository } from './shelf'

let database: LurvanDatabase | null = null
let repository: BuildRepository | null = null
let shelf: ShelfRepository | null = null
let photos: PhotoRepository | null = null
let covers: CoverRepository | null = null

/** The one database of this tab. */
function useDatabase(): LurvanDatabase {
  database ??= new LurvanDatabase()
  return database
}

/** A store that could not be opened, as on a full disk, says no until it is let try again: each call lets it. */
function reopening<R extends object>(of: R): R {
  return new Proxy(of, {
    get: (target, name, receiver) => {
      const db = useDatabase()
      if (db.hasFailed()) db.close({ disableAutoOpen: false })
      return Reflect.get(target, name, receiver)
    },
  })
}

/** Tells when another tab with an older application keeps this one from opening the store, and when it does no more. */
export function onStoreHeld(isHeld: (held: boolean) => void): void {
  const db = useDatabase()
  db.on('blocked', () => isHeld(true))
  db.on('ready', () => isHeld(false), true)
}

/** The one repository of this tab. */
export function useBuildRepository(): BuildRepository {
  repository ??= reopening(buildRepository(useDatabase()))
  return repository
}

/** The one shelf of this tab. */
export function useShelfRepository(): ShelfRepository {
  shelf ??= reopening(shelfRepository(useDatabase().parts))
  return shelf
}

/** The pictures of this tab. */
export function usePhotoRepository(): PhotoRepository {
  photos ??= reopening(photoRepository(useDatabase().photos))
  return photos
}

/** The covers of this tab. */
export function useCoverRepository(): CoverRepository {
  covers ??= reopening(coverRepository(useDatabase().covers))
  return covers
}

/** Asks the browser not to clear our data when its disk runs low; it may say no. */
export const askToPersist = (): void => void navigator.storage?.persist?.().catch(() => false)

/** True when the browser's store failed, so that trying again may help; false when the change itself cannot be made or kept. */
export const isStorageFault = (error: unknown): boolean =>
  !(error instanceof RefusedChange || error instanceof BrokenRecipe)

/** What the browser calls it, and what it is. Browsers tell a disk without room in several ways. */
const REASONS: readonly (readonly [name: RegExp, reason: string])[] = [
  [/quota|abort/i, 'the disk is full'],
  [/denied|security|MissingAPI|mutation operations/i, 'this browser does not let pages keep data'],
  [/blocked/i, 'another tab with an older Lurvan holds the store: close it'],
  [/unknown|internal|InvalidState/i, 'the disk is full, or the store of this browser does not open'],
]

/** Why storing failed, in a builder's words. */
export function storageReason(error: unknown): string {
  const name = error instanceof Error ? `${error.name} ${error.message}` : String(error)
  const known = REASONS.find(([pattern]) => pattern.test(name))
  if (known) return known[1]
  return error instanceof Error ? error.message : 'the browser would not store it'
}
