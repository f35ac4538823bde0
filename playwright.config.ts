import { defineConfig } from '@playwright/test'

const PORT = 4640

/** Switches for a Chromium that keeps to this machine. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 90_000,
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Nothing is proved by waiting for a drawer to slide in.
    contextOptions: { reducedMotion: 'reduce' },
    // Each test starts with an empty browser, which would lay the whole application by for work without a network; the
    // test of just that lets it.
    serviceWorkers: 'block',
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: CHROMIUM_ARGS },
  },
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { PORT: String(PORT), HOST: '127.0.0.1', NITRO_HOST: '127.0.0.1', NITRO_PORT: String(PORT) },
    reuseExistingServer: false,
    timeout: 30_000,
  },
})
