import { readFileSync } from 'node:fs'
import { grave } from './axe'
import { openCard, saved } from './bench'
import { expect, test } from './browser'
import type { Page } from '@playwright/test'

const openMake = (page: Page) => openCard(page, 'the tight bay', 'make')
const row = (page: Page, label: string) => page.locator('.check', { hasText: label })
const ways = (page: Page) => page.getByTestId('member-ways').locator('tbody tr')

async function save(page: Page, name: string): Promise<string> {
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name, exact: true }).click()
  return (await coming).path()
}

test('from a chosen position to a printed crossmember: two kinds compared, one taken, undone, kept, stale once the tail is packed', async ({
  page,
}) => {
  await openMake(page)
  await expect(page.getByRole('heading', { name: 'gearbox bar' })).toBeVisible()
  await expect(page.getByTestId('member-drawing')).toContainText('281.0 mm')
  await expect(ways(page)).toContainText(['bent flat', 'tube, folded', 'straight, spacers', 'ledges and bar'])
  await expect(ways(page).nth(0)).toContainText('68 %')
  await expect(ways(page).nth(1)).toContainText('27 %')
  await expect(row(page, 'stress of its yield')).toContainText('holds by 33 %')
  await expect(page.getByTestId('member-corners').locator('li').first()).toHaveText(
    '91.3 up 8.6°, notch 5.6 mm wide in the top',
  )
  const packing = page.getByTestId('member-packing').locator('tbody tr')
  await expect(packing).toHaveCount(4)
  await expect(packing.nth(1)).toContainText('as measured, as it stands32.0 mm')
  await expect(packing.nth(3)).toContainText('10.0 mm up42.')
  await page.getByRole('radio', { name: /^bent flat/ }).click()
  await expect(row(page, 'stress of its yield')).toContainText('out by 8 %')
  await expect(page.getByTestId('member-corners').locator('li').first()).toHaveText(
    '89.9 up 8.6° (171.4° included)',
  )
  await expect(page.getByTestId('state')).toContainText('gearbox bar')
  await page.getByLabel('Springs back', { exact: true }).fill('1.5')
  await page.getByLabel('Springs back', { exact: true }).press('Enter')
  await expect(page.getByTestId('member-corners').locator('li').first()).toContainText('press to 10.1°')
  await page.getByRole('button', { name: 'Own K, from a strip that you bent' }).click()
  for (const [label, figure] of [
    ['Strip, as cut', '200'],
    ['First leg, outside', '107.5'],
    ['Second leg, outside', '107.5'],
    ['Change of direction', '90'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(figure)
    await page.getByLabel(label, { exact: true }).press('Enter')
  }
  // Deduction 15: (2 · 22 − 15) over π/2 is 18.462, less 12 over 10.
  await expect(page.getByTestId('strip-k')).toContainText('K 0.646')
  await expect(page.getByText('measure the strip again', { exact: false })).toBeVisible()
  await page.getByLabel('Thickness', { exact: true }).fill('20')
  await page.getByLabel('Thickness', { exact: true }).press('Enter')
  await expect(row(page, 'stress of its yield')).toContainText('17 %')
  await saved(page)
  await page.reload()
  await expect(row(page, 'stress of its yield')).toContainText('17 %')
  // Thickness, the strip's four figures, springback, the way.
  for (let k = 0; k < 7; k++) await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(row(page, 'stress of its yield')).toContainText('27 %')
  await page.getByRole('button', { name: 'Take it as made to this setting' }).click()
  await expect(page.getByTestId('member-stale')).toHaveText('Its seats lie as they did when it was made.')
  await saved(page)
  await page.goto(page.url().replace('/make', '/line'))
  const tail = page.getByTestId('lever-tail')
  await tail.focus()
  await page.keyboard.press('ArrowUp')
  await saved(page)
  await page.goto(page.url().replace('/line', '/make'))
  await expect(page.getByTestId('member-stale')).toContainText('Stale: the gearbox stands')
})

test('its blank is a drawing of true size: an SVG measured by a browser, a DXF and a PDF', async ({
  page,
  context,
}) => {
  await openMake(page)
  const svg = readFileSync(await save(page, 'SVG'), 'utf8')
  const sheet = await context.newPage()
  await sheet.setContent(svg)
  const measured = await sheet.evaluate(() => {
    const of = (element: Element | null) => element!.getBoundingClientRect()
    const mm = (px: number) => (px * 25.4) / 96
    const [blank, ...notches] = [...document.querySelectorAll('#cut polygon')].map((one) => of(one))
    return {
      long: mm(blank!.width),
      high: mm(blank!.height),
      first: mm(notches[0]!.left + notches[0]!.width / 2 - blank!.left),
    }
  })
  // Lines are 0.2 mm wide and counted in by no bounding box.
  expect(measured.long).toBeCloseTo(746.682, 1)
  expect(measured.high).toBeCloseTo(40, 1)
  expect(measured.first).toBeCloseTo(91.282, 1)
  await sheet.close()
  const dxf = readFileSync(await save(page, 'DXF'), 'latin1')
  expect(dxf).toContain('LWPOLYLINE')
  expect(dxf).toContain('746.68')
  const pdf = readFileSync(await save(page, 'PDF'), 'latin1')
  expect(pdf.startsWith('%PDF-')).toBe(true)
  expect(pdf.match(/\/Type \/Page\b(?!s)/g)).toHaveLength(3)
})

test('a build without one begins it by key, says what is to be read, and deletes it again', async ({
  page,
}) => {
  await openCard(page, 'the demo', 'make')
  const begin = page.getByRole('button', { name: 'Add a crossmember' })
  await begin.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByText('It waits for')).toBeVisible()
  await expect(page.locator('.waits')).toContainText('left rail, seat of the bar')
  await page.getByRole('button', { name: 'Delete gearbox bar' }).click()
  await expect(page.getByText('No crossmember yet.', { exact: false })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.locator('.waits')).toBeVisible()
})

test('nothing serious is found on it, wide, narrow and at night, and nothing is cut off on a phone', async ({
  page,
}) => {
  await openMake(page)
  await expect(page.getByTestId('member-drawing')).toBeVisible()
  expect(await grave(page)).toEqual([])
  await page.emulateMedia({ colorScheme: 'dark' })
  expect(await grave(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(page.getByTestId('member-drawing')).toContainText('281.0 mm')
  expect(await grave(page)).toEqual([])
  const wide = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(wide).toBeLessThanOrEqual(390)
})

test('a plate with one bad hole: which to open, a tape read anew, a drilled hole, printed, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'plates')
  const answer = page.getByTestId('plate-answer')
  await expect(answer).toContainText('Open hole C by 0.6 mm toward 10 o’clock, seen from the front')
  await expect(page.getByTestId('agree-plate')).toHaveText(
    'They agree to 0.10 mm, 3 tapes more than it takes.',
  )
  // A tape that lies is named by the others.
  const onPlate = page.locator('section', { has: page.getByRole('heading', { name: 'Tapes on the plate' }) })
  await onPlate.getByRole('button', { name: 'Delete the tape A – E' }).click()
  await expect(onPlate.getByLabel('From', { exact: true })).toContainText('A')
  await expect(onPlate.getByLabel('To', { exact: true })).toContainText('E')
  await onPlate.getByLabel('Distance').fill('118')
  await onPlate.getByLabel('Distance').press('Tab')
  await onPlate.getByRole('button', { name: 'Keep the tape' }).click()
  await expect(page.getByTestId('agree-plate')).toContainText('Read A – E again')
  await expect(page.getByTestId('tapes-of-plate')).toContainText('read it again')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('agree-plate')).toHaveText(
    'They agree to 0.10 mm, 3 tapes more than it takes.',
  )
  const holeC = page.getByRole('group', { name: 'Hole C' })
  await holeC.getByLabel('Hole', { exact: true }).fill('11')
  await holeC.getByLabel('Hole', { exact: true }).press('Enter')
  await expect(answer).toContainText('It fits: the worst hole has')
  await expect(holeC).toContainText('Spacer wanted 2.60 mm')
  await saved(page)
  await page.reload()
  await expect(answer).toContainText('It fits')
  await page.getByLabel('Print its mirror image, for the other side').click()
  const svg = readFileSync(await save(page, 'SVG'), 'utf8')
  expect(svg).toContain('mirrored</title>')
  expect(svg.match(/<circle /g)).toHaveLength(5)
  expect(await grave(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(answer).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('mounts that give: case by case, what is left of the gaps, a stiffer one, undone; said how the shaft turns', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'mounts')
  const cases = page.getByTestId('mount-cases').locator('tbody tr')
  await expect(cases).toHaveCount(9)
  const pulling = cases.filter({ hasText: 'pulling away, with its shock' })
  await expect(pulling).toContainText('left side up')
  await expect(pulling).toContainText('joint 1')
  await expect(page.getByTestId('mount-forces').locator('tbody tr').first()).toContainText('±')
  await expect(page.getByText('Taken:')).toContainText('anticlockwise in first gear')
  const before = await pulling.innerText()
  const left = page.getByRole('group', { name: 'left engine mount' })
  await left.getByLabel('upward').fill('2000')
  await left.getByLabel('upward').press('Enter')
  await expect(pulling).not.toHaveText(before)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect.poll(() => pulling.innerText()).toBe(before)
  await page.getByRole('button', { name: 'braking by 1 g' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'What the mounts bear: braking by 1 g' })).toBeVisible()
  await expect(page.getByTestId('mount-forces')).toContainText('back')
  await page.getByRole('combobox', { name: /the shaft turns$/ }).click()
  await page.getByRole('option', { name: 'clockwise', exact: true }).click()
  await expect(pulling).toContainText('left side down')
  await saved(page)
  await page.reload()
  await expect(pulling).toContainText('left side down')
  expect(await grave(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  await expect(page.getByTestId('mount-picture').locator('svg')).toHaveCount(2)
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  expect(await grave(page)).toEqual([])
})

test('the bar is put in the bay, told when it hangs otherwise, brought up to date, undone, kept and taken out', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'make')
  const bar = page.getByTestId('part-in-bay')
  await bar.getByRole('button', { name: 'Put it in the bay' }).click()
  await expect(bar).toContainText('It stands in the bay as it does here.')
  await page.getByRole('link', { name: 'Place' }).first().click()
  await page.getByRole('tab', { name: 'Parts' }).click()
  await expect(page.getByRole('button', { name: 'Change gearbox bar' })).toBeVisible()
  await page.getByTestId('lever-tail').focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp')
  await page.getByRole('link', { name: 'Make' }).first().click()
  await expect(bar).toContainText('The bay still shows it as it was before.')
  await bar.getByRole('button', { name: 'Bring it up to date' }).click()
  await expect(bar).toContainText('It stands in the bay as it does here.')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(bar).toContainText('as it was before')
  await saved(page)
  await page.reload()
  await expect(bar).toContainText('as it was before')
  await bar.getByRole('button', { name: 'Take it out of the bay' }).click()
  await expect(bar.getByRole('button', { name: 'Put it in the bay' })).toBeVisible()
})

test('a mount is set elsewhere by its own lever: what it bears follows, is kept, and is taken back', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'mounts')
  const left = page.getByRole('group', { name: 'left engine mount' })
  await left.getByRole('button', { name: 'Where it may stand' }).click()
  await left.getByRole('checkbox', { name: 'a mount, sideways' }).click()
  const forces = page.getByTestId('mount-forces')
  await expect(forces).toContainText('1904 down')
  const lever = left.getByRole('slider', { name: 'left engine mount, sideways' })
  const typed = left.getByRole('textbox', { name: 'left engine mount, sideways, mm' })
  await typed.fill('20')
  await typed.press('Enter')
  await expect(lever).toHaveAttribute('aria-valuetext', '20.0 mm left')
  await expect(forces).not.toContainText('1904 down')
  await saved(page)
  await page.reload()
  await expect(lever).toHaveAttribute('aria-valuetext', '20.0 mm left')
  expect(await grave(page)).toEqual([])
  await page.getByRole('link', { name: 'Place' }).first().click()
  await expect(page.getByText('left engine mount, sideways').first()).toBeVisible()
  await page.keyboard.press('Control+z')
  await page.getByRole('link', { name: 'Make' }).first().click()
  await page.getByRole('link', { name: 'Engine mounts' }).first().click()
  await expect(forces).toContainText('1904 down')
})

