// npm run screenshots: one picture of every main view, from the demo builds, into docs/screenshots.
import { chromium, type Browser, type Page } from '@playwright/test'
import { CHROMIUM_ARGS } from '../playwright.config'
import { installChromium, CHROMIUM } from './chromium.mjs'
import { build, install } from './fresh.mjs'
import { serve } from './serve'

const PORT = 4680
/** Only these are taken, by their names (`npm run screenshots sheet`). */
const ASKED = process.argv.slice(2)
const OUT = 'docs/screenshots'
const BENCH = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
const DEMO = '/b/fen-tender'
const BAY = '/b/sedge-wagon'
const VAN = '/b/osier-van'
const LINKED = '/b/tansy-wagon'
const HATCH = '/b/medlar-hatch'
const CART = '/b/burdock-cart'

/** Demos besides the first: how each is opened, and what says that it stands. */
const OTHER_DEMOS = [
  [BAY, 'Open the tight bay', '[data-testid="board"]'],
  [VAN, 'Open the long van', '[data-testid="parts-drawing"]'],
  [LINKED, 'Open the linked axle', '[data-testid="travel-ruler"]'],
  [HATCH, 'Open the hatch', '[data-halfshaft]'],
  [CART, 'Open the yard cart', '[data-testid="slack-now"]'],
] as const

/** What day it is on every picture. */
const MONDAY = new Date('2026-11-30T18:30:00')

interface Shot {
  readonly file: string
  readonly path: string
  readonly phone?: boolean
  readonly dark?: boolean
  /** What a user does before the picture. */
  readonly prepare?: (page: Page) => Promise<void>
}

const SHOTS: readonly Shot[] = [
  { file: 'builds', path: '/' },
  { file: 'readings', path: `${DEMO}/readings?step=axis-level-pinion`, prepare: typePinion },
  { file: 'place', path: `${BAY}/place`, prepare: moveSideways },
  { file: 'chains', path: `${CART}/chains`, prepare: waitForSpacer },
  { file: 'way-in', path: `${BAY}/way-in`, prepare: findWay },
  { file: 'parts', path: `${VAN}/parts?part=shaft/1` },
  { file: 'travel', path: `${LINKED}/travel`, prepare: lookAtDroop },
  { file: 'make', path: `${BAY}/make` },
  { file: 'halfshafts', path: `${HATCH}/halfshafts`, prepare: waitForCure },
  { file: 'shift', path: `${VAN}/shift` },
  { file: 'cables', path: `${HATCH}/cables`, dark: true, prepare: lookAtBulkhead },
  { file: 'line', path: `${DEMO}/line` },
  { file: 'line-phone', path: `${DEMO}/line`, phone: true },
  { file: 'next-phone', path: `${BAY}/next`, phone: true, prepare: waitFor('lanes') },
  { file: 'plan', path: `${BAY}/plan`, prepare: waitFor('work-board') },
  { file: 'gates', path: `${BAY}/gates` },
  { file: 'orders', path: `${BAY}/orders`, prepare: waitFor('order-risk') },
  { file: 'log', path: `${BAY}/log` },
  { file: 'sheet', path: `${DEMO}/sheet` },
]

install()
build()
installChromium()
const server = await serve(PORT)
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
try {
  for (const shot of SHOTS.filter(({ file }) => ASKED.length === 0 || ASKED.includes(file)))
    await take(browser, shot)
} finally {
  await browser.close()
  server.stop()
}

async function take(browser: Browser, shot: Shot): Promise<void> {
  const context = await browser.newContext({
    viewport: shot.phone ? PHONE : BENCH,
    hasTouch: shot.phone ?? false,
    colorScheme: shot.dark ? 'dark' : 'light',
    locale: 'en-GB',
  })
  const page = await context.newPage()
  // A plan counts from this day on.
  await page.clock.setFixedTime(MONDAY)
  await page.goto(server.address)
  await page.getByRole('button', { name: 'Open the demo' }).click()
  await page.getByTestId('state').waitFor()
  for (const [demo, open, sign] of OTHER_DEMOS) {
    if (!shot.path.startsWith(demo)) continue
    await page.goto(server.address)
    await page.getByRole('button', { name: open }).click()
    await page.locator(sign).first().waitFor()
  }
  await page.goto(server.address + shot.path)
  await page.waitForTimeout(1200)
  // A picture without its ± and cures would show less than the view does.
  if (shot.path.startsWith(DEMO) && !shot.path.includes('readings'))
    await page.getByRole('button', { name: /^Pack the tail up/ }).waitFor()
  if (shot.path.startsWith(BAY)) await page.getByRole('button', { name: /^Pack both front/ }).waitFor()
  await shot.prepare?.(page)
  await page.waitForTimeout(400)
  await page.screenshot({ path: `${OUT}/${shot.file}.png` })
  await context.close()
  console.log(`${OUT}/${shot.file}.png`)
}

/** What puts a chain back into line, with its ±. */
async function waitForSpacer(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Set the axle sprocket/ }).waitFor({ timeout: 60_000 })
}

/** What the tool offers for a shaft that comes apart, with its ±. */
async function waitForCure(page: Page): Promise<void> {
  await page
    .getByRole('button', { name: /^Move the powertrain/ })
    .first()
    .waitFor({ timeout: 60_000 })
}

/** Where the slip is tight, with its ± and what would cure it. */
async function lookAtBulkhead(page: Page): Promise<void> {
  const picture = page.getByTestId('bulkhead-picture')
  await picture.waitFor()
  await picture.evaluate((drawn) => drawn.scrollIntoView({ block: 'end' }))
}

async function lookAtDroop(page: Page): Promise<void> {
  await page.getByRole('button', { name: /strap/i }).first().waitFor({ timeout: 60_000 })
  await page.locator('[data-place="droop"]').click()
}

/** What is worked out in a worker, once it is there. */
function waitFor(id: string): (page: Page) => Promise<void> {
  return async (page) => {
    await page.getByTestId(id).waitFor({ timeout: 60_000 })
    await page.waitForTimeout(600)
  }
}

/** On the way to a setting that holds: some gaps are free, others are still called out. */
async function moveSideways(page: Page): Promise<void> {
  await page.getByTestId('lever-sideways').focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowUp')
  await page.getByRole('button', { name: /^Pack both front/ }).waitFor()
}

async function findWay(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Find the way' }).click()
  await page.getByTestId('way-sentence').waitFor({ timeout: 60_000 })
  await page.getByRole('region', { name: 'Step by step' }).getByRole('button').nth(3).click()
  await page.evaluate(() => {
    window.scrollTo(0, 0)
  })
}

async function typePinion(page: Page): Promise<void> {
  await page.getByTestId('digits').fill('86.5')
}
