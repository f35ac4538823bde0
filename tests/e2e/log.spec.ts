import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { unzipSync, strFromU8 } from 'fflate'
import { grave } from './axe'
import { goWithin, openBay, saved } from './bench'
import { expect, test } from './browser'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const lines = (page: Page) => page.getByTestId('log').locator('li')
async function fileOf(page: Page, button: string): Promise<Uint8Array> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ])
  return new Uint8Array(readFileSync(await download.path()))
}
/** The smallest picture that a browser reads. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
)

test('the log writes itself, takes a line and a photograph, is searched, and goes out as print, text and pack', async ({
  page,
}) => {
  await openBay(page, 'log')
  await expect(page.getByTestId('defects')).toContainText('bolt of the left engine mount turns with its nut')
  await expect(page.getByTestId('mistakes')).toHaveText(/wrong side, end or sign\s*1 × · 2.5 h · 38/)
  await page.getByLabel('What happened').fill('tail stands on a block of wood')
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(lines(page).first()).toContainText('tail stands on a block of wood')
  await lines(page)
    .first()
    .getByRole('button', { name: /^Say more of/ })
    .click()
  await lines(page).first().getByRole('checkbox', { name: 'It is not right yet' }).click()
  await expect(page.getByTestId('defects').locator('li')).toHaveCount(2)
  await lines(page).first().getByLabel('Hours', { exact: true }).fill('0.5')
  await page.keyboard.press('Enter')
  await lines(page)
    .first()
    .locator('input[type="file"]')
    .setInputFiles({ name: 'block.png', mimeType: 'image/png', buffer: PICTURE })
  await expect(lines(page).first().getByRole('img', { name: 'tail stands on a block of wood' })).toBeVisible()
  expect(await grave(page)).toEqual([])

  // What is done elsewhere stands here by itself, and is gone again with its undo.
  await goWithin(page, (await page.evaluate(() => location.pathname)).replace(/log$/, 'orders'))
  await page.getByRole('button', { name: 'It is ordered' }).click()
  await saved(page)
  await goWithin(page, (await page.evaluate(() => location.pathname)).replace(/orders$/, 'log'))
  await expect(lines(page).first()).toContainText('ordered: rear shaft')
  await undo(page)
  await expect(lines(page).first()).toContainText('tail stands on a block of wood')
  await page.reload()
  await expect(lines(page).first()).toContainText('tail stands on a block of wood0.5 h')
  await expect(lines(page).first().getByRole('img')).toBeVisible()

  await page.getByLabel('Search the log').fill('upside bend')
  await expect(lines(page)).toHaveCount(1)
  await expect(lines(page)).toContainText('first blank of the gearbox bar bent to the wrong side')
  await page.getByLabel('Search the log').fill('')

  expect(Buffer.from((await fileOf(page, 'Printed record (PDF, A4)')).slice(0, 5)).toString()).toBe('%PDF-')
  const text = unzipSync(await fileOf(page, 'Open text (Markdown in a zip)'))
  expect(strFromU8(text['record.md']!)).toContain('- tail stands on a block of wood; 0.5 h; not right yet')
  expect(Object.keys(text).filter((name) => /^photographs\/.+\.jpg$/.test(name))).toHaveLength(1)
  expect(strFromU8(text['record.md']!)).toMatch(/!\[tail stands on a block of wood\]\(photographs\/.+\.jpg\)/)
  const pack = Object.keys(unzipSync(await fileOf(page, 'Shop pack (zip)')))
  expect(pack).toEqual(
    expect.arrayContaining([
      'orders/rear-shaft.pdf',
      'cut-list.csv',
      'setting-sheet.pdf',
      'templates/gearbox-bar.dxf',
      'sedge-wagon.lurvan.json',
    ]),
  )
})

test('one question is asked at its moment, kept, and asked no more', async ({ page }) => {
  await openBay(page, 'next')
  const asked = page.getByTestId('asked')
  await expect(asked).toContainText('Are these the final engine, gearbox, springs and sump?')
  await asked.getByLabel('Your answer').fill('all but the sump')
  await asked.getByRole('button', { name: 'Keep it' }).click()
  await expect(asked).toContainText('What centres plate between starter and block once it is cut?')
  await asked.getByRole('button', { name: 'It does not matter here' }).click()
  await expect(asked).not.toContainText('What centres')
  await saved(page)
  await page.reload()
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('link', { name: 'Log' }).click()
  await expect(lines(page).first()).toContainText(
    'Are these the final engine, gearbox, springs and sump?all but the sump',
  )
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await undo(page)
  await undo(page)
  await expect(lines(page).first()).toContainText('ordered: bush of the gearbox bar')
})
