import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test as base, type BrowserContext } from '@playwright/test'

interface Options {
  /** Asks for a browser nobody used before: touch and service workers belong to a whole browser. */
  ownBrowser: boolean
}

/** All that a page may have kept. The script it compiled stays, which is half of what a first load costs. */
const STORED = 'indexeddb,local_storage,cookies,cache_storage,service_workers'

/** Tests share one browser a worker, emptied of all that a user keeps before each of them. */
export const test = base.extend<Options, { kept: BrowserContext }>({
  ownBrowser: [false, { option: true }],

  kept: [
    async ({ playwright }, use, { project }) => {
      const { launchOptions, contextOptions, baseURL, viewport, locale, serviceWorkers } = project.use
      const profile = await mkdtemp(join(tmpdir(), 'lurvan-e2e-'))
      const kept = await playwright.chromium.launchPersistentContext(profile, {
        ...launchOptions,
        ...contextOptions,
        baseURL,
        viewport,
        locale,
        serviceWorkers,
      })
      await use(kept)
      await kept.close()
      await rm(profile, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],

  context: async ({ context: own, ownBrowser, kept, baseURL }, use) => {
    if (ownBrowser) return use(own)
    const [blank] = kept.pages()
    const session = await kept.newCDPSession(blank ?? (await kept.newPage()))
    await session.send('Storage.clearDataForOrigin', { origin: String(baseURL), storageTypes: STORED })
    await session.detach()
    await use(kept)
    await Promise.all(
      kept
        .pages()
        .slice(1)
        .map((page) => page.close()),
    )
  },
})

export { expect }
