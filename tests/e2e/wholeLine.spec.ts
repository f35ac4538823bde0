import { readFile } from 'node:fs/promises'
import type { Download, Page } from '@playwright/test'
import { grave } from './axe'
import { checkRow, goWithin, openCard, openDemo, saved } from './bench'
import { expect, test } from './browser'

async function openVan(page: Page, view: string) {
  await openCard(page, 'the long van')
  await expect(page.getByTestId('state')).toContainText('Tight: pair difference is 1.14°')
  await goWithin(page, `/b/osier-van/${view}`)
}
const textOf = async (download: Download) => readFile(await download.path(), 'utf8')

test('torque goes gear by gear as far as the tyres let it; what they hold is changed and undone', async ({
  page,
}) => {
  await openVan(page, 'strength')
  const gears = page.getByTestId('gears')
  await expect(gears.getByRole('row', { name: /^5/ })).toContainText(
    '5\u202f366 rev/min faster than the engine',
  )
  await expect(gears.getByRole('row', { name: /^1/ })).toContainText('33.2 km/h')
  const shaft = page.locator('[data-torque="rear-shaft"]')
  // 0.9 · 1420 · 9.80665 · 0.331 / 3.6
  await expect(shaft).toContainText('Most 1\u202f152 N·m by the tyres')
  await expect(page.getByTestId('tube-strength').getByRole('row', { name: /shaft 1/ })).toContainText(
    '0.44 of yield',
  )
  await page.getByLabel('On the rear axle').fill('700')
  await page.getByLabel('On the rear axle').press('Enter')
  await expect(shaft).toContainText('Most 568 N·m by the tyres')
  await expect(page.getByTestId('tube-strength').getByRole('row', { name: /shaft 1/ })).toContainText(
    '0.21 of yield',
  )
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(shaft).toContainText('1\u202f152 N·m')
})

test('the stock of tubes is the builder’s own: a size is changed, kept over a reload, and reset', async ({
  page,
}) => {
  await openVan(page, 'strength')
  const stock = page.getByTestId('stock-tubes')
  await stock.getByText('Tubes that can be had (14)').click()
  const outer = stock.getByLabel('Outer').first()
  await outer.fill('52')
  await outer.press('Enter')
  await stock.getByRole('button', { name: 'Add one' }).click()
  await expect(stock).toContainText('Tubes that can be had (15)')
  await saved(page)
  await page.reload()
  await goWithin(page, '/b/osier-van/parts?part=shaft/0')
  await expect(page.getByTestId('tubes')).toContainText('ø52 × 2')
  await goWithin(page, '/b/osier-van/strength')
  await stock.getByText('Tubes that can be had (15)').click()
  await stock.getByRole('button', { name: 'Back to the usual ones' }).click()
  await expect(stock).toContainText('Tubes that can be had (14)')
})

test('one tube for all shafts is found, weighed and taken as one step', async ({ page }) => {
  await openVan(page, 'strength')
  const forAll = page.getByTestId('tube-for-all')
  // ρ·A·L over 0.871 and 1.244 m of ø76 × 3 aluminium: 2700 · π(38² − 35²)·10⁻⁶ · 2.115
  await expect(forAll).toContainText('ø76 × 3, aluminium is the lightest that does for all: 3.93 kg in all.')
  await forAll.getByRole('button', { name: 'Make all of ø76 × 3, aluminium' }).click()
  await expect(forAll).toContainText('All have it.')
  await expect(page.getByTestId('tube-strength').getByRole('link')).toHaveText([/ø76 × 3/, /ø76 × 3/])
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('tube-strength').getByRole('link')).toHaveText(['ø63 × 2', 'ø76 × 2'])
})

test('every school says what it asks and leaves, and one is taken', async ({ page }) => {
  await openDemo(page, 'schools')
  const schools = page.getByTestId('schools')
  await expect(schools.getByRole('row', { name: /^Low-set pinion/ })).toContainText('yours')
  await expect(schools.getByRole('row', { name: /^Two-piece/ })).toContainText(
    'a centre bearing and a second shaft',
  )
  await expect(schools.getByRole('row', { name: /^Parallel/ })).toContainText('1.0° wedge, nose down')
  await expect(page.getByTestId('habits').getByRole('row', { name: /level/ })).toContainText('torsional')
  await schools.getByRole('button', { name: 'Take it: Parallel (Z)' }).click()
  await goWithin(page, '/b/fen-tender/line')
  await expect(page.getByTestId('lever-wedge')).toHaveAttribute('aria-valuetext', '1.0° nose down')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('lever-wedge')).toHaveAttribute('aria-valuetext', 'as measured')
})

test('the map is walked over by keys, a setting taken from it, and saved as a table', async ({ page }) => {
  await openDemo(page, 'map')
  const map = page.getByTestId('lever-map')
  await map.focus()
  await page.keyboard.press('ArrowDown')
  for (let i = 0; i < 7; i++) await page.keyboard.press('ArrowDown')
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowLeft')
  await expect(page.getByTestId('map-cell')).toContainText(
    /tail at the crossmember .* up, wedge .* nose down: holds as computed/,
  )
  await page.keyboard.press('Enter')
  // Inside every warning as computed, and with its own ± too.
  await expect(page.getByTestId('state')).toContainText(
    'Holds: every check. Closest is torsional under drive, holds by 156',
  )
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('state')).toContainText('699 rad/s²')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a table' }).click()
  const rows = (await textOf(await download)).trim().split('\r\n')
  expect(rows).toHaveLength(3601)
  const picture = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a picture' }).click()
  const bytes = await readFile(await (await picture).path())
  expect(bytes.subarray(1, 4).toString()).toBe('PNG')
})

