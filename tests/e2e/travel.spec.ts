import type { Page } from '@playwright/test'
import { grave } from './axe'
import { goWithin, openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'

async function openLinked(page: Page, view?: string) {
  await openCard(page, 'the linked axle', view)
  await expect(page.getByTestId('state')).toContainText(
    'Tight: slip left in shaft 1 at full droop is 13.4 mm',
  )
}
const curve = (page: Page, id: string) => page.locator(`[data-curve="${id}"]`)
const card = (page: Page, place: string) => page.locator(`[data-place="${place}"]`)

test('the line is looked at from droop to bump by click, keys and drag, and the worst place is told', async ({
  page,
}) => {
  await openLinked(page)
  await expect(card(page, 'droop')).toContainText('−130 mm')
  await expect(card(page, 'droop')).toContainText('4.3°')
  await expect(card(page, 'left-up')).toContainText('80 / 130 mm')
  const slip = curve(page, 'rear/slip-left/1')
  await expect(slip).toContainText('24.0 mm')
  await expect(slip).toContainText('tight, 3.4 mm at droop')
  // Between the named places: the spline is least engaged a little above ride height.
  await expect(curve(page, 'rear/spline-engaged/1')).toContainText('at +5.1 mm')
  await card(page, 'droop').click()
  await expect(slip).toContainText('13.4 mm')
  const ruler = page.getByRole('slider', { name: 'Travel of the wheels' })
  await expect(ruler).toHaveAttribute('aria-valuetext', '130.0 mm down')
  await ruler.focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('Shift+ArrowRight')
  await expect(ruler).toHaveAttribute('aria-valuenow', '-50')
  await expect(curve(page, 'rear/angle/1')).toContainText('1.27°')
  // The line is drawn there: its second joint lies lower than at bump.
  const here = page.getByTestId('travel-here')
  await expect(here).toContainText('50.0 mm down')
  const low = (await here.locator('circle.ring').nth(1).boundingBox())!.y
  await page.keyboard.press('End')
  await expect(ruler).toHaveAttribute('aria-valuetext', '80.0 mm up')
  await expect
    .poll(async () => (await here.locator('circle.ring').nth(1).boundingBox())!.y)
    .toBeLessThan(low - 8)
  const box = (await page.getByTestId('travel-ruler').boundingBox())!
  await page.mouse.move(box.x + box.width - 2, box.y + 10)
  await page.mouse.down()
  await page.mouse.move(box.x + (box.width * 130) / 210, box.y + 10, { steps: 4 })
  await page.mouse.up()
  // As near to ride height as a pointer is to a millimetre, and there by its card.
  await expect
    .poll(async () => Math.abs(Number(await ruler.getAttribute('aria-valuenow'))))
    .toBeLessThanOrEqual(2)
  await card(page, 'ride').click()
  await expect(slip).toContainText('24.0 mm')
  await page.getByRole('radio', { name: 'One up, one down' }).click()
  await expect(curve(page, 'rear/angle/2')).toContainText('at left up')
  // Both wheels for themselves: by keys from the middle to full droop on both sides.
  const map = page.getByTestId('cross-map')
  await page.mouse.move(4, 4)
  await map.focus()
  for (const key of ['ArrowLeft', 'ArrowDown']) for (let i = 0; i < 10; i++) await page.keyboard.press(key)
  await expect(page.getByTestId('cross-cell')).toContainText(
    'left −130 mm, right −130 mm: tight, nearest slip left in shaft 1 13.4 mm',
  )
})

test('the sheet tells the line at every place of its wheels', async ({ page }) => {
  await openLinked(page, 'sheet')
  const rows = page.getByTestId('sheet-travel').getByRole('row')
  await expect(rows.filter({ hasText: 'full droop' })).toContainText('−130 mm')
  await expect(rows.filter({ hasText: 'full droop' })).toContainText('13.4 mm')
  await expect(rows.filter({ hasText: 'ride height' })).toContainText('58.0 mm')
})

test('a strap is cut into the droop: the sweep ends there, it is kept over a reload and undone', async ({
  page,
}) => {
  await openLinked(page)
  await page.getByLabel('A strap ends the droop at').fill('95')
  await page.getByLabel('A strap ends the droop at').press('Enter')
  await expect(card(page, 'droop')).toContainText('−95 mm')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('slider', { name: 'Travel of the wheels' })).toHaveAttribute(
    'aria-valuemin',
    '-95',
  )
  await page.getByLabel('A strap ends the droop at').fill('a hand')
  await page.getByLabel('A strap ends the droop at').press('Enter')
  await expect(page.getByText('"hand"')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(card(page, 'droop')).toContainText('−130 mm')
})

test('links are chosen, their ends asked for, and one made a lever', async ({ page }) => {
  await openCard(page, 'the long van')
  await expect(page.getByTestId('state')).toContainText(/\d/)
  await goWithin(page, '/b/osier-van/travel')
  await expect(page.getByText('Nobody has told yet how far the wheels go')).toBeVisible()
  await page.getByRole('combobox', { name: 'Told by' }).click()
  await page.getByRole('option', { name: 'three links and a lateral bar' }).click()
  await page.getByRole('button', { name: 'Make the lateral bar a lever' }).click()
  await expect(page.getByText('Its length can be set')).toBeVisible()
  await page.getByRole('link', { name: 'Read them' }).click()
  await expect(
    page.getByRole('button', { name: 'Rear axle, left lower link, chassis end, station if you can' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByRole('button', { name: /left lower link/ })).toHaveCount(0)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, ownBrowser: true })

  test('the axle is jacked and read height by height', async ({ page }) => {
    await openDemo(page, 'travel')
    await page.getByLabel('Droop, from ride').fill('90')
    await page.getByLabel('Droop, from ride').press('Enter')
    await page.getByLabel('Bump, from ride').fill('70')
    await page.getByLabel('Bump, from ride').press('Enter')
    await page.getByRole('combobox', { name: 'Told by' }).click()
    await page.getByRole('option', { name: 'the arc of its leaf springs' }).click()
    await page.getByRole('combobox', { name: 'Told by' }).click()
    await page.getByRole('option', { name: 'a table, read at several heights' }).click()
    const guide = page.getByTestId('height-guide')
    const read = async (nose: string, station: string) => {
      await guide.getByLabel('Level on the pinion').fill(nose)
      await guide.getByLabel('Level on the pinion').blur()
      await guide.getByLabel('Station of the pinion').fill(station)
      await guide.getByLabel('Station of the pinion').blur()
      await guide.getByRole('button', { name: 'Next height' }).click()
    }
    await guide.getByRole('button', { name: 'Next height' }).click()
    await expect(guide.getByRole('alert')).toContainText('All three figures are needed.')
    await read('4.6', '2317')
    await expect(guide).toContainText('Let the axle down until the wheels are 90 mm below ride height.')
    await read('6.7', '2323')
    await expect(guide).toContainText('the wheels are 45 mm below ride height')
    await expect(guide).toContainText('One more height is needed.')
    await read('5.6', '2319')
    await expect(guide).toContainText('Jack the axle until the wheels are 35 mm above ride height.')
    await read('3.9', '2317')
    await read('3.4', '2318')
    const table = page.getByTestId('height-table')
    await expect(table.getByRole('row', { name: /^−90 mm/ })).toContainText('6.7°')
    await expect(table.getByRole('row', { name: /^70 mm/ })).toContainText('2318.0 mm')
    await saved(page)
    await page.reload()
    await expect(table.getByRole('row')).toHaveCount(6)
    // A slip yoke: its shaft keeps its length, and what it holds is told with what is missing for it.
    await expect(curve(page, 'rear/slip-left/1')).toContainText('22.0 mm')
    await expect(card(page, 'droop')).toContainText('−90 mm')
    expect(await grave(page)).toEqual([])
  })
})

test('the travel passes axe, also at night', async ({ page }) => {
  await openLinked(page)
  expect(await grave(page)).toEqual([])
  await page.emulateMedia({ colorScheme: 'dark' })
  expect(await grave(page)).toEqual([])
})