test('a tube stands among the parts of the bay, and a plate asks for the points by which it stands', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'tubes')
  const inBay = page.getByTestId('part-in-bay')
  await inBay.getByRole('button', { name: 'Put it in the bay' }).click()
  await expect(inBay).toContainText('It stands in the bay as it does here.')
  await saved(page)
  await page.reload()
  await expect(inBay).toContainText('It stands in the bay as it does here.')
  await page.getByRole('textbox', { name: 'Outside', exact: true }).fill('42')
  await page.getByRole('textbox', { name: 'Outside', exact: true }).press('Enter')
  await expect(inBay).toContainText('The bay still shows it as it was before.')

  await page.getByRole('link', { name: 'Plates' }).first().click()
  await page.getByRole('button', { name: 'Where it stands in the vehicle' }).click()
  await expect(inBay).toBeHidden()
  await page.getByLabel('Bolted to').click()
  await page.getByRole('option', { name: 'powertrain' }).click()
  await expect(page.getByLabel('Third point at hole')).toContainText('C')
  await page.getByLabel('Third point at hole').click()
  await page.getByRole('option', { name: 'E' }).click()
  await expect(page.getByText('face at hole E: station not read').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByLabel('Third point at hole')).toContainText('C')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByLabel('Bolted to')).toContainText('nobody says')
})
