import { defineConfig } from '@playwright/test'

/** Works out unasked what a user's page does. */
const WHOLE_PORT = 4640
/** Draws few truths and looks for no cures: for all tests that look at neither. */
const SPARING_PORT = 4641

/** A test that looks at a ± or at cures. */
const PROVED = /@proved/

const server = (port: number, env: Record<string, string> = {}) => ({
  command: 'node .output/server/index.mjs',
  url: `http://127.0.0.1:${port}/api/health`,
  env: { PORT: String(port), HOST: '127.0.0.1', NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port), ...env },
  reuseExistingServer: false,
  timeout: 30_000,
})

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

/** The browser's own dress, which no test looks at: two pages for the address field alone, made for each window. */
const DRESS = ['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup']
/** What Playwright switches off; the last list a browser is given replaces those before it. */
const BY_PLAYWRIGHT = [
  'AimEnabled',
  'AvoidCorsURLLoaderRestartOnRedirect',
  'AvoidUnnecessaryBeforeUnloadCheckSync',
  'DestroyProfileOnBrowserClose',
  'HttpsFirstBalancedModeAutoEnable',
  'HttpsUpgrades',
  'LensOverlay',
  'MediaRouter',
  'NetworkTimeServiceQuerying',
  'OptimizationHints',
  'PaintHolding',
  'PreconnectToSearch',
  'ThirdPartyStoragePartitioning',
]
const UNDRESSED = [`--disable-features=${[...BY_PLAYWRIGHT, ...DRESS].join()}`]
/** Pages one after the other in one process, where script that was compiled stays compiled; tabs side by side want one each. */
const ONE_PROCESS = ['--process-per-site', '--renderer-process-limit=1']
/** A page that lives for seconds gains nothing by its script being compiled a second time. */
const SHORT_LIVED = '--js-flags=--no-turbofan'
const launchOptions = (...more: readonly string[]) => ({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [...CHROMIUM_ARGS, ...more],
})

export default defineConfig({
  testDir: 'tests/e2e',
  // A test ends when it is done: how long that takes is the machine's affair.
  timeout: 240_000,
  expect: { timeout: 90_000 },
  // A page waits now and then: three of them keep two cores busy.
  workers: 3,
  // A machine that stood still is no fault of the product; what passed at the second try is listed as flaky.
  retries: process.env.CI ? 1 : 0,
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Nothing is proved by waiting for a drawer to slide in.
    contextOptions: { reducedMotion: 'reduce' },
    // Each test starts with an empty browser, which would lay the whole application by for work without a network; the
    // test of just that lets it.
    serviceWorkers: 'block',
  },
  projects: [
    // The longest first, so that no core is idle at the end.
    {
      name: 'proved',
      grep: PROVED,
      use: { baseURL: `http://127.0.0.1:${WHOLE_PORT}`, launchOptions: launchOptions() },
    },
    {
      name: 'sparing',
      grepInvert: PROVED,
      use: {
        baseURL: `http://127.0.0.1:${SPARING_PORT}`,
        launchOptions: launchOptions(...UNDRESSED, ...ONE_PROCESS, SHORT_LIVED),
      },
    },
  ],
  webServer: [
    server(WHOLE_PORT),
    server(SPARING_PORT, { NUXT_PUBLIC_UNASKED_SAMPLES: '200', NUXT_PUBLIC_UNASKED_CURES: 'false' }),
  ],
})
