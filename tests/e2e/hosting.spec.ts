import { spawn } from 'node:child_process'
import { cp, readFile, rm, writeFile } from 'node:fs/promises'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { CHROMIUM_ARGS } from '../../playwright.config'
import { fileServer } from '../support/fileServer'
import { expect, test } from './browser'
import { goWithin, openDemo, saved } from './bench'

test.use({ serviceWorkers: 'allow', ownBrowser: true })

/** Runs a script to the line that holds a mark, and returns that line. */
const started = (args: readonly string[], mark: string) => {
  const running = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] })
  const line = new Promise<string>((resolve, reject) => {
    let said = ''
    running.stdout.on('data', (chunk: Buffer) => {
      said += chunk.toString()
      const found = said.split('\n').find((one) => one.includes(mark))
      if (found) resolve(found)
    })
    // What it said last may come after it has ended.
    running.on('close', (code) => reject(new Error(`ended with ${code}: ${said}`)))
  })
  return { line, stop: () => running.kill() }
}

test.describe('plain files', () => {
  // One after the other: the files are made once for all of them.
  test.describe.configure({ mode: 'default' })
  let folder = ''
  let host: Awaited<ReturnType<typeof fileServer>>

  test.beforeAll(async () => {
    const generate = started(['scripts/generate.mjs'], 'plain files')
    await generate.line
    folder = test.info().outputPath('site')
    await cp('dist', folder, { recursive: true })
    host = await fileServer(folder)
  })
  test.afterAll(() => host.close())

  test('work under any file server, with their policy, by deep address and without a network', async ({
    page,
    context,
  }) => {
    const broken: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error' && !/404/.test(message.text())) broken.push(message.text())
    })
    await page.goto(`${host.address}/`)
    await page.getByRole('button', { name: 'Open the demo' }).click()
    await expect(page.getByTestId('state')).toContainText('Out: torsional under drive is 699 rad/s²')
    const policy = await page.locator('meta[http-equiv="Content-Security-Policy"]').getAttribute('content')
    expect(policy).toContain("default-src 'self'")
    expect(policy).not.toContain('frame-ancestors')
    expect(await readFile(`${folder}/_headers`, 'utf8')).toContain("frame-ancestors 'none'")
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.goto(`${host.address}/b/fen-tender/line`)
    await expect(page.getByTestId('state')).toContainText('699 rad/s²')
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    await context.setOffline(true)
    await page.reload()
    await expect(page.getByTestId('state')).toContainText('699 rad/s²')
    await context.setOffline(false)
    expect(broken).toEqual([])
  })

  test('a new version is offered to every open tab and loads none unasked; taken back, it is offered again', async ({
    page,
    context,
  }) => {
    const line = `${host.address}/b/fen-tender/line`
    await page.goto(`${host.address}/`)
    await page.getByRole('button', { name: 'Open the demo' }).click()
    await expect(page.getByTestId('state')).toContainText('Out:')
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
    await page.goto(line)
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    const other = await context.newPage()
    await other.goto(`${host.address}/b/fen-tender/readings?step=axis-level-pinion`)
    await other.getByTestId('digits').fill('86.')
    const first = await readFile(`${folder}/sw.js`, 'utf8')
    await writeFile(`${folder}/sw.js`, `${first}\n// the next version`)

    // A page that stays open looks for itself when it comes into sight.
    const look = (one: Page) => one.evaluate(() => document.dispatchEvent(new Event('visibilitychange')))
    await look(page)
    const offer = (one: Page) => one.getByRole('status').filter({ hasText: 'A new version is ready' })
    await expect(offer(page)).toBeVisible()
    await expect(offer(other)).toBeVisible()
    await other.evaluate(() => ((window as unknown as { mark: string }).mark = 'not loaded anew'))
    await Promise.all([page.waitForEvent('load'), page.getByRole('button', { name: 'Load it' }).click()])
    await expect(page.getByTestId('state')).toContainText('Out:')
    await expect(offer(page)).toBeHidden()
    await expect(offer(other)).toBeVisible()
    expect(await other.evaluate(() => (window as unknown as { mark: string }).mark)).toBe('not loaded anew')
    await expect(other.getByTestId('digits')).toHaveValue('86.')

    await writeFile(`${folder}/sw.js`, first)
    await look(page)
    await expect(offer(page)).toBeVisible()
  })
})

test('an older file counts as another one, whatever its date', async ({ request }) => {
  const { etag = '' } = (await request.get('/sw.js')).headers()
  const tomorrow = new Date(Date.now() + 86_400_000).toUTCString()
  const asked = (known: string) =>
    request.get('/sw.js', { headers: { 'if-none-match': known, 'if-modified-since': tomorrow } })
  expect((await asked('"another"')).status()).toBe(200)
  expect((await asked(etag)).status()).toBe(304)
})

test('a part whose file is gone says so and offers to load anew', async ({ page }) => {
  // A browser that saves data loads no view ahead, so that the view's file is asked for when it is opened.
  await page.addInitScript(() =>
    Object.defineProperty(navigator, 'connection', { get: () => ({ saveData: true }) }),
  )
  await openDemo(page)
  await page.route('**/_nuxt/*.js', (route) => route.fulfill({ status: 404, body: 'gone' }))
  await page.keyboard.press('Control+k')
  const news = page.getByRole('status').filter({ hasText: 'A part of Lurvan could not be loaded' })
  await expect(news).toBeVisible()
  await page.unroute('**/_nuxt/*.js')
  await news.getByRole('button', { name: 'Later' }).click()
  await page.route('**/_nuxt/*.js', (route) => route.fulfill({ status: 404, body: 'gone' }))
  await goWithin(page, '/b/fen-tender/sheet').catch(() => undefined)
  await expect(news).toBeVisible()
  await page.unroute('**/_nuxt/*.js')
  await Promise.all([page.waitForEvent('load'), news.getByRole('button', { name: 'Load anew' }).click()])
  await expect(page.getByTestId('state')).toContainText('Out:')
})

