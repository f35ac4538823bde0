import { cureButton, goWithin, openBay, openCard, openDemo, saved, takeCommand } from './bench'
import { expect, test } from './browser'

test('what is missing leads to the field that takes it, and the palette to any field by its name', async ({
  page,
}) => {
  await openDemo(page, 'strength')
  const radius = page.getByLabel('Rolling radius of the tyres')
  const gears = page.getByRole('region', { name: 'Gears' })
  const lack = gears.getByRole('link', { name: 'rolling radius of the tyres not entered' })
  await expect(lack).toBeVisible()
  await goWithin(page, '/b/fen-tender/line')
  await page.keyboard.press('Control+k')
  await page.getByPlaceholder('What do you want to do?').fill('Rolling radius')
  await page.getByRole('option', { name: 'Rolling radius of the tyres' }).click()
  await expect(radius).toBeFocused()
  await expect(page).toHaveURL(/\/strength$/)
  await page.getByLabel('Redline').focus()
  await lack.click()
  await expect(radius).toBeFocused()
  await radius.fill('331')
  await radius.press('Tab')
  await expect(lack).toBeHidden()
  await saved(page)
})

/** Things of the demos that have a card, each with the view it stands in. */
const CARDS = [
  ['the yard cart', 'On the floor, rolled forth and back', 'setups'],
  ['the yard cart', 'line laser with a steel rule', 'tools'],
  ['the yard cart', 'steering chain: head sprocket', 'chains'],
  ['the buggy', 'rear shafts', 'chains'],
  ['the hatch', 'left shaft', 'halfshafts'],
  ['the tight bay', 'Clutch hub on the splines', 'mating'],
  ['the tight bay', 'Bell housing face', 'mating'],
] as const

test('the palette leads to every thing that has a card: its first figure takes the focus', async ({
  page,
}) => {
  let opened = ''
  for (const [demo, name, view] of CARDS) {
    if (demo !== opened) {
      await page.goto('/')
      await page.getByRole('button', { name: `Open ${demo}` }).click()
      await expect(page.getByTestId('state')).toBeVisible()
      opened = demo
    }
    await takeCommand(page, name)
    await expect(page).toHaveURL(new RegExp(`/${view}(\\?|$)`))
    const field = () =>
      page.evaluate(
        () => document.activeElement?.closest('article, section, li')?.getAttribute('data-field') ?? '',
      )
    await expect.poll(field).toMatch(new RegExp(`^${view}/`))
  }
})

test('the palette unfolds the stock for the tube it leads to', async ({ page }) => {
  await openDemo(page, 'strength')
  const stock = page.getByTestId('stock-tubes')
  await stock.getByText('Tubes that can be had').click()
  await stock.getByRole('button', { name: 'Add one' }).click()
  await saved(page)
  await goWithin(page, '/b/fen-tender/line')
  await takeCommand(page, 'tube 1 of the stock')
  await expect(stock.getByLabel('Outer').first()).toBeFocused()
})

test('a line whose speed nobody told says so beside its figure, and leads to where it is told', async ({
  page,
}) => {
  await openDemo(page, 'strength')
  await page.getByLabel('Redline', { exact: true }).fill('')
  await page.getByLabel('Redline', { exact: true }).press('Tab')
  await goWithin(page, '/b/fen-tender/line')
  const row = page.getByRole('tabpanel').locator('button[aria-expanded]', { hasText: 'torsional' })
  await expect(row).toContainText('rear shaft: redline not entered')
  await expect(page.getByTestId('state')).toContainText('Not settled: rear shaft: redline not entered')
  await page.getByTestId('state').getByRole('link', { name: 'Enter it' }).click()
  await expect(page.getByLabel('Redline', { exact: true })).toBeFocused()
})

