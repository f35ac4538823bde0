// npm run bench: how long a lever's move takes, in the core and in the browser, and how much the first view loads.
import { readFileSync } from 'node:fs'
import { chromium, type Page } from '@playwright/test'
import { evaluateBuild } from '../core/model/evaluateBuild'
import { parseBuildText } from '../core/project/parseBuild'
import { newRun } from '../core/columns/run'
import { compile, type CompiledBuild } from '../core/model/compile'
import { DEFAULT_SEED, LEAST_SAMPLES, runMonteCarlo } from '../core/uncertainty/monteCarlo'
import { sampleModel } from '../core/uncertainty/sampleModel'
import { newTruths } from '../core/uncertainty/truths'
import { plainKernel } from './plainKernel'
import { CHROMIUM_ARGS } from '../playwright.config'
import { installChromium, CHROMIUM } from './chromium.mjs'
import { build, install } from './fresh.mjs'
import { serve } from './serve'

const PORT = 4660
const FRAME_MS = 16
/** As many as a file may hold. */
const MOST_READINGS = 5000

const percentile = (times: number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length * share)] ?? NaN
const say = (what: string, times: number[]) =>
  console.log(
    `${what.padEnd(44)} median ${percentile(times, 0.5).toFixed(2)} ms   p95 ${percentile(times, 0.95).toFixed(2)} ms`,
  )

// `npm run bench core` leaves the browser aside.
const isWhole = process.argv[2] !== 'core'
install()
benchCore()
benchUncertainty()
if (isWhole) {
  build()
  installChromium()
  await benchBrowser()
}

function benchCore(): void {
  const parsed = parseBuildText(readFileSync('demo/fen-tender.lurvan.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const times: number[] = []
  for (let i = 0; i < 2000; i++) {
    const start = performance.now()
    evaluateBuild(parsed.value, { tail: (i % 40) - 20, wedge: (i % 8) / 2 - 2 })
    times.push(performance.now() - start)
  }
  say('core: all checks at one lever setting', times)
}

/** Rates beside a plain kernel in the same run, so that a slow or a busy machine does not matter. */
function benchUncertainty(): void {
  const parsed = parseBuildText(readFileSync('demo/fen-tender.lurvan.json', 'utf8'))
  if (!parsed.ok) throw new Error('the demo build is damaged')
  const build = parsed.value
  const compiled = compile(build)
  const truths = newTruths(compiled, { samples: LEAST_SAMPLES, seed: DEFAULT_SEED }, true)
  const levers = leverRun(compiled, LEAST_SAMPLES)
  const times: Record<'plain' | 'drawn' | 'recalled' | 'levers', number[]> = {
    plain: [],
    drawn: [],
    recalled: [],
    levers: [],
  }
  const timed = (what: keyof typeof times, work: () => unknown) => {
    const start = performance.now()
    work()
    times[what].push(performance.now() - start)
  }
  for (let round = 0; round < 60; round++) {
    const model = sampleModel(build, { tail: round % 9 })
    timed('plain', () => plainKernel(LEAST_SAMPLES))
    timed('drawn', () => runMonteCarlo(model))
    timed('recalled', () => runMonteCarlo(model, truths.options, truths))
    timed('levers', () => levers(round))
  }
  // The first rounds warm the compiler up.
  const settled = (what: keyof typeof times) => times[what].slice(20)
  say(`core: plain kernel, ${LEAST_SAMPLES} samples`, settled('plain'))
  say(`core: ± of the whole demo, ${LEAST_SAMPLES} samples`, settled('drawn'))
  say('core: ± at another setting, truths recalled', settled('recalled'))
  say(`core: ${LEAST_SAMPLES} settings of the levers`, settled('levers'))
  const ratio = (what: keyof typeof times) =>
    (percentile(settled('plain'), 0.5) / percentile(settled(what), 0.5)).toFixed(2)
  console.log(
    `rates beside the plain kernel: whole Monte Carlo ${ratio('drawn')}, recalled ${ratio('recalled')}, levers alone ${ratio('levers')}`,
  )
}

/** All checked figures of a build in all their states, at many settings of its levers at once. */
function leverRun(compiled: CompiledBuild, settings: number): (round: number) => void {
  const rows = 250
  const run = newRun(compiled.graph, rows)
  const wanted = compiled.lines.flatMap(({ checks }) =>
    checks.flatMap((plan) =>
      'certain' in plan
        ? []
        : plan.inStates.flatMap(({ value }) =>
            value === null || typeof value === 'number' ? [] : [value.column],
          ),
    ),
  )
  return (round) => {
    for (let done = 0; done < settings; done += rows) {
      for (const column of compiled.levers.values()) {
        const cells = run.fill(column)
        for (let row = 0; row < rows; row++) cells[row] = ((done + row + round) % 41) / 8 - 2.5
      }
      run.bring(wanted, rows)
    }
  }
}

/** From the key press to a laid-out page: what one frame has to hold. */
function benchLever(page: Page, lever: string): Promise<number[]> {
  return page.evaluate(async (id) => {
    const grip = document.querySelector<HTMLElement>(`[data-testid="lever-${id}"]`)
    if (!grip) throw new Error('no lever on the view')
    grip.focus()
    const taken: number[] = []
    for (let i = -60; i < 300; i++) {
      await new Promise(requestAnimationFrame)
      const key = (i + 60) % 40 < 20 ? 'ArrowUp' : 'ArrowDown'
      const start = performance.now()
      grip.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
      await Promise.resolve().then(() => new Promise<void>((resolve) => queueMicrotask(resolve)))
      document.body.getBoundingClientRect()
      // The first moves warm the compiler up, as any hand on the lever does.
      if (i >= 0) taken.push(performance.now() - start)
    }
    return taken
  }, lever)
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
    say('browser: a lever moves, page laid out again', times)
    await page.goto(address)
    await page.getByRole('button', { name: 'Open the tight bay' }).click()
    await page.getByTestId('board').waitFor()
    await page.waitForTimeout(8000)
    const board = await benchLever(page, 'fronts')
    say('browser: a lever moves 32 gaps on the board', board)
    await benchSaving(page, address)
    if (Math.max(percentile(times, 0.95), percentile(board, 0.95)) > FRAME_MS) {
      console.log(`over one frame of ${FRAME_MS} ms`)
      process.exitCode = 1
    }
  } finally {
    await browser.close()
    stop()
  }
}
