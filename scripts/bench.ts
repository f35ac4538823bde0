// npm run bench: how long a lever's move takes, in the core and in the browser, and how much the first view loads.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { build as bundle } from 'esbuild'
import { percentile, say } from './benchTimes'
import { CHROMIUM_ARGS } from '../playwright.config'
import { installChromium, CHROMIUM } from './chromium.mjs'
import { build, install } from './fresh.mjs'
import { serve } from './serve'

const PORT = 4660
const FRAME_MS = 16
/** As many as a file may hold. */
const MOST_READINGS = 5000
/** As many tasks as a plan is asked for. */
const TASKS = 120
/** What a phone is asked for, its processor as slow as a phone's: a step of a lever and the opening of a build, in ms. */
const PHONE = { slower: 4, medianMs: 16, p95Ms: 33, openMs: 1000 } as const

// `npm run bench core` leaves the browser aside, `npm run bench browser` the core; `npm run bench task` drags one task.
const [, , part] = process.argv
install()
if (part === undefined || part === 'core') await benchCore()
if (part !== 'core') {
  build()
  installChromium()
  await (part === 'task' ? benchTaskAlone() : benchBrowser())
}

/**
 * Imports that stand between two files cost as much as a kernel's arithmetic; what users run has none, and so the core is measured
 * in one file.
 */
async function benchCore(): Promise<void> {
  const outfile = resolve('node_modules/.cache/bench/core.mjs')
  await bundle({
    entryPoints: ['scripts/benchCore.ts'],
    bundle: true,
    format: 'esm',
    platform: 'node',
    packages: 'external',
    outfile,
  })
  execFileSync(process.execPath, [outfile], { stdio: 'inherit' })
}

/** From the key press to the end of the frame that shows it: laid out and painted. */
function benchLever(page: Page, lever: string): Promise<number[]> {
  return benchKeys(page, `lever-${lever}`, ['ArrowUp', 'ArrowDown'])
}

function benchKeys(page: Page, testId: string, keys: readonly [string, string]): Promise<number[]> {
  return page.evaluate(
    async ([id, there, back]) => {
      const channel = new MessageChannel()
      const grip = document.querySelector<HTMLElement>(`[data-testid="${id}"]`)
      if (!grip) throw new Error('nothing to move on the view')
      grip.focus()
      const taken: number[] = []
      for (let i = -60; i < 300; i++) {
        await new Promise(requestAnimationFrame)
        const key = (i + 60) % 40 < 20 ? there : back
        const start = performance.now()
        grip.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
        // A message sent within a frame is heard once that frame is painted.
        await new Promise((resolve) => {
          channel.port1.onmessage = resolve
          channel.port2.postMessage(0)
        })
        // The first moves warm the compiler up, as any hand on the lever does.
        if (i >= 0) taken.push(performance.now() - start)
      }
      return taken
    },
    [testId, ...keys] as const,
  )
}

/** How far work of one size scatters on this machine: what is above the median of a lever by as much is not the lever's doing. */
function benchScatter(page: Page): Promise<number[]> {
  return page.evaluate(async () => {
    const taken: number[] = []
    for (let i = 0, sum = 0; i < 200; i++) {
      await new Promise(requestAnimationFrame)
      const start = performance.now()
      for (let k = 0; k < 4e6; k++) sum += Math.sqrt(k)
      if (sum > 0) taken.push(performance.now() - start)
    }
    return taken
  })
}

