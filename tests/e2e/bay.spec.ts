import { readFile } from 'node:fs/promises'
import { gapRow, goWithin, openBay, saved } from './bench'
import { grave } from './axe'
import { expect, test } from './browser'

const partsTab = async (page: Parameters<typeof openBay>[0]) => {
  await page.getByRole('tab', { name: 'Parts' }).click()
  return page.getByRole('tabpanel')
}

test('a part is taken from the shelf, given its sizes, an outline and a lever, kept, and undone', async ({
  page,
}) => {
  await openBay(page)
  const panel = await partsTab(page)
  await panel.getByRole('button', { name: 'Add a part' }).click()
  const shelf = page.getByRole('complementary', { name: 'Parts in the bay' })
  await shelf.getByLabel('Station, behind the datum').fill('80')
  await shelf.getByLabel('Left of centre').fill('-330')
  await shelf.getByLabel('Above the plane').fill('a hand')
  await shelf.getByLabel('Above the plane').press('Tab')
  await expect(shelf).toContainText('"hand" is not a unit of length')
  await shelf.getByLabel('Above the plane').fill('240')
  await shelf.getByLabel('Above the plane').press('Tab')
  await shelf.getByRole('button', { name: 'Take oil filter' }).click()

  const own = page.getByRole('complementary', { name: 'oil filter' })
  // 76 along and across, 110 up, about its middle.
  await expect(own.getByLabel('Front end, station')).toHaveValue('42')
  await expect(own.getByLabel('Left side, offset')).toHaveValue('-292')
  await expect(own.getByLabel('Top, height')).toHaveValue('295')
  await own.getByLabel('Top, height').fill('100')
  await own.getByLabel('Top, height').press('Tab')
  await expect(own.getByRole('alert')).toContainText('The second figure must be the larger one.')
  await own.getByLabel('Top, height').fill('300')
  await own.getByLabel('Top, height').press('Tab')
  await expect(panel.getByRole('button', { name: 'Change oil filter' })).toContainText('76 × 76 × 115 mm')

  await own.getByRole('button', { name: 'Add an outline' }).click()
  await own.getByLabel('Corners').fill('42 185\n118 185\n80')
  await own.getByLabel('Corners').press('Tab')
  await expect(own).toContainText('Line 3: two figures are needed.')
  await own.getByLabel('Corners').fill('42 185\n118 185\n80 300')
  await own.getByLabel('Corners').press('Tab')
  await expect(panel.getByRole('button', { name: 'Change oil filter' })).toContainText('one outline')

  await own.getByRole('button', { name: 'Add a lever' }).click()
  await own.getByLabel('Spacers at hand').fill('3 5 ten')
  await own.getByLabel('Spacers at hand').press('Tab')
  await expect(own).toContainText('"ten" is not a')
  await own.getByLabel('Spacers at hand').fill('5 3 10')
  await own.getByLabel('Spacers at hand').press('Tab')
  await own.getByLabel('Locked, because').fill('pipe is 40 mm')
  await own.getByLabel('Locked, because').press('Tab')
  await saved(page)

  await page.reload()
  const lever = page.getByRole('region', { name: 'oil filter, fore and aft' })
  await expect(lever).toContainText('stock 3, 5, 10 mm')
  await expect(lever).toContainText('pipe is 40 mm')
  await (await partsTab(page)).getByRole('button', { name: 'Change oil filter' }).click()
  await own.getByRole('button', { name: 'Delete the part' }).click()
  await expect(panel.getByRole('button', { name: 'Change oil filter' })).toHaveCount(0)
  await expect(lever).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(panel.getByRole('button', { name: 'Change oil filter' })).toContainText('one outline')
})

test('a part goes on the own shelf, out as a file and in again; a bad file is refused by name', async ({
  page,
}) => {
  await openBay(page)
  await (await partsTab(page)).getByRole('button', { name: 'Change turbo' }).click()
  await page.getByRole('button', { name: 'Put it on my shelf' }).click()
  await expect(page.getByText('It is on your shelf now.')).toBeVisible()
  await page.getByRole('button', { name: 'Close turbo' }).click()
  await page.getByRole('button', { name: 'Add a part' }).click()
  const shelf = page.getByRole('complementary', { name: 'Parts in the bay' })
  const items = shelf.getByRole('region', { name: 'Items' })
  await expect(items.getByRole('listitem').first()).toContainText('turbo your own')
  await expect(items.getByRole('listitem').first()).toContainText('100 × 96 × 110 mm')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    items.getByRole('button', { name: 'Save turbo as a file' }).click(),
  ])
  expect(file.suggestedFilename()).toBe('turbo.lurvan-part.json')
  const text = await readFile((await file.path())!, 'utf8')
  expect(JSON.parse(text)).toMatchObject({ format: 'lurvan-part', part: { sizeMm: [100, 96, 110] } })
  await items.getByRole('button', { name: 'Take turbo off the shelf' }).click()
  await expect(items.getByText('your own')).toHaveCount(0)

  const bring = (name: string, content: string) =>
    shelf
      .getByLabel('Put a part file on the shelf')
      .last()
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) })
  // Its id may hold any figures, so the size is changed where it stands.
  const bad = JSON.parse(text) as { part: { sizeMm: unknown[] } }
  bad.part.sizeMm[1] = 'wide'
  await bring('bad.json', JSON.stringify(bad))
  await expect(shelf.getByRole('alert')).toContainText(
    'bad.json was not taken: part.sizeMm[1]: must be a number, got "wide"',
  )
  await bring('turbo.lurvan-part.json', text)
  await expect(shelf.getByRole('status')).toContainText('turbo is on your shelf.')
  await page.reload()
  await expect(items.getByText('your own')).toHaveCount(1)
})

