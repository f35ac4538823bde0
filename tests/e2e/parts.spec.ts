import type { Page } from '@playwright/test'
import { checkRow, goWithin, openDemo, saved } from './bench'
import { expect, test } from './browser'

const partsOf = async (page: Page) => {
  await openDemo(page, 'parts')
  return page.getByTestId('part-sheet')
}
const figure = (page: Page, word: string) => page.locator(`[data-dimension="${word}"]`)
const part = (page: Page, word: string) => page.locator(`[data-part="${word}"]`)

test(
  'a figure is typed on the part it stands on, refused with its reason, taken out and undone',
  { tag: '@proved' },
  async ({ page }) => {
    await partsOf(page)
    await expect(figure(page, 'shaft/0 joint-to-joint')).toContainText('1084.6 mm ± 2.8 mm')
    const setIn = figure(page, 'driving-end set-in')
    await setIn.getByRole('button', { name: 'set-in, 22.0 mm: change' }).click()
    await setIn.getByLabel('set-in').fill('a thumb')
    await setIn.getByLabel('set-in').press('Enter')
    await expect(setIn.getByRole('alert')).toContainText('"thumb"')
    await setIn.getByLabel('set-in').fill('8')
    await setIn.getByLabel('set-in').press('Enter')
    await expect(setIn).toContainText('8.0 mm')
    await goWithin(page, '/b/fen-tender/line')
    await expect(checkRow(page, 'slip yoke set-in')).toContainText('out by 2.0 mm')
    await goWithin(page, '/b/fen-tender/parts')
    await setIn.getByRole('button').click()
    await setIn.getByLabel('set-in').fill('')
    await setIn.getByLabel('set-in').press('Enter')
    await expect(setIn).toContainText('holds up: room to come up, and lengths from the shaft’s end')
    await expect(page.getByTestId('state')).toContainText('Out: torsional')
    await saved(page)
    await page.reload()
    await expect(setIn.getByRole('button')).toHaveText('?')
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await page.getByRole('button', { name: 'Undo', exact: true }).click()
    await expect(setIn).toContainText('22.0 mm')
  },
)

test('where a computed length comes from is told from the drawing', async ({ page }) => {
  await partsOf(page)
  await figure(page, 'shaft/0 joint-to-joint').getByRole('button').click()
  await expect(page.getByRole('dialog')).toContainText('1084.6 mm')
  await expect(page.getByRole('dialog')).toContainText('2317')
})