test('an older tab that holds the store is told of, and once it is closed the page goes on', async ({
  page,
  context,
}) => {
  await page.goto('/icon.svg')
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        const open = indexedDB.open('lurvan', 10)
        open.onupgradeneeded = () => open.result.createObjectStore('builds', { keyPath: 'id' })
        open.onsuccess = () => resolve(((window as unknown as { held: unknown }).held = open.result) && null)
      }),
  )
  const newer = await context.newPage()
  await newer.goto('/')
  const told = newer.getByRole('alert').filter({ hasText: 'Another tab has an older Lurvan open' })
  await expect(told).toBeVisible()
  await page.close()
  await expect(told).toBeHidden()
  await expect(newer.getByRole('heading', { name: 'No builds yet' })).toBeVisible()
})

test('a browser that forbids the small store works all the same', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL })
  await context.addInitScript(() => {
    for (const name of ['localStorage', 'sessionStorage'])
      Object.defineProperty(window, name, {
        get: () => {
          throw new DOMException('Access is denied for this document.', 'SecurityError')
        },
      })
  })
  const page = await context.newPage()
  await openDemo(page)
  await page.goto('/b/fen-tender/readings?step=axis-level-pinion')
  await page.getByTestId('digits').fill('86.7')
  await page.getByTestId('digits').press('Enter')
  await saved(page)
  await page.getByRole('link', { name: 'all builds' }).click()
  await page.getByRole('button', { name: 'Light or dark' }).click()
  await expect(page.locator('html')).toHaveClass(/dark/)
  await page.getByRole('button', { name: 'Delete Fen tender', exact: true }).click()
  await page.getByText('Deleted builds').click()
  await page.getByRole('button', { name: 'Throw away for good' }).click()
  await expect(page.getByRole('heading', { name: 'No builds yet' })).toBeVisible()
  await context.close()
})

test.describe('in the own network', () => {
  let phone: BrowserContext
  const profile = () => test.info().outputPath('phone')
  test.afterEach(async () => {
    await phone.close()
    await rm(profile(), { recursive: true, force: true })
  })

  test('a phone opens the address with its key, begins a build and finds the code; without the key nothing answers', async () => {
    const lan = started(['scripts/demo.mjs', '--lan', '127.0.0.1'], 'https://')
    try {
      const address = (await lan.line).replace(/^.*(https:\S+)$/, '$1').trim()
      const origin = new URL(address).origin
      phone = await chromium.launchPersistentContext(profile(), {
        executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
        args: CHROMIUM_ARGS,
        ignoreHTTPSErrors: true,
        viewport: { width: 390, height: 844 },
        hasTouch: true,
        isMobile: true,
      })
      for (const path of ['/', '/api/health', '/icon.svg', '/sw.js', '/?key=guessed', '/api/phone'])
        expect([path, (await phone.request.get(`${origin}${path}`)).status()]).toEqual([path, 403])
      const page = phone.pages()[0]!
      await page.goto(address)
      expect(page.url()).toBe(`${origin}/`)
      // The demo server shows its demo to whoever comes for the first time.
      await expect(page.getByRole('heading', { name: 'Fen tender' })).toBeVisible()
      await page.getByRole('button', { name: 'Open on a phone' }).click()
      const dialog = page.getByRole('dialog')
      await expect(dialog).toContainText(address)
      await expect(dialog).toContainText('The phone warns that it does not know the certificate')
      expect(await dialog.getByRole('img').locator('path').getAttribute('d')).toMatch(/^M3 3h1v1h-1z/)
      await page.keyboard.press('Escape')
      await page.getByRole('button', { name: 'New build' }).tap()
      await page.getByLabel('Vehicle or name of the build').fill('Under the car')
      await page.getByRole('button', { name: 'Start' }).tap()
      await expect(page.getByRole('heading', { name: 'Chassis, fore and aft' })).toBeVisible()
      await page.getByTestId('digits').fill('1.5')
      await page.getByTestId('digits').press('Enter')
      await saved(page)
    } finally {
      lan.stop()
    }
  })
})

test('at an insecure address builds begin all the same, and what it lacks is said once', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ baseURL })
  await context.addInitScript(() => {
    Object.defineProperty(window, 'isSecureContext', { value: false })
    Object.defineProperty(crypto, 'randomUUID', { value: undefined })
    for (const lacking of ['serviceWorker', 'wakeLock', 'storage', 'clipboard'])
      Object.defineProperty(Navigator.prototype, lacking, { value: undefined, configurable: true })
  })
  const page = await context.newPage()
  await page.goto('/')
  const said = page.getByRole('note').filter({ hasText: 'This address is not a secure one' })
  await expect(said).toBeVisible()
  await said.getByRole('button').click()
  await page.getByRole('button', { name: 'New build' }).click()
  await page.getByLabel('Vehicle or name of the build').fill('Plain http')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('heading', { name: 'Chassis, fore and aft' })).toBeVisible()
  await page.getByTestId('digits').fill('2.5')
  await page.getByTestId('digits').press('Enter')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Chassis' }).first()).toBeVisible()
  await expect(said).toBeHidden()
  await context.close()
})
