import { grave } from './axe'
import { openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'
import type { Page } from '@playwright/test'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const sentence = (page: Page) => page.getByTestId('control-sentence')
const row = (page: Page, name: string) => page.getByTestId('hand-table').locator('tr', { hasText: name })

test('hands and feet of the yard cart: a lever led to the hand that steers is out, told with its way out, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the yard cart', 'controls')
  await expect(sentence(page)).toHaveText('Every hand and foot has one job at a time in all 5 manoeuvres.')
  await expect(row(page, 'Shift in a turn').getByRole('cell')).toHaveText([
    'hand shift lever',
    'steering wheel',
    'clutch pedal',
    'free',
  ])
  expect(await grave(page)).toEqual([])
  // The clutch by hand: both hands are taken, and a third job is there.
  const clutch = page.getByRole('group', { name: 'clutch pedal' })
  await clutch.getByRole('button', { name: 'Left hand' }).click()
  await clutch.getByRole('button', { name: 'Left foot' }).click()
  await expect(row(page, 'Shift in a turn')).toContainText(
    'hand shift lever and clutch pedal both want the left hand at once: lead one of them to another hand or foot.',
  )
  await expect(sentence(page)).toHaveText(/Shift in a turn.*: two jobs for one hand or foot at one moment\.$/)
  await saved(page)
  await page.reload()
  await expect(sentence(page)).toHaveText(/two jobs for one hand or foot/)
  await undo(page)
  await undo(page)
  await expect(sentence(page)).toHaveText('Every hand and foot has one job at a time in all 5 manoeuvres.')
  // By keyboard: another moment, with two jobs for the right foot.
  await page.getByRole('button', { name: 'Another manoeuvre' }).press('Enter')
  const manoeuvre = page.getByTestId('manoeuvre')
  await manoeuvre.getByRole('button', { name: 'brake pedal' }).press('Space')
  await manoeuvre.getByRole('button', { name: 'throttle pedal' }).press('Space')
  await expect(row(page, 'another moment')).toContainText(
    'brake pedal and throttle pedal both want the right foot',
  )
  await page.getByRole('button', { name: 'Delete another moment' }).click()
  await expect(page.getByTestId('hand-table').locator('tbody tr')).toHaveCount(5)
})

test('a plan and a clutch from nothing, at the width of a phone', async ({ page }) => {
  await openDemo(page, 'controls')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('button', { name: 'Begin with the usual ones' }).click()
  await expect(sentence(page)).toHaveText('Every hand and foot has one job at a time in all 5 manoeuvres.')
  await page.getByRole('button', { name: 'Add a clutch' }).click()
  await expect(page.getByTestId('clutch-sentence')).toHaveText('clutch waits for its sizes.')
  for (const [label, text] of [
    ['Ratio of the pedal', '5'],
    ['Pedal goes, at its pad', '150'],
    ['Bore of the master', '16'],
    ['Bore of the slave', '20'],
    ['Bearing free for', '1'],
    ['Then frees the plate in', '8'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(text)
    await page.keyboard.press('Enter')
  }
  // 150/5·(16/20)² = 19.2 on the shaft itself.
  await expect(page.getByTestId('clutch-table')).toContainText(/The bearing goes\s*19\.2 mm/)
  await expect(page.getByTestId('clutch-sentence')).toHaveText(
    'It is free when the pedal is down by 70.3 mm, with 10.2 mm of the bearing’s travel left.',
  )
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await grave(page)).toEqual([])
})
