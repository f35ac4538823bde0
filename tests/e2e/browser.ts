import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test as base, type BrowserContext, type BrowserContextOptions } from '@playwright/test'

interface Options {
  /** Asks for a browser nobody used before: touch and service workers belong to a whole browser. */
  ownBrowser: boolean
  /** What a browser of its own looks like. */
  shape: BrowserContextOptions
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

  shape: async ({ contextOptions, baseURL, viewport, hasTouch, isMobile, locale, serviceWorkers }, use) =>
    use({ ...contextOptions, baseURL, viewport, hasTouch, isMobile, locale, serviceWorkers }),

  // Playwright's own context would start a second browser beside the one that is kept.
  context: async ({ ownBrowser, kept, playwright, launchOptions, shape, baseURL }, use) => {
    if (ownBrowser) {
      const own = await playwright.chromium.launch(launchOptions)
      await use(await own.newContext(shape))
      return own.close()
    }
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