test('the tube of the parts drawing leads to its own figures', async ({ page }) => {
  await openDemo(page, 'parts')
  await page.getByRole('button', { name: /^ø/ }).click()
  const outer = page.getByTestId('part-sheet').locator('[data-field="shaft/0 tube"] input')
  await expect(outer).toBeFocused()
  await outer.fill('89')
  await outer.press('Tab')
  await expect(page.getByRole('button', { name: /^ø89 ×/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByRole('button', { name: /^ø89 ×/ })).toBeHidden()
})

test('the parts on the board say their names to the keyboard too, one after the other', async ({ page }) => {
  await openBay(page)
  const parts = page.getByRole('group', { name: /^Parts of the drawing/ })
  const said = parts.locator('[aria-live]')
  await parts.focus()
  await expect(said).not.toHaveText('')
  const first = await said.innerText()
  const names = new Set([first])
  for (let i = 0; i < 60 && names.size === i + 1; i++) {
    await page.keyboard.press('ArrowRight')
    names.add(await said.innerText())
  }
  // Round once: what was measured to is among them, and what is named is drawn marked.
  expect([...names]).toEqual(expect.arrayContaining(['radiator', 'steering rack']))
  await expect(said).toHaveText(first)
  await page.keyboard.press('ArrowLeft')
  await expect(said).toHaveText([...names].at(-1)!)
  await expect(parts.locator('polygon.marked').first()).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(parts.locator('polygon.marked')).toHaveCount(0)
})

test('weights and the sling are drawn: loads under the axles, the hook over the centre of gravity', async ({
  page,
}) => {
  await openBay(page, 'weight')
  const picture = page.getByTestId('weight-picture')
  await expect(picture.locator('[data-axle="front"]')).toHaveText('735 kg')
  await expect(picture.locator('[data-axle="rear"]')).toHaveText('641 kg')
  await expect(picture.locator('[data-corner="rearRight"]')).toHaveText('306 kg')
  await page.getByLabel('Rear right', { exact: true }).fill('356')
  await page.getByLabel('Rear right', { exact: true }).press('Tab')
  await expect(picture.locator('[data-corner="rearRight"]')).toHaveText('356 kg')
  await expect(picture.locator('[data-axle="rear"]')).toHaveText('691 kg')
  const hook = page.getByTestId('sling-picture').first().locator('circle.hook')
  const centre = page.getByTestId('sling-picture').first().locator('circle.centre')
  expect(Number(await centre.getAttribute('cx'))).toBeCloseTo(Number(await hook.getAttribute('cx')), 3)
  await page.keyboard.press('Control+z')
  await expect(picture.locator('[data-axle="rear"]')).toHaveText('641 kg')
})

test('torque stands along the line by gear, and the gears as a saw-tooth', async ({ page }) => {
  await openCard(page, 'the long van')
  await page.getByTestId('state').waitFor()
  await goWithin(page, '/b/osier-van/strength')
  const along = page.getByTestId('torque-along')
  await expect(along).toContainText('1, R · 1 152 N·m')
  await expect(along).toContainText('2 · 850 N·m')
  await expect(along).toContainText('engine 340 N·m')
  await expect(along).toContainText('the tyres let go at 1 152 N·m')
  await expect(page.getByRole('img', { name: /^Through the gears/ })).toBeVisible()
  await page.getByLabel('Gear 2', { exact: true }).fill('2.8')
  await page.getByLabel('Gear 2', { exact: true }).press('Tab')
  await expect(along).toContainText('2 · 952 N·m')
})

test(
  'while a lever is in the hand, rows out of sight wait; let go, they say the same',
  { tag: '@proved' },
  async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 640 })
    await openDemo(page)
    await expect(cureButton(page)).toBeVisible()
    const row = page.getByRole('tabpanel').locator('button[aria-expanded]').first()
    const before = await row.textContent()
    const lever = page.getByTestId('lever-tail')
    await lever.focus()
    await expect(row).not.toBeInViewport()
    await page.keyboard.down('ArrowUp')
    await expect(lever).not.toHaveAttribute('aria-valuetext', 'as measured')
    expect(await row.textContent()).toBe(before)
    await page.keyboard.up('ArrowUp')
    await expect(row).not.toHaveText(before ?? '')
    await saved(page)
  },
)

test('drawing, checks and levers scroll by themselves at the bench', async ({ page }) => {
  await openBay(page)
  const panel = page.getByRole('tabpanel')
  await panel.evaluate((one) => one.scrollTo(0, one.scrollHeight))
  expect(await panel.evaluate((one) => one.scrollTop)).toBeGreaterThan(200)
  expect(await page.evaluate(() => window.scrollY)).toBe(0)
  await expect(page.getByTestId('pane-side')).toBeInViewport()
  await page.getByRole('tab', { name: 'Find a setting' }).click()
  await expect(page.getByTestId('pane-side')).toBeInViewport()
})

test('no sheet, table or picture is wider than a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const [demo, id] of [
    ['Open the demo', 'fen-tender'],
    ['Open the four-wheel drive', 'sorrel-hauler'],
    ['Open the linked axle', 'tansy-wagon'],
    ['Open the hatch', 'medlar-hatch'],
  ] as const) {
    await page.goto('/')
    await page.getByRole('button', { name: demo, exact: true }).click()
    await page.getByTestId('state').waitFor()
    for (const view of ['sheet', 'weight', 'strength', 'parts', 'line']) {
      await goWithin(page, `/b/${id}/${view}`)
      await expect(page.getByRole('main')).toContainText(/\w/)
      const width = await page.evaluate(() => document.documentElement.scrollWidth)
      expect([id, view, width]).toEqual([id, view, 390])
    }
  }
})