/** A task that is dragged over the ruler of time among many: from the frame that hears the pointer to its paint. */
async function benchTask(page: Page, address: string): Promise<number[]> {
  const raw = JSON.parse(readFileSync('demo/fen-tender.lurvan.json', 'utf8')) as Record<string, unknown>
  const hours = { low: 1, likely: 2, high: 4 }
  raw.id = 'many-tasks'
  raw.crew = { hands: 1, hours: [2, 2, 2, 2, 2, 6, 0] }
  raw.tasks = Array.from({ length: TASKS }, (_, k) => ({
    ...{ id: `t${k}`, name: `task ${k}`, sort: k % 6 === 5 ? 'buy' : 'fit', hours },
    ...(k % 6 === 5 && { leadDays: { low: 5, likely: 9, high: 20 } }),
    ...(k > 3 && { after: [`t${k - 4}`] }),
  }))
  await page.goto(address)
  const buffer = Buffer.from(JSON.stringify(raw))
  await page
    .getByLabel('Import files')
    .setInputFiles({ name: 'tasks.json', mimeType: 'application/json', buffer })
  await page.getByText('1 build was imported').first().waitFor()
  await page.goto(`${address}/b/many-tasks/plan`)
  await page.getByTestId('work-board').waitFor()
  await page.waitForTimeout(8000)
  return page.evaluate(async () => {
    const channel = new MessageChannel()
    const bar = document.querySelectorAll<HTMLElement>('[data-testid="work-board"] .movable')[3]
    if (!bar) throw new Error('no task to drag')
    const { left, top } = bar.getBoundingClientRect()
    const told = { bubbles: true, pointerId: 1, button: 0, clientY: top + 4 }
    bar.dispatchEvent(new PointerEvent('pointerdown', { ...told, clientX: left }))
    const taken: number[] = []
    for (let i = 0; i < 260; i++) {
      let start = 0
      requestAnimationFrame(() => void (start = performance.now()))
      window.dispatchEvent(new PointerEvent('pointermove', { ...told, clientX: left + 20 + 6 * (i % 60) }))
      requestAnimationFrame(() => channel.port2.postMessage(0))
      await new Promise((resolve) => (channel.port1.onmessage = resolve))
      if (i >= 60) taken.push(performance.now() - start)
    }
    window.dispatchEvent(new PointerEvent('pointercancel', { ...told, clientX: left }))
    return taken
  })
}

async function benchTaskAlone(): Promise<void> {
  const { address, stop } = await serve(PORT)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    say(`browser: a task is dragged among ${TASKS}`, await benchTask(page, address))
  } finally {
    await browser.close()
    stop()
  }
}

/** From an edit to "saved" in a build of as many readings as a file may hold. */
async function benchSaving(page: Page, address: string): Promise<void> {
  const raw = JSON.parse(readFileSync('demo/fen-tender.lurvan.json', 'utf8')) as {
    id: string
    readings: { id: string }[]
  }
  const [like] = raw.readings.slice(-1)
  raw.id = 'many-readings'
  while (raw.readings.length < MOST_READINGS)
    raw.readings.unshift({ ...like, id: `old-${raw.readings.length}` } as { id: string })
  await page.goto(address)
  const buffer = Buffer.from(JSON.stringify(raw))
  await page
    .getByLabel('Import files')
    .setInputFiles({ name: 'many.json', mimeType: 'application/json', buffer })
  await page.getByText('1 build was imported').first().waitFor()
  await page.goto(`${address}/b/many-readings/line`)
  await page.getByTestId('lever-tail').waitFor()
  await page.waitForTimeout(8000)
  const times = await page.evaluate(async () => {
    const lever = document.querySelector<HTMLElement>('[data-testid="lever-tail"]')
    const label = document.querySelector<HTMLElement>('[data-testid="saved"]')
    if (!lever || !label) throw new Error('no lever or no word on saving')
    lever.focus()
    const taken: number[] = []
    for (let i = 0; i < 30; i++) {
      lever.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }))
      const start = performance.now()
      lever.dispatchEvent(new KeyboardEvent('keyup', { key: 'ArrowUp', bubbles: true }))
      for (let wasSaving = false, isSaved = false; !isSaved;) {
        await new Promise((resolve) => setTimeout(resolve, 0))
        const isSaving = label.textContent?.includes('saving') ?? false
        isSaved = wasSaving && !isSaving
        wasSaving ||= isSaving
      }
      if (i >= 5) taken.push(performance.now() - start)
    }
    return taken
  })
  say(`browser: an edit is saved, ${MOST_READINGS} readings`, times)
}

