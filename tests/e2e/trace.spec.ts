import { readFile } from 'node:fs/promises'
import { unzipSync } from 'fflate'
import type { Page } from '@playwright/test'
import { photograph } from '../support/photograph'
import { goWithin, openBay, saved } from './bench'
import { grave } from './axe'
import { expect, test } from './browser'

const PHOTO = (buffer: Buffer) => ({ name: 'filter side.png', mimeType: 'image/png', buffer })

/** Opens the tracing page of the air filter with a photograph. */
async function openTrace(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Parts' }).click()
  await page.getByRole('button', { name: 'Change air filter' }).click()
  await page.getByRole('link', { name: 'Trace over a photo' }).click()
  await expect(page.getByText('No photograph yet')).toBeVisible()
}

/** Taps the picture at a place of its 1200 × 800 px. */
async function tap(page: Page, x: number, y: number): Promise<void> {
  const box = (await page.getByTestId('trace-picture').boundingBox())!
  await page.mouse.click(box.x + (x / 1200) * box.width, box.y + (y / 800) * box.height)
}

/** Types into a field and leaves it. */
async function type(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(text)
  await page.getByLabel(label, { exact: true }).press('Tab')
}
const corners = (page: Page) =>
  page
    .getByRole('complementary', { name: 'air filter' })
    .getByLabel('Corners')
    .evaluateAll((fields) => fields.map((field) => (field as HTMLTextAreaElement).value.split('\n')))

