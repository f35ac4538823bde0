import { readFileSync } from 'node:fs'
import { grave } from './axe'
import { openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'
import type { Page } from '@playwright/test'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const sentence = (page: Page) => page.getByTestId('cable-sentence')
const held = (page: Page) => page.getByTestId('hole-held')
async function type(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).first().fill(text)
  await page.keyboard.press('Enter')
}

test('a cable of the hatch: its hole moved by key and dragged along the firewall, undone, kept over a reload, its template printed', async ({
  page,
}) => {
  await openCard(page, 'the hatch', 'cables')
  await expect(sentence(page)).toHaveText(
    'Its way takes 1016.8 mm, 6.0 mm of it loose for the rock of the engine; with 1010.0 mm the adjuster has 3.2 mm left.',
  )
  await expect(page.getByTestId('cable-table')).toContainText(
    /By the string that was read, less its corners\s*1007\.6 mm ± /,
  )
  expect(await grave(page)).toEqual([])

  const hole = page.getByTestId('cable-hole')
  await hole.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByLabel('Hole left of the mark', { exact: true })).toHaveValue('-160')
  await undo(page)
  await expect(page.getByLabel('Hole left of the mark', { exact: true })).toHaveValue('-150')

  // Dragged up and to the left it fits; what its way takes is said on the way.
  await hole.scrollIntoViewIfNeeded()
  const box = (await hole.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 150, y + 40, { steps: 4 })
  await expect(held(page)).toHaveText(
    /^Here its way takes \d+\.\d mm: the cable is \d+\.\d mm too (long|short)$|^Here its bends do not fit\.$/,
  )
  await page.mouse.move(x, y, { steps: 4 })
  await expect(held(page)).toHaveText('Here its way takes 1016.8 mm: fits, 3.2 mm of the adjuster left')
  await page.mouse.move(x + 20, y - 10, { steps: 3 })
  await page.mouse.up()
  await expect(page.getByLabel('Hole left of the mark', { exact: true })).not.toHaveValue('-150')
  await undo(page)
  await page.getByRole('button', { name: 'Move the hole there' }).click()
  await expect(sentence(page)).toHaveText(/the adjuster has (9\.\d|10\.0) mm left\.$/)
  await saved(page)
  await page.reload()
  await expect(sentence(page)).toHaveText(/the adjuster has (9\.\d|10\.0) mm left\.$/)

  await type(page, 'Bought length between its fixings', '980')
  await expect(sentence(page)).toHaveText(/^It is \d+\.\d mm too short, beyond what its adjuster gives/)
  await expect(page.getByTestId('hole-told')).toHaveText(
    /^Its hole is|^A cable of this length reaches nowhere/,
  )
  await type(page, 'Maker’s least radius', '150')
  await expect(page.getByTestId('cable-table')).toContainText('Tightest bend')
  await undo(page)
  await undo(page)

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'SVG', exact: true }).click(),
  ])
  const drawn = readFileSync((await file.path())!, 'utf8')
  expect(drawn).toContain('shift cable 22.0')
  expect(drawn).toContain('firewall, holes')
})

test('a cable from nothing on a phone: a corner, what is hot, a string laid along it', async ({ page }) => {
  await openDemo(page, 'cables')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: 'Add a cable' }).click()
  await expect(sentence(page)).toHaveText('shift cable: its way is not known yet.')
  await page.getByRole('button', { name: 'Another corner' }).click()
  await page.getByRole('button', { name: 'Something hot' }).click()
  await expect(page.getByTestId('cable-hot').getByRole('listitem')).toHaveCount(1)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await expect(page.locator('.waits')).toContainText('cable, fixing at the lever')
  await page.getByRole('link', { name: 'Read its places' }).click()
  await expect(page.getByRole('heading', { name: 'cable, fixing at the lever' })).toBeVisible()
  await page.goBack()
  await page.getByRole('link', { name: 'Read a string along its way' }).click()
  await expect(page.getByRole('heading', { name: 'String along shift cable' })).toBeVisible()
  await page.getByTestId('digits').fill('1180')
  await page.getByTestId('digits').press('Enter')
  await saved(page)
  await page.goto(page.url().replace(/readings.*/, 'cables'))
  await page.getByRole('button', { name: 'Delete shift cable', exact: true }).click()
  await expect(page.getByText('No cable yet.')).toBeVisible()
})