test('what stands close is named and watched, what comes out is told, and both follow the part', async ({
  page,
}) => {
  await openBay(page)
  const panel = await partsTab(page)
  const pairs = panel.getByTestId('close-pairs').getByRole('listitem')
  await expect(pairs.filter({ hasText: 'battery tray and air filter' })).toContainText('about 14.0 mm apart')
  const services = panel.getByTestId('services').getByRole('listitem')
  await expect(services.nth(0)).toContainText('comes out: clear for 86.9 mm')
  await expect(services.nth(2).getByTestId('service-answer')).toHaveText(
    'meets air filter after 14.0 mm; bonnet after 171.5 mm',
  )
  // The battery comes out forwards: nothing stands there.
  await services.nth(2).getByLabel('Which way').click()
  await page.getByRole('option', { name: 'forward' }).click()
  await expect(services.nth(2).getByTestId('service-answer')).toContainText('comes out')
  await page.keyboard.press('Control+z')
  await expect(services.nth(2).getByTestId('service-answer')).toContainText('meets air filter after 14.0 mm')

  await pairs
    .filter({ hasText: 'battery tray and air filter' })
    .getByRole('button', { name: /Watch this gap/ })
    .click()
  const drawer = page.getByRole('complementary', { name: 'Gaps' })
  await expect(drawer.getByLabel('The two things')).toHaveValue('battery tray to air filter')
  await drawer.getByLabel('Station', { exact: true }).fill('20')
  await drawer.getByLabel('Offset', { exact: true }).fill('300')
  await drawer.getByLabel('Height', { exact: true }).fill('286')
  await drawer.getByRole('button', { name: 'Add the gap' }).click()
  // Until it is read it is drawn in dashes, as the outlines have it.
  const dashes = page.locator('path[data-testid^="drawn-"]')
  await expect(dashes).toHaveCount(1)
  await page.getByRole('tab', { name: /^Gaps/ }).click()
  await expect(page.getByTestId('drawn-gaps')).toContainText(
    'battery tray to air filter: not read yet; as drawn from the side it is about 14.0 mm.',
  )
  await page.getByRole('tab', { name: 'Parts' }).click()
  await page.getByTestId('gap-figure').fill('13')
  await page.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(pairs.filter({ hasText: 'battery tray and air filter' })).toHaveCount(0)
  await expect(dashes).toHaveCount(0)
  await page.getByRole('tab', { name: /^Gaps/ }).click()
  await expect(gapRow(page, 'battery tray to air filter')).toContainText('13.0 mm')
})

test('a longer gearbox is planned: the output goes back, what has to be cut is told with its cost, also on the sheet', async ({
  page,
}) => {
  await openBay(page)
  await (await partsTab(page)).getByRole('button', { name: 'Add a part' }).click()
  const shelf = page.getByRole('complementary', { name: 'Parts in the bay' })
  await shelf.getByRole('button', { name: 'Take five-speed, long tail' }).click()
  await expect(shelf.getByRole('status')).toContainText('The gearbox is planned 80.0 mm longer')
  await page.getByRole('button', { name: 'Close Parts in the bay' }).click()
  const lever = page.getByRole('region', { name: 'adapter, or a longer gearbox' })
  await expect(lever).toContainText('80.0 mm longer')
  await expect(lever).toContainText('the gearbox is as long as it is')
  await page.getByRole('tab', { name: /^Gaps/ }).click()
  // 29 mm to the crossmember, 80 taken away along a crankshaft that falls a little.
  await expect(gapRow(page, 'gearbox pan to crossmember')).toContainText('−50.9 mm')
  await expect(gapRow(page, 'head to firewall')).toContainText('27.0 mm')
  const cuts = page.getByTestId('cut-list').getByRole('listitem')
  await expect(cuts.first()).toContainText('gearbox pan to crossmember50.9 mm deep')
  await expect(cuts.first()).toContainText('66.0 mm deep keeps its 15.0 mm, 0.1 mm over')
  await expect(cuts.first()).toContainText('effort not said · structural or not: not said')
  await cuts.first().getByRole('button').click()
  const own = page.getByRole('complementary', { name: 'gearbox pan to crossmember' })
  await own.getByLabel('Effort', { exact: true }).fill('14')
  await own.getByLabel('Effort', { exact: true }).press('Tab')
  await own.getByLabel(/It carries load/).check()
  await expect(cuts.first()).toContainText('effort 14 · structural')
  await saved(page)
  await goWithin(page, '/b/sedge-wagon/sheet')
  await expect(page.getByText(/gearbox pan to crossmember: 50\.9 mm deep at station/)).toContainText(
    '; structural',
  )
  await goWithin(page, '/b/sedge-wagon/place')
  await page.getByRole('tab', { name: 'Positions' }).click()
  await expect(page.getByRole('row', { name: /To cut/ })).toContainText('effort 14')
  await expect(page.getByRole('row', { name: /Can be taken back/ })).toContainText('no, metal is cut')
  await expect(page.getByRole('row', { name: /Shift lever/ })).toContainText('76.9 mm behind its hole')
})

