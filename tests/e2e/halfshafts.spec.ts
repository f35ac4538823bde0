import type { Page } from '@playwright/test'
import { grave } from './axe'
import { goWithin, openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'

async function openHalfshafts(page: Page) {
  await openDemo(page, 'halfshafts')
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
  await page.getByRole('button', { name: 'Sheet for the machinist' }).click()
  const sheet = page.getByTestId('order-paper')
  await expect(sheet).toContainText('pattern only, not to be driven')
  // 599 mm are 23 9/16" and a trace more.
  await expect(sheet).toContainText('599.0 mm (23 9/16" +)')
  await expect(sheet).toContainText('overlap 141.0 mm (5 9/16" −)')
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

async function openHatch(page: Page, view?: string) {
  await openCard(page, 'the hatch', view)
  await expect(page.getByTestId('state')).toContainText(
    'Out: left halfshaft: plunge left of shaft 1 at 4.1 mm down is −1.4 mm, out by 4.4 mm',
  )
}
const shaft = (page: Page, id: string) => page.locator(`[data-halfshaft="${id}"]`)

test(
  'both schools tell a length; the one that is taken holds, is kept over a reload and undone',
  { tag: '@proved' },
  async ({ page }) => {
    await openHatch(page)
    const left = shaft(page, 'left-half')
    await expect(left.getByTestId('halfshaft-length')).toContainText('Length to order 503.0 mm')
    await expect(left.locator('[data-school="middle"]')).toContainText('520.8 mm')
    await expect(left.locator('[data-school="ride"]')).toContainText('522.4 mm')
    await expect(left).toContainText('Any length from 507.4 mm to 534.1 mm keeps clear of both stops')
    await expect(left).toContainText('519.1 mm at 70.0 mm up, rack to the right')
    // As sure as eight points read by tape.
    await expect(left.locator('[data-school="middle"] .figure')).toHaveText(/520\.8 mm ±2\.\d mm/)
    await left.getByRole('button', { name: 'Take 520.8 mm' }).click()
    await expect(left.getByTestId('halfshaft-length')).toContainText('Length to order 520.8 mm')
    await expect(page.getByTestId('state')).not.toContainText('Out')
    await saved(page)
    await page.reload()
    await expect(left.getByTestId('halfshaft-length')).toContainText('520.8 mm')
    // A joint that gives little: no length keeps clear, and it is told so.
    const reach = left.getByLabel('Inner joint plunges, either way')
    await reach.fill('4')
    await reach.press('Enter')
    await expect(left).toContainText('No length keeps clear of both stops')
    await reach.fill('-2')
    await reach.press('Enter')
    await expect(left).toContainText('No length keeps clear of both stops')
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(left.getByTestId('halfshaft-length')).toContainText('503.0 mm')
    expect(await grave(page)).toEqual([])
  },
)

test('a hub is followed through its travel straight ahead and at both ends of its rack', async ({ page }) => {
  await openHatch(page)
  await shaft(page, 'left-half').getByRole('link', { name: 'How the left hub moves' }).click()
  await expect(page.locator('[data-place="droop"]')).toContainText('11.1°')
  await expect(page.locator('[data-place="left-lock"]')).toContainText('25.4°')
  await page.locator('[data-place="right-lock"]').click()
  await expect(page.getByRole('radio', { name: 'Rack to the right' })).toBeChecked()
  const here = page.getByTestId('travel-here')
  await expect(here).toContainText('27.0')
  await page.getByRole('slider', { name: 'Travel of the wheels' }).focus()
  await page.keyboard.press('Home')
  await expect(here).toContainText('85.0 mm down')
  const plunge = page.locator('[data-curve="left-half/plunge-left/1"]')
  await expect(plunge).toContainText('out by 3.1 mm at −11.0 mm')
  // Droop ends earlier by a strap: the joints turn less far.
  const strap = page.getByLabel('A strap ends the droop at')
  await strap.fill('50')
  await strap.press('Enter')
  await expect(page.locator('[data-place="droop"]')).toContainText('−50 mm')
  await expect(page.locator('[data-place="droop"]')).toContainText('7.2°')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.locator('[data-place="droop"]')).toContainText('11.1°')
})

test('the order of both shafts is one page, in both units, with what the travel asks for', async ({
  page,
}) => {
  await openHatch(page)
  await page.getByRole('button', { name: 'Order sheet' }).click()
  const order = page.getByTestId('order-paper')
  await expect(order).toContainText('503.0 mm (19 13/16" −)')
  await expect(order).toContainText('steepest outer joint28.3°, 85.0 mm down, rack to the left')
  await expect(order).toContainText('local rules come first')
  // The length on the card lies outside what keeps clear, and nobody is to order it unwarned.
  await expect(order.getByText('do not order it')).toHaveCount(1)
  await page.emulateMedia({ media: 'print' })
  await expect(order).toBeVisible()
  await expect(page.getByLabel('Shop', { exact: true })).toBeHidden()
})

test.describe('measured on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, ownBrowser: true })

  test('a halfshaft is measured at three heights, one after the other', async ({ page }) => {
    await openHatch(page, 'travel?axle=left-hub&line=left-half')
    await page.getByRole('combobox', { name: 'Told by' }).tap()
    await page.getByRole('option', { name: 'its halfshaft, measured at three heights' }).tap()
    const guide = page.getByTestId('length-guide')
    for (const [what, figure] of [
      ['Vehicle at ride height', '522'],
      ['Let the wheel down until it is 85 mm below', '518.5'],
      ['Jack the wheel until it is 70 mm above', '519'],
    ] as const) {
      await expect(guide).toContainText(what)
      const field = guide.getByLabel('Joint centre to joint centre')
      await field.fill(figure)
      await field.press('Tab')
      await guide.getByRole('button').tap()
    }
    await expect(page.getByTestId('length-table')).toContainText('518.5 mm')
    await saved(page)
    await goWithin(page, '/b/medlar-hatch/halfshafts')
    const left = shaft(page, 'left-half')
    await expect(left).toContainText('Shortest518.5 mm at 85.0 mm down')
    await expect(left.locator('[data-school="ride"]')).toContainText('522.0 mm')
    const wide = await page.evaluate(() => document.documentElement.scrollWidth)
    expect(wide).toBeLessThanOrEqual(390)
  })
})
