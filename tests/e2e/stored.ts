import type { Page } from '@playwright/test'

/** What the browser keeps of one origin: each database with its stores, and the short notes beside them. */
export interface Stored {
  readonly databases: readonly StoredDatabase[]
  readonly notes: readonly (readonly [key: string, value: string])[]
}

interface StoredDatabase {
  readonly name: string
  readonly version: number
  readonly stores: readonly StoredTable[]
}

interface StoredTable {
  readonly name: string
  readonly keyPath: string | string[] | null
  readonly indices: readonly { readonly name: string; readonly keyPath: string | string[] }[]
  readonly rows: readonly unknown[]
}

/** All that the page's origin has stored. */
export const storedOf = (page: Page): Promise<Stored> =>
  page.evaluate(async () => {
    const done = <T>(asked: IDBRequest<T>) =>
      new Promise<T>((resolve, reject) => {
        asked.onsuccess = () => resolve(asked.result)
        asked.onerror = () => reject(asked.error)
      })
    const tableOf = async (db: IDBDatabase, name: string) => {
      const table = db.transaction(name).objectStore(name)
      const indices = [...table.indexNames].map((index) => ({
        name: index,
        keyPath: table.index(index).keyPath,
      }))
      return { name, keyPath: table.keyPath, indices, rows: await done(table.getAll()) }
    }
    const databaseOf = async ({ name, version }: IDBDatabaseInfo) => {
      const db = await done(indexedDB.open(name!))
      const stores = []
      for (const store of db.objectStoreNames) stores.push(await tableOf(db, store))
      db.close()
      return { name: name!, version: version!, stores }
    }
    const databases = []
    for (const info of await indexedDB.databases()) databases.push(await databaseOf(info))
    const notesOf = () => {
      try {
        return Object.entries(localStorage) as [string, string][]
      } catch {
        // A browser that forbids them keeps none.
        return []
      }
    }
    return { databases, notes: notesOf() }
  })

/**
 * Lays what was stored elsewhere into a fresh browser, before the application is there.
 *
 * @returns false, with nothing done, when the browser holds something already
 */
export async function layDown(page: Page, stored: Stored): Promise<boolean> {
  // A page of the same origin that runs nothing.
  await page.goto('/api/health')
  return page.evaluate(async ({ databases, notes }) => {
    if ((await indexedDB.databases()).length > 0) return false
    try {
      for (const [key, value] of notes) localStorage.setItem(key, value)
    } catch {
      // A browser that forbids them goes without.
    }
    for (const { name, version, stores } of databases) {
      await new Promise<void>((resolve, reject) => {
        const asked = indexedDB.open(name, version)
        asked.onerror = () => reject(asked.error)
        asked.onupgradeneeded = () => {
          for (const { name: table, keyPath, indices, rows } of stores) {
            const store = asked.result.createObjectStore(table, { keyPath })
            for (const index of indices) store.createIndex(index.name, index.keyPath)
            for (const row of rows) store.put(row)
          }
        }
        asked.onsuccess = () => {
          asked.result.close()
          resolve()
        }
      })
    }
    return true
  }, stored)
}