/** A lever in the hand and a build being opened on a phone; whether both keep what is asked. */
async function benchPhone(browser: Browser, address: string): Promise<boolean> {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await page.goto(address)
  await page.getByRole('button', { name: 'Open the demo' }).click()
  await page.getByTestId('drawing').waitFor()
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: PHONE.slower })
  const opened: number[] = []
  for (let i = 0; i < 5; i++) {
    await page.goto(address)
    await page.getByRole('link', { name: 'Fen tender' }).waitFor()
    await page.waitForTimeout(3000)
    const start = performance.now()
    await page.getByRole('link', { name: 'Fen tender' }).click()
    await page.getByTestId('drawing').waitFor()
    opened.push(performance.now() - start)
  }
  say('phone, 4 times slower: a build opens', opened)
  await page.goto(`${address}/b/fen-tender/line`)
  await page.getByTestId('lever-tail').waitFor()
  // The ± and the cures are worked out before that, and again once the hand rests.
  await page.waitForTimeout(15_000)
  const times = await benchLever(page, 'tail')
  say('phone, 4 times slower: a lever moves', times)
  await page.close()
  const isMet =
    percentile(times, 0.5) <= PHONE.medianMs &&
    percentile(times, 0.95) <= PHONE.p95Ms &&
    percentile(opened, 0.5) <= PHONE.openMs
  if (!isMet)
    console.log(
      `asked of a phone: ${PHONE.medianMs} ms median, ${PHONE.p95Ms} ms p95, open in ${PHONE.openMs} ms`,
    )
  return isMet
}

async function benchBrowser(): Promise<void> {
  const { address, stop } = await serve(PORT)
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    let bytes = 0
    const seen = new Set<string>()
    page.on('response', (response) => {
      if (!response.url().endsWith('.js') || seen.has(response.url())) return
      seen.add(response.url())
      bytes += Number(response.headers()['content-length'] ?? 0)
    })
    await page.goto(address)
    await page.getByRole('button', { name: 'Open the demo' }).waitFor()
    console.log(`${'first view: compressed script'.padEnd(44)} ${(bytes / 1000).toFixed(0)} kB`)
    await page.getByRole('button', { name: 'Open the demo' }).click()
    await page.getByTestId('drawing').waitFor()
    // The workers that search and sample after opening would share the processor.
    await page.waitForTimeout(4000)
    const times = await benchLever(page, 'tail')
    say('browser: a lever moves, painted again', times)
    await page.goto(address)
    await page.getByRole('button', { name: 'Open the tight bay' }).click()
    await page.getByTestId('board').waitFor()
    await page.waitForTimeout(8000)
    const board = await benchLever(page, 'fronts')
    say('browser: always the same work, for its scatter', await benchScatter(page))
    say('browser: a lever moves 32 gaps on the board', board)
    const rulers: number[][] = []
    for (const [demo, path] of [
      ['Open the linked axle', ''],
      ['Open the hatch', '/b/medlar-hatch/travel'],
    ] as const) {
      await page.goto(address)
      await page.getByRole('button', { name: demo, exact: true }).click()
      await page.getByTestId('state').waitFor()
      if (path) await page.goto(`${address}${path}`)
      await page.getByTestId('travel-ruler').waitFor()
      await page.waitForTimeout(10_000)
      rulers.push(await benchKeys(page, 'travel-ruler', ['ArrowRight', 'ArrowLeft']))
      say(
        `browser: the mark on the ruler moves, ${path === '' ? 'linked axle' : 'halfshafts'}`,
        rulers.at(-1) ?? [],
      )
    }
    const chains: number[][] = []
    for (const [demo, lever] of [
      ['Open the yard cart', 'jack-bolt'],
      ['Open the buggy', 'tensioner-up'],
    ] as const) {
      await page.goto(address)
      await page.getByRole('button', { name: demo, exact: true }).click()
      await page.getByTestId('slack-now').waitFor()
      await page.waitForTimeout(12_000)
      chains.push(await benchLever(page, lever))
      say(`browser: ${lever} moves a chain, link by link`, chains.at(-1) ?? [])
    }
    const dragged = await benchTask(page, address)
    say(`browser: a task is dragged among ${TASKS}`, dragged)
    await benchSaving(page, address)
    await page.close()
    if (!(await benchPhone(browser, address))) process.exitCode = 1
    if (
      Math.max(...[times, board, dragged, ...rulers, ...chains].map((one) => percentile(one, 0.95))) >
      FRAME_MS
    ) {
      console.log(`over one frame of ${FRAME_MS} ms`)
      process.exitCode = 1
    }
  } finally {
    await browser.close()
    stop()
  }
}