test('by keyboard alone: from part to part, a centre bearing put in and its joint taken out again', async ({
  page,
}) => {
  const sheet = await partsOf(page)
  await part(page, 'driving').focus()
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight')
  await expect(part(page, 'joint/0')).toBeFocused()
  await expect(sheet).toContainText('universal joint')
  await page.keyboard.press('ArrowRight')
  await page.getByRole('button', { name: 'Between joint 1 and shaft', exact: true }).press('Enter')
  await expect(page.getByRole('menuitem', { name: /^Centre bearing/ })).toBeFocused()
  await page.keyboard.press('Enter')
  // One shaft more, whose length waits for the bearing to be read.
  await expect(part(page, 'bearing/0')).toBeVisible()
  await expect(page.getByTestId('state')).toContainText('Not settled')
  await expect(figure(page, 'shaft/1 joint-to-joint')).toContainText('waits for')
  await expect(figure(page, 'bearing/0 overhang')).toContainText('60.0 mm')
  await part(page, 'joint/1').focus()
  await page.keyboard.press('Delete')
  await expect(part(page, 'bearing/0')).toHaveCount(0)
  await expect(figure(page, 'shaft/0 joint-to-joint')).toContainText('1084.6 mm')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(part(page, 'bearing/0')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(part(page, 'bearing/0')).toHaveCount(0)
  await expect(page.getByTestId('state')).toContainText('699 rad/s²')
})

test('a joint is made a flexible disc: out without its pilot, moved along the line by key and by drag', async ({
  page,
}) => {
  const sheet = await partsOf(page)
  await part(page, 'joint/0').focus()
  await sheet.getByRole('combobox', { name: 'Kind' }).click()
  await page.getByRole('option', { name: 'flexible disc' }).click()
  await expect(page.getByTestId('state')).toContainText(
    'Out: pilot of joint 1, a flexible disc without a centring pilot',
  )
  await sheet.getByRole('checkbox', { name: 'It has a centring pilot' }).click()
  await expect(page.getByTestId('state')).not.toContainText('pilot')
  await part(page, 'joint/0').focus()
  await page.keyboard.press('Alt+ArrowRight')
  await expect(part(page, 'joint/1')).toHaveAttribute('aria-label', /flexible disc, with pilot/)
  await expect(part(page, 'joint/0')).toHaveAttribute('aria-label', /universal joint/)
  const [from, to] = await Promise.all([
    part(page, 'joint/1').boundingBox(),
    part(page, 'joint/0').boundingBox(),
  ])
  if (!from || !to) throw new Error('no joints are drawn')
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(to.x + to.width / 2 + 20, to.y + to.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(part(page, 'joint/0')).toHaveAttribute('aria-label', /flexible disc, with pilot/)
})

test('a tube is taken from those that would do, with its mass and how near it comes', async ({ page }) => {
  await partsOf(page)
  const tubes = page.getByTestId('tubes')
  await expect(tubes).toContainText('594 N·m · 3 600 rev/min · 1084.6 mm'.replace(' ', '\u202f'))
  // ρ·A·L = 7850 · π(25² − 23²)·10⁻⁶ · 1.0846
  await expect(tubes.getByRole('row', { name: /ø50 × 2/ })).toContainText('2.57 kg')
  await tubes.getByRole('button', { name: 'Take ø63 × 2' }).click()
  await expect(page.getByRole('button', { name: 'ø63 × 2', exact: true })).toBeVisible()
  await expect(tubes.getByRole('row', { name: /ø63 × 2/ })).toContainText('this one')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: 'ø76 × 2', exact: true })).toBeVisible()
})

test('a new line starts from a layout, is drawn and judged beside the first, and goes again', async ({
  page,
}) => {
  await partsOf(page)
  await page.getByRole('button', { name: 'New line' }).click()
  await page.getByRole('button', { name: 'Start with Front shaft, running forward' }).click()
  const lines = page.getByRole('navigation', { name: 'Lines' })
  await expect(lines.getByRole('button', { name: 'front shaft' })).toHaveAttribute('aria-pressed', 'true')
  await expect(figure(page, 'slip/0 closed')).toContainText('holds up: slip left')
  await expect(page.getByTestId('parts-drawing')).toContainText('2')
  await page.getByLabel('Name of the line').fill('front shaft, short')
  await page.getByLabel('Name of the line').press('Enter')
  await expect(lines.getByRole('button', { name: 'front shaft, short' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await saved(page)
  await page.reload()
  await expect(lines.getByRole('button', { name: 'front shaft, short' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.getByRole('button', { name: 'Delete front shaft, short' }).click()
  await expect(lines).toHaveCount(0)
  await expect(page.getByTestId('state')).toContainText('Out: torsional under drive is 699 rad/s²')
})

test('a build begins with another layout: its bearing is asked for, its seat measured when it is wished', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New build' }).click()
  await page.getByLabel('Vehicle or name of the build').fill('Two pieces')
  await page.getByRole('radio', { name: 'Two pieces, centre bearing' }).check()
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('button', { name: 'Rear shaft, centre bearing, height' })).toBeVisible()
  const { pathname } = new URL(page.url())
  const seat = page.getByRole('button', { name: 'Rear shaft, centre bearing, seat, along' })
  await expect(seat).toHaveCount(0)
  await goWithin(page, `${pathname.replace(/readings$/, 'parts')}?part=bearing/0`)
  await expect(figure(page, 'slip/1 closed')).toContainText('holds up: slip left')
  const sheet = page.getByTestId('part-sheet')
  await sheet.getByRole('combobox', { name: 'Axis of its seat' }).click()
  await page.getByRole('option', { name: 'measured: an axis of its own' }).click()
  await saved(page)
  await page.reload()
  await sheet.getByRole('link', { name: 'read it under Readings' }).click()
  await expect(seat).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(seat).toHaveCount(0)
})
