import { expect, type Page } from '@playwright/test'
import { layDown, storedOf, type Stored } from './stored'

interface Opened {
  readonly stored: Stored
  readonly at: string
}

/** What a demo's card stores, by the card; a browser that is fresh for each test need not be clicked through again. */
const opened = new Map<string, Opened>()

/**
 * Opens a demo in a fresh browser on the view its card leads to, or on another.
 *
 * @param card as its button names it, such as "the long van"
 */
export async function openCard(page: Page, card: string, view?: string): Promise<void> {
  const known = opened.get(card)
  const isLaid = known !== undefined && (await layDown(page, known.stored))
  const { at } = isLaid ? known : await openByClick(page, card)
  const to = view ? at.replace(/(\/b\/[^/]+).*/, `$1/${view}`) : at
  if (isLaid) await page.goto(to)
  else if (to !== at) await goWithin(page, to)
}

async function openByClick(page: Page, card: string): Promise<Opened> {
  await page.goto('/')
  await page.getByRole('button', { name: `Open ${card}`, exact: true }).click()
  await page.waitForURL(/\/b\//)
  await saved(page)
  const { pathname, search } = new URL(page.url())
  const there = { stored: await storedOf(page), at: pathname + search }
  opened.set(card, there)
  return there
}

/** Opens the demo build on its line view, in a fresh browser. */
export async function openDemo(page: Page, view?: string): Promise<void> {
  await openCard(page, 'the demo', view)
  await expect(page.getByTestId('state')).toContainText('Out: torsional under drive is 699 rad/s²')
}

/** Takes a command from the list by the start of its name. */
export async function takeCommand(page: Page, name: string): Promise<void> {
  await page.keyboard.press('Control+k')
  await page.getByPlaceholder('What do you want to do?').fill(name)
  await page
    .getByRole('option', { name: new RegExp(`^${name}`) })
    .first()
    .click()
}

/** Opens a drawer from the list of commands. */
export async function openDrawer(page: Page, name: string): Promise<void> {
  await takeCommand(page, name)
  await expect(page.getByRole('complementary', { name: new RegExp(`^${name}`) })).toBeVisible()
}

/** Starts an empty build and ends on its measuring page. */
export async function newBuild(page: Page, name: string): Promise<void> {
  await page.goto('/')
  await page.getByRole('button', { name: 'New build' }).click()
  await page.getByLabel('Vehicle or name of the build').fill(name)
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('heading', { name: 'Chassis, fore and aft' })).toBeVisible()
}

interface RoutedApp {
  readonly config: {
    readonly globalProperties: { readonly $router: { push: (path: string) => Promise<unknown> } }
  }
}

/** Goes to another place of the application without loading it anew, as its own links do. */
export async function goWithin(page: Page, to: string): Promise<void> {
  // After a reload the page is there before the application.
  await page.waitForFunction(() => '__vue_app__' in (document.querySelector('#__nuxt') ?? {}))
  await page.evaluate(async (path) => {
    const root = document.querySelector('#__nuxt') as unknown as { __vue_app__: RoutedApp }
    await root.__vue_app__.config.globalProperties.$router.push(path)
    // The view is there with the next frame.
    await new Promise((done) => requestAnimationFrame(() => setTimeout(done)))
  }, to)
}

/** Waits until everything on screen is stored. */
export const saved = (page: Page) => expect(page.getByTestId('saved')).toContainText('saved')

/** The row of a check, by the start of its label. */
export const checkRow = (page: Page, label: string) =>
  page.getByRole('tabpanel').getByRole('button', { name: new RegExp(`${label}`) })

/** A readings’ raw figures, by the title of its row. */
export const readingRow = (page: Page, title: string) => page.locator('.row', { hasText: title }).first()

/** What unfolds how a reading is taken, and says it folded. */
export const methodOf = (page: Page) => page.getByRole('button', { name: /^How it is read:/ })

/** The demo's first cure: two levers, and it holds with its ±. */
export const cureButton = (page: Page) =>
  page.getByRole('button', { name: /^Pack the tail up 5\.0 mm \+ 1\.5° wedge, nose down/ })

/** Opens the tight bay on its board. */
export async function openBay(page: Page, view?: string): Promise<void> {
  await openCard(page, 'the tight bay', view)
  await expect(page.getByTestId('state')).toContainText('sump to steering rack is 9.0 mm')
}

/** The row of a gap under the board. */
export const gapRow = (page: Page, name: string) =>
  page.getByRole('tabpanel').locator('button[aria-expanded]', { hasText: name })
