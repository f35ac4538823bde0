import type { Page } from '@playwright/test'
import { grave } from './axe'
import { goWithin, openDemo, saved } from './bench'
import { expect, test } from './browser'

async function openHalfshafts(page: Page) {
  await openDemo(page)
  await goWithin(page, '/b/fen-tender/halfshafts')
  await page.getByRole('button', { name: 'New pattern' }).click()
  return page.locator('[data-pattern]').first()
}
async function type(page: Page, label: string, figure: string) {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(figure)
  await field.press('Enter')
}

test('two donor pieces tell the length, step by step; swapped marks are refused; it is kept and undone', async ({
  page,
}) => {
  const card = await openHalfshafts(page)
  await expect(card).toContainText('Told once it is known: the vehicle settled at ride height')
  await card.getByRole('checkbox', { name: /It stands at ride height/ }).click()
  await type(page, 'Outer joint to its cut end', '410')
  await type(page, 'Inner joint to its cut end', '330')
  await type(page, 'Overlap, bottomed', '162')
  await type(page, 'Overlap, pulled out', '120')
  await expect(card).toContainText('the marks are swapped')
  await type(page, 'Overlap, bottomed', '120')
  await type(page, 'Overlap, pulled out', '162')
  const result = page.getByTestId('pattern-result')
  // 410 + 330 less 120 and 162, and their middle.
  await expect(result).toContainText('Length to order 599.0 mm')
  await expect(result).toContainText('Way of the inner joint42.0 mm')
  await expect(result).toContainText('Overlap to clamp at141.0 mm')
  await type(page, 'Longer than the middle by', '4')
  await expect(result).toContainText('603.0 mm')
  await saved(page)
  await page.reload()
  await expect(result).toContainText('603.0 mm')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(result).toContainText('Length to order 599.0 mm')
  await type(page, 'Overlap it takes to clamp', '150')
  await expect(result).toContainText('Too little overlap is left to clamp')
  await page.getByRole('button', { name: 'Delete left shaft' }).click()
  await expect(page.locator('[data-pattern]')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(result).toContainText('599.0 mm')
})

test('the sheet for the machinist says what it is, in both units', async ({ page }) => {
  const card = await openHalfshafts(page)
  await card.getByRole('checkbox', { name: /It stands at ride height/ }).click()
  for (const [label, figure] of [
    ['Outer joint to its cut end', '410'],
    ['Inner joint to its cut end', '330'],
    ['Overlap, bottomed', '120'],
    ['Overlap, pulled out', '162'],
  ] as const)
    await type(page, label, figure)
  await page.evaluate(() => (window.print = () => undefined))
  await page.getByRole('button', { name: 'Print the sheet for the machinist' }).click()
  await page.emulateMedia({ media: 'print' })
  const sheet = page.getByTestId('machinist-sheet')
  await expect(sheet).toBeVisible()
  await expect(sheet).toContainText('Pattern, not a part')
  // 599 mm are 23 9/16" and a trace more.
  await expect(sheet).toContainText('599.0 mm (23 9/16" +)')
  await expect(card).toBeHidden()
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, ownBrowser: true })

  test('the steps fit, and pass axe', async ({ page }) => {
    const card = await openHalfshafts(page)
    await card.getByRole('checkbox', { name: /It stands at ride height/ }).tap()
    await expect(card.getByText('Measure both pieces')).toBeVisible()
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide).toBeLessThanOrEqual(390)
    expect(await grave(page)).toEqual([])
  })
})
