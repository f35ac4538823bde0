import { execFileSync } from 'node:child_process'
import type { Page } from '@playwright/test'
import { grave } from './axe'
import { openBay, openCard, saved } from './bench'
import { expect, test } from './browser'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const paper = (page: Page) => page.getByTestId('order-paper')
const warning = (page: Page, kind: string) => paper(page).locator(`[data-warning="${kind}"]`)
const row = (page: Page, name: string) =>
  paper(page)
    .locator('tr')
    .filter({ has: page.getByText(name, { exact: true }) })
async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}
async function type(page: Page, label: string, figure: string) {
  const field = page.getByLabel(label, { exact: true })
  await field.fill(figure)
  await field.press('Enter')
}

test('a shaft is ordered by the convention of its shop, said to be changed, measured when it comes and taken on', async ({
  page,
}) => {
  await openBay(page, 'orders')
  await expect(row(page, 'end of the output shaft to cap seats')).toContainText('1283.5 mm (50 1/2" +)')
  await expect(row(page, 'end of the output shaft to cap seats')).toContainText(/± \d\.\d mm/)
  await expect(row(page, 'for the shop')).toContainText('1283 mm or 50 1/2"')
  await expect(page.getByTestId('order-risk')).toContainText('under 1 % that the shaft bottoms')
  await expect(page.getByTestId('order-risk')).toContainText('Then it is made twice: 410 crowns more')
  await expect(warning(page, 'early')).toContainText('nothing says yet that the mounts are tacked')
  expect(await grave(page)).toEqual([])
  await choose(page, 'It is ordered', 'now: it rests on no measurement')
  await expect(warning(page, 'early')).toHaveCount(0)
  await choose(page, 'The shop measures from … to', 'joint centre to joint centre')
  await expect(row(page, 'as a check: end of the output shaft to cap seats')).toContainText('1283.5 mm')

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF, Letter' }).click(),
  ])
  const told = execFileSync('node', ['tests/support/readPdf.mjs', await download.path()], {
    encoding: 'utf8',
  })
  const [pdf] = JSON.parse(told.split('\n').at(-1) ?? '') as [
    { pages: number; text: string; lines: number[] },
  ]
  expect(pdf.pages).toBe(1)
  const [, scale = ''] = /1 : (\d+)/.exec(pdf.text) ?? []
  expect(Math.min(...pdf.lines.map((line) => Math.abs(line * Number(scale) - 1151.5)))).toBeLessThan(0.3)
  expect(pdf.text.replace(/\s+/g, '')).toContain('theslipyokeiskept,itssealtrackisnew')

  await page.getByRole('button', { name: 'It is ordered' }).click()
  await saved(page)
  await page.reload()
  await expect(paper(page)).toContainText(/ordered on \d{4}-\d\d-\d\d/)
  await page.getByRole('button', { name: 'What the shop is told' }).click()
  await type(page, 'Thread', 'M10 × 1')
  await expect(warning(page, 'changed')).toContainText('thread was to be agreed, is M10 × 1')
  await undo(page)
  await expect(warning(page, 'changed')).toHaveCount(0)

  // It comes 3 mm too long.
  const arrival = page.getByTestId('arrival')
  await type(page, 'joint centre to joint centre', '1154.5')
  await expect(arrival).toContainText(
    'ordered 1151.5 mm (45 5/16" +); 3.0 mm (1/8" −) more; becomes the set-in at ride height',
  )
  await expect(arrival).toContainText(/slip yoke set-in: 22.0 mm → 19.0 mm/)
  await expect(arrival.getByRole('button', { name: 'Accept it' })).toBeDisabled()
  await type(page, 'diameter of the tube', '76')
  await type(page, 'wall of the tube', '2')
  await type(page, 'phase: rear yoke anticlockwise from behind', '0')
  await arrival.getByLabel('Why it is refused').fill('3 mm long')
  await arrival.getByLabel('Why it is refused').press('Tab')
  await arrival.getByRole('button', { name: 'Refuse it' }).click()
  await expect(arrival).toContainText('3 mm long')
  await undo(page)
  await arrival.getByRole('button', { name: 'Accept it' }).click()
  await expect(arrival).toContainText('its figures are the model’s now')
  await expect(row(page, 'left before it bottoms, least')).toContainText('19.0 mm')
  await saved(page)
  await page.reload()
  await expect(row(page, 'left before it bottoms, least')).toContainText('19.0 mm')
  await undo(page)
  await expect(row(page, 'left before it bottoms, least')).toContainText('22.0 mm')
  await expect(arrival.getByRole('button', { name: 'Accept it' })).toBeVisible()
})

test('a plate and a chain are begun from what the build has, deleted and undone; the phone is wide enough', async ({
  page,
}) => {
  await openCard(page, 'the buggy', 'orders')
  await expect(row(page, 'links')).toContainText(/\d+ links/)
  await choose(page, 'Sheet', 'rear shafts')
  await expect(row(page, 'hub face to hub face')).toContainText('mm')
  await expect(paper(page)).toContainText('qualified welder')
  await page.getByRole('button', { name: 'Delete the order of rear shafts' }).click()
  await expect(paper(page)).toContainText('Chain set: drive chain')
  await undo(page)
  await choose(page, 'Sheet', 'rear shafts')
  await expect(paper(page)).toContainText('Live axle: rear shafts')
  await page.getByRole('button', { name: 'Delete the order of rear shafts' }).click()
  await page.getByRole('button', { name: 'Sheet for rear shafts (live axle)' }).click()
  await expect(paper(page)).toContainText('Live axle: rear shafts')
  await saved(page)
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await grave(page)).toEqual([])
})