test('a part is traced over a photograph: scaled by A and B, kept, undone, and out and in with the zip', async ({
  page,
  browser,
}) => {
  await openBay(page)
  await openTrace(page)
  const picker = page.getByLabel('Take or choose a photograph')
  await picker.setInputFiles({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(page.getByRole('alert')).toContainText(
    'notes.jpg was not taken: it is no picture that this browser can read.',
  )
  await picker.setInputFiles(PHOTO(await photograph(page.context())))
  await expect(page.getByTestId('trace-picture')).toBeVisible()
  await expect(
    page.getByText('Still to be told: A on the picture, B: on the picture, the place of A'),
  ).toBeVisible()

  // 800 px are 400 mm; A stands at station 100, height 50.
  await tap(page, 200, 600)
  await tap(page, 1000, 600)
  await type(page, 'A, station', '100')
  await type(page, 'A, height', '50')
  await type(page, 'A to B, measured', '400')
  await expect(page.getByTestId('trace-scale')).toContainText('turned by 0.0°')
  for (const [x, y] of [
    [300, 600],
    [300, 280],
  ] as const)
    await tap(page, x, y)
  await expect(page.getByText('From the third corner on')).toBeVisible()
  await saved(page)

  // Two corners and the scale are there after a reload.
  await page.reload()
  await expect(page.getByText('2 corners')).toBeVisible()
  await tap(page, 900, 280)
  await tap(page, 900, 600)
  await expect(page.getByText('4 corners')).toBeVisible()

  await type(page, 'From the lens to A and B', '3000')
  await type(page, 'The part is nearer by', '100')
  // 600 px are 300 mm: a thirtieth of it too long.
  await expect(page.getByTestId('trace-depth')).toHaveText(
    /From 3000\.0 mm, what is 100\.0 mm nearer than A and B looks 3\.4 % larger: this outline comes out (9\.[89]|10\.[0-2]) mm too long/,
  )
  await saved(page)
  expect(await grave(page)).toEqual([])
  await page.getByRole('link', { name: 'Back to the part' }).click()
  const near = (text: string, wanted: readonly [number, number]) =>
    text
      .trim()
      .split(/\s+/)
      .forEach((figure, i) => expect(Math.abs(Number(figure) - wanted[i]!)).toBeLessThan(1.2))
  const read = async (lines: readonly (readonly [number, number])[]) => {
    await expect(page.getByRole('link', { name: 'Go on tracing' })).toBeVisible()
    const all = await corners(page)
    lines.forEach((line, i) => near(all.at(-1)![i]!, line))
  }
  await read([
    [150, 50],
    [150, 210],
    [450, 210],
    [450, 50],
  ])

  // Scaled anew, the corners go along: A to B is 800 mm, twice as far.
  await page.getByRole('link', { name: 'Go on tracing' }).click()
  await type(page, 'A to B, measured', '800')
  await page.getByRole('link', { name: 'Back to the part' }).click()
  await read([
    [200, 50],
    [200, 370],
    [800, 370],
    [800, 50],
  ])
  await saved(page)

  // Out in a zip with its picture, and in again elsewhere.
  await page.goto('/')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export Sedge wagon' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('sedge-wagon.lurvan.zip')
  const zip = await readFile((await download.path())!)
  const files = unzipSync(new Uint8Array(zip))
  expect(Object.keys(files)).toEqual([
    'sedge-wagon.lurvan.json',
    expect.stringMatching(/^sedge-wagon\.photos\/.+\.jpg$/),
  ])
  const elsewhere = await browser.newContext()
  const other = await elsewhere.newPage()
  await other.goto(new URL('/', page.url()).href)
  await other
    .getByLabel('Import files')
    .setInputFiles({ name: 'sedge.zip', mimeType: 'application/zip', buffer: zip })
  await other.getByText('1 build was imported').first().waitFor()
  await other
    .getByRole('link', { name: /Sedge wagon/ })
    .first()
    .click()
  await other.waitForURL(/\/b\//)
  await other.goto(`${other.url().replace(/(\/b\/[^/]+).*/, '$1')}/place?drawer=bay&at=air-filter`)
  await other.getByRole('link', { name: 'Go on tracing' }).click()
  await expect(other.getByTestId('trace-picture')).toBeVisible()
  await expect(other.getByText('4 corners')).toBeVisible()
  await elsewhere.close()

  // Undo goes back through it, down to no photograph.
  await goWithin(page, '/b/sedge-wagon/place')
  const back = page.getByRole('button', { name: 'Undo' })
  await expect(back).toBeEnabled()
  for (let step = 0; step < 20 && (await back.isEnabled()); step++) {
    await page.keyboard.press('Control+z')
    await saved(page)
  }
  await goWithin(page, '/b/sedge-wagon/trace?part=air-filter')
  await expect(page.getByText('No photograph yet')).toBeVisible()
})

test('by keys alone a corner is set to the pixel, moved and taken away; the picture of a bare file is asked for', async ({
  page,
}) => {
  await openBay(page)
  await openTrace(page)
  await page.getByLabel('Take or choose a photograph').setInputFiles(PHOTO(await photograph(page.context())))
  const picture = page.getByTestId('trace-picture')
  await picture.focus()
  // The cross begins in the middle, at 600, 400.
  for (let i = 0; i < 2; i++) await picture.press('Shift+ArrowLeft')
  await picture.press('Enter')
  await expect(page.getByRole('button', { name: 'A: 560, 400 px' })).toBeVisible()
  for (let i = 0; i < 4; i++) await picture.press('Shift+ArrowRight')
  await picture.press('Enter')
  const second = page.getByRole('button', { name: 'B: 640, 400 px' })
  await second.focus()
  await second.press('ArrowUp')
  await page.getByRole('button', { name: 'B: 640, 399 px' }).press('ArrowDown')

  // Both places are known: it is turned until both fit.
  await type(page, 'A, station', '0')
  await type(page, 'A, height', '0')
  await type(page, 'B, station', '400')
  await type(page, 'B, height', '400')
  await expect(page.getByTestId('trace-scale')).toContainText('turned by 45.0°')
  await picture.focus()
  await picture.press('Enter')
  await picture.press('Shift+ArrowUp')
  await picture.press('Enter')
  await picture.press('Shift+ArrowLeft')
  await picture.press('Enter')
  // 20 px up from B, at 7.071 mm a pixel and 45 degrees: 100 mm forward and 100 mm up.
  const corner = page.getByRole('button', { name: /^Corner 2: 300 +500$/ })
  await expect(corner).toBeVisible()
  await corner.focus()
  await corner.press('Delete')
  await expect(page.getByText('2 corners')).toBeVisible()
  await saved(page)

  // A build that came as a bare file has no picture here.
  await page.evaluate(async () => {
    const opened = indexedDB.open('lurvan')
    await new Promise((done) => (opened.onsuccess = done))
    const cleared = opened.result.transaction('photos', 'readwrite').objectStore('photos').clear()
    await new Promise((done) => (cleared.onsuccess = done))
    opened.result.close()
  })
  await page.reload()
  await expect(page.getByText('Its picture is not in this browser')).toBeVisible()
  await page.getByLabel('Take or choose a photograph').setInputFiles(PHOTO(await photograph(page.context())))
  await expect(picture).toBeVisible()
  await expect(page.getByTestId('trace-scale')).toContainText('turned by 45.0°')
})
