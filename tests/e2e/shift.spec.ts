import { grave } from './axe'
import { openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'
import type { Page } from '@playwright/test'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const sentence = (page: Page) => page.getByTestId('shift-sentence')
const row = (page: Page, k: number) => page.getByTestId('shift-table').locator('tbody tr').nth(k)
async function type(page: Page, label: string, text: string, within = 0): Promise<void> {
  await page.getByLabel(label, { exact: true }).nth(within).fill(text)
  await page.keyboard.press('Enter')
}
async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).first().click()
  await page.getByRole('option', { name: option, exact: true }).click()
}

test('the column lever: set in a gate, given a rod, taken to another hole, undone, kept over a reload', async ({
  page,
}) => {
  await openCard(page, 'the long van', 'shift')
  await expect(sentence(page)).toHaveText(/^Every gate is caught: worst is P, 0\.6° off;/)
  await expect(row(page, 1)).toContainText('7.4° up')
  await expect(row(page, 1)).toContainText('0.0°')
  await expect(row(page, 4)).toContainText('gearbox alone')
  // Read to tenths, the rod set on the vehicle: little is left to doubt.
  await expect(row(page, 0)).toContainText(/0\.6° forward ± 0\.\d+°/)
  await row(page, 2).getByRole('button', { name: 'N' }).click()
  await expect(row(page, 2).getByRole('button', { name: 'N' })).toHaveAttribute('aria-pressed', 'true')
  expect(await grave(page)).toEqual([])

  await choose(page, 'Set on the vehicle in gate', 'it has its length')
  await expect(sentence(page)).toHaveText('No rod yet: the best one is told below.')
  await expect(page.getByTestId('shift-rod')).toHaveText(
    'A rod of 527.1 mm from pin to pin errs least: 0.4°.',
  )
  await page.getByRole('button', { name: 'Set the rod to 527.1 mm' }).click()
  await expect(sentence(page)).toHaveText(/^Every gate is caught: worst is \w, 0\.4° off;/)
  await type(page, 'From pin to pin', '540')
  await expect(sentence(page)).toHaveText(/^\w is not caught: 1\d\.\d° off;/)
  await type(page, 'From pin to pin', '700')
  await expect(sentence(page)).toHaveText(/^Cannot reach P: the rod misses it by \d+\.\d mm\.$/)
  await expect(page.getByTestId('state')).toContainText('Out')
  await undo(page)
  await undo(page)
  await expect(sentence(page)).toHaveText(/worst is \w, 0\.4° off/)
  await type(page, 'Bearing to pin', '50', 1)
  await expect(sentence(page)).toHaveText(/is not caught/)
  await expect(page.getByTestId('shift-holes').locator('li').first()).toContainText('gearbox 50.0 mm')
  await saved(page)
  await page.reload()
  await expect(sentence(page)).toHaveText(/is not caught/)
  await undo(page)
  await expect(sentence(page)).toHaveText(/worst is \w, 0\.4° off/)

  await page.getByRole('button', { name: 'The slot' }).click()
  await type(page, 'Lets it beyond the first gate', '1')
  await type(page, 'Lets it beyond the last', '9')
  await type(page, 'Read so far from the bearing', '150')
  await expect(page.getByTestId('shift-slot')).toHaveText(
    /^For 1\.5 mm beyond both end detents and the play, file the slot \d\.\d mm beyond P\.$/,
  )
})

test('a linkage from nothing on a phone: its gates are asked one by one, and tell what the rod has to be', async ({
  page,
}) => {
  await openDemo(page, 'shift')
  await page.getByRole('button', { name: 'Add a shift linkage' }).click()
  for (const gate of ['1', '2', 'D', 'N'])
    await page.getByRole('button', { name: `Delete gate ${gate}`, exact: true }).click()
  await expect(page.getByRole('button', { name: 'Delete gate P', exact: true })).toHaveCount(0)
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(sentence(page)).toHaveText('shift rod is not known yet.')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.getByRole('link', { name: 'Read the gates' }).click()
  const read = async (title: string, figure: string, way: string) => {
    await expect(page.getByRole('heading', { name: title })).toBeVisible()
    await page.getByTestId('digits').fill(figure)
    await page.getByRole('radio', { name: way }).click()
    await page.getByTestId('digits').press('Enter')
  }
  await read('Shift rod, the lever in P', '12.4', 'its end leans back')
  await read('Shift rod, the gearbox’s arm in P', '11.8', 'its end leans back')
  await read('Shift rod, the lever in R', '2.1', 'its end leans forward')
  await saved(page)
  await page.goto(page.url().replace(/readings.*/, 'shift'))
  await expect(row(page, 0)).toContainText('–')
  await expect(page.locator('.waits')).toContainText('bearing of the lever')
  // It goes on where nothing was read yet.
  await page.getByRole('link', { name: 'Read the gates' }).click()
  await expect(page.getByRole('heading', { name: 'Shift rod, the gearbox’s arm in R' })).toBeVisible()
})

test('locks are tried gate by gate, a rod is freed as a lever, a knob keeps a hand’s gap', async ({
  page,
}) => {
  await openCard(page, 'the long van', 'shift')
  await expect(page.getByTestId('lock-faults')).toHaveCount(0)
  const drive = page.getByTestId('locks-d')
  await drive.getByLabel('The engine starts', { exact: true }).click()
  await page.getByRole('option', { name: 'yes', exact: true }).click()
  await expect(page.getByTestId('lock-faults')).toHaveText('D: the engine starts in it, and must not.')
  await expect(page.getByTestId('state')).toContainText('Out')
  await undo(page)
  await expect(page.getByTestId('lock-faults')).toHaveCount(0)

  await page.getByRole('checkbox', { name: 'a shift rod, longer or shorter' }).check()
  await page.getByRole('button', { name: 'column shift, rod, longer' }).click()
  // Half a millimetre on an arm of 60.
  await expect(row(page, 1)).toContainText('0.5°')
  await saved(page)

  // A pin is dragged out along its arm.
  await page.getByRole('checkbox', { name: 'the pin of a shift rod, on the gearbox’s arm' }).check()
  const pin = page.getByTestId('pin-box')
  await pin.scrollIntoViewIfNeeded()
  const at = (await pin.boundingBox())!
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x, y + 30, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('slider', { name: 'column shift, pin on the gearbox’s arm' })).toHaveAttribute(
    'aria-valuetext',
    /mm further out/,
  )
  await undo(page)

  await page.getByRole('button', { name: 'Tell the knob' }).click()
  await expect(page.getByTestId('knob-table')).toContainText(/The knob goes, first gate to last\s*\d+\.\d mm/)
  await page.getByRole('button', { name: 'Something near' }).click()
  await expect(page.getByTestId('knob-table')).toContainText(/Hand to .*, of 40\.0 mm wanted/)
  await page.reload()
  await expect(page.getByTestId('knob-table')).toContainText('The knob goes')
  expect(await grave(page)).toEqual([])
})