test(
  'the setting that stands lowest is found, is a ghost on the board while it is looked at, and is taken',
  { tag: '@proved' },
  async ({ page }) => {
    await openBay(page)
    await page.getByRole('tab', { name: 'Find a setting' }).click()
    const panel = page.getByRole('tabpanel')
    await panel.getByRole('button', { name: 'lowest and furthest back' }).click()
    const card = panel.getByTestId('goals').getByRole('listitem').first()
    await expect(card).toContainText('Pack both front mounts up 6.0 mm')
    await expect(card).toContainText('likely to hold')
    await expect(page.getByTestId('other-side')).toHaveCount(0)
    const take = card.getByRole('button', { name: 'Take it' })
    await take.focus()
    await expect(page.getByTestId('other-side').locator('polygon').first()).toBeVisible()
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
    await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', '6.0 mm up')
    await page.keyboard.press('Control+z')
    await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', 'as measured')
  },
)

test('the body goes on spacers: tunnel and bonnet go up with it, firewall and rack stay as far off, and undo sets it down', async ({
  page,
}) => {
  await openBay(page)
  const panel = await partsTab(page)
  await panel.getByRole('button', { name: 'Change chassis' }).click()
  const spacers = page.getByRole('region', { name: 'Body or cab on spacers' })
  await expect(spacers.getByRole('checkbox', { name: 'tunnel, left', exact: true })).toBeChecked()
  await expect(spacers.getByRole('checkbox', { name: 'gearbox crossmember', exact: true })).not.toBeChecked()
  await expect(spacers.getByRole('checkbox', { name: 'bell housing to tunnel' })).toBeChecked()
  await expect(spacers.getByRole('checkbox', { name: 'exhaust manifold to frame' })).not.toBeChecked()
  await spacers.getByRole('button', { name: 'Make it a part with its own lever' }).click()
  await expect(panel.getByRole('button', { name: 'Change body' })).toContainText('5 outlines')

  await page.getByRole('tab', { name: /^Gaps/ }).click()
  const figure = async (gap: string) =>
    Number(/([\d.]+) mm/.exec((await gapRow(page, gap).textContent()) ?? '')?.[1])
  const before = await Promise.all(['bell housing to tunnel', 'sump to steering rack'].map(figure))
  const lever = page.getByRole('region', { name: 'body', exact: true })
  await lever.getByRole('textbox').fill('25')
  await lever.getByRole('textbox').press('Enter')
  await expect(gapRow(page, 'bell housing to tunnel')).toContainText(
    `${((before[0] ?? NaN) + 25).toFixed(1)} mm`,
  )
  await expect(gapRow(page, 'sump to steering rack')).toContainText(`${before[1]?.toFixed(1)} mm`)
  await page.getByRole('button', { name: /^Undo/ }).click()
  await page.getByRole('button', { name: /^Undo/ }).click()
  await expect(lever).toHaveCount(0)
  await expect(gapRow(page, 'bell housing to tunnel')).toContainText(`${before[0]?.toFixed(1)} mm`)
})

test('parts, shelf and one part pass axe, also on a phone', async ({ page }) => {
  await openBay(page)
  await partsTab(page)
  const check = async () => expect(await grave(page)).toEqual([])
  await check()
  await goWithin(page, '/b/sedge-wagon/place?drawer=bay')
  await expect(page.getByRole('button', { name: 'Take oil filter' })).toBeVisible()
  await check()
  await page.setViewportSize({ width: 390, height: 844 })
  await goWithin(page, '/b/sedge-wagon/place?drawer=bay&at=radiator')
  await expect(page.getByLabel('Front end, station')).toBeVisible()
  await check()
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  expect(wide).toBe(0)
})