test('charts go out as picture and table', async ({ page }) => {
  await openVan(page, 'line')
  await page.getByRole('tab', { name: 'By gear' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a table' }).click()
  const rows = (await textOf(await download)).split('\r\n')
  expect(rows[0]).toBe('\uFEFFseries,x,y')
  expect(rows.filter((row) => row.startsWith('5,'))).toHaveLength(41)
  const picture = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a picture' }).click()
  const bytes = await readFile(await (await picture).path())
  expect(bytes.subarray(1, 4).toString()).toBe('PNG')
})

test('a spline that was put together wrongly is told in words, and put right', async ({ page }) => {
  await openDemo(page, 'parts')
  const sheet = page.getByTestId('part-sheet')
  await sheet.getByLabel('Phase of the yokes').fill('45')
  await sheet.getByLabel('Phase of the yokes').press('Enter')
  const clock = page.getByTestId('clock')
  await expect(clock).toContainText('rear yoke four teeth anticlockwise, seen from behind')
  await expect(clock).toContainText('Paint a line over both halves')
  await clock.getByRole('button', { name: 'They are put together so' }).click()
  await expect(sheet.getByLabel('Phase of the yokes')).toHaveValue('-45')
  await expect(clock).toContainText('They stand best as they are: the line runs like one joint of 1.16°')
})

test('a limit of one’s own is marked where it decides, carries its reason, goes out, comes in, and is reset', async ({
  page,
}) => {
  await openDemo(page)
  await checkRow(page, 'torsional').getByTestId('window-bar').click()
  const limits = page.getByRole('complementary', { name: 'Limits: Road' })
  const torsional = limits.getByRole('region', { name: 'Torsional acceleration' })
  await torsional.getByLabel('out above').fill('900')
  await torsional.getByLabel('out above').press('Enter')
  await torsional.getByLabel('Why this limit').fill('a farm track, and slow')
  await torsional.getByLabel('Why this limit').press('Tab')
  await expect(checkRow(page, 'torsional')).toContainText('your own limit')
  await expect(torsional).toContainText('your own limit')
  const download = page.waitForEvent('download')
  await limits.getByRole('button', { name: 'Save the limits as a file' }).click()
  const text = await textOf(await download)
  expect(JSON.parse(text).limits.entries).toContainEqual(
    expect.objectContaining({ id: 'torsional', failAbove: 900, basis: 'a farm track, and slow' }),
  )
  await torsional.getByRole('button', { name: 'Back to the starting figure' }).click()
  await expect(torsional.getByLabel('out above')).toHaveValue('400')
  await expect(checkRow(page, 'torsional')).not.toContainText('your own limit')
  const take = async (content: string) =>
    limits
      .getByLabel('Take limits from a file')
      .last()
      .setInputFiles({ name: 'mine.json', mimeType: 'application/json', buffer: Buffer.from(content) })
  await take(text.replace('900', '3'))
  await expect(limits.getByRole('alert')).toContainText('mine.json was not taken: limits.entries[')
  await take(text)
  await expect(torsional.getByLabel('out above')).toHaveValue('900')
})

test('both shafts of a four-wheel drive are drawn, judged and opened by name', async ({ page }) => {
  await openCard(page, 'the four-wheel drive')
  await expect(page.getByTestId('state')).toContainText('rear shaft: pair difference is 1.79°')
  await page.getByRole('navigation', { name: 'Lines' }).getByRole('button', { name: 'front shaft' }).click()
  await expect(page.locator('[data-part="joint/0"]')).toHaveAttribute('aria-label', /double-cardan joint/)
  await goWithin(page, '/b/sorrel-hauler/line')
  await expect(checkRow(page, 'front shaft: joint 1')).toContainText('11.44°')
  await expect(checkRow(page, 'front shaft: slip left')).toContainText('27.1 mm')
})

test('the views of the line pass axe, also on a phone and at night', async ({ page }) => {
  test.setTimeout(120_000)
  await openVan(page, 'schools')
  await expect(page.getByTestId('schools')).toBeVisible()
  for (const view of ['schools', 'map', 'strength', 'parts?part=bearing/0']) {
    await goWithin(page, `/b/osier-van/${view}`)
    await expect(page.getByRole('heading').first()).toBeVisible()
    expect({ view, faults: await grave(page) }).toEqual({ view, faults: [] })
  }
  await page.emulateMedia({ colorScheme: 'dark' })
  await page.setViewportSize({ width: 390, height: 844 })
  for (const view of ['strength', 'parts?part=slip/1', 'map']) {
    await goWithin(page, `/b/osier-van/${view}`)
    expect({ view, faults: await grave(page) }).toEqual({ view, faults: [] })
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect({ view, wide }).toEqual({ view, wide: 0 })
  }
})
