import { grave } from './axe'
import { expect, test } from './browser'
import { goWithin, openDemo } from './bench'

/** Every main view by day; by night those whose colours are not all the theme's own. */
const VIEWS = {
  light: [
    'readings',
    'setups',
    'tools',
    'datum',
    'compare',
    'line',
    'line?drawer=parts',
    'parts',
    'parts?part=joint/0',
    'strength',
    'weight',
    'place',
    'travel',
    'line?drawer=limits',
    'sheet',
  ],
  dark: ['readings', 'datum', 'line', 'line?drawer=limits'],
} as const

for (const colorScheme of ['light', 'dark'] as const) {
  test.describe(colorScheme, () => {
    test('axe finds nothing serious on any main view', async ({ page }) => {
      test.setTimeout(120_000)
      await page.emulateMedia({ colorScheme })
      await page.goto('/')
      await expect(page.getByRole('heading', { name: 'Builds', exact: true })).toBeVisible()
      expect(await grave(page)).toEqual([])
      await openDemo(page)
      for (const view of VIEWS[colorScheme]) {
        await goWithin(page, `/b/fen-tender/${view}`)
        await expect(page.getByRole('main')).toContainText(/\w/)
        expect({ view, faults: await grave(page) }).toEqual({ view, faults: [] })
      }
    })
  })
}

test('the first view loads under 250 kB of compressed script', async ({ browser }) => {
  const page = await browser.newPage()
  let bytes = 0
  const seen = new Set<string>()
  page.on('response', (response) => {
    if (!response.url().endsWith('.js') || seen.has(response.url())) return
    seen.add(response.url())
    bytes += Number(response.headers()['content-length'] ?? 0)
  })
  await page.goto('/')
  await expect(page.getByRole('button', { name: 'New build' })).toBeVisible()
  expect(bytes).toBeGreaterThan(50_000)
  expect(bytes).toBeLessThan(250_000)
})

test('a whole visit needs no mouse', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByText('No builds yet')).toBeVisible()
  await page.getByRole('button', { name: 'New build' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByLabel('Vehicle or name of the build')).toBeFocused()
  await page.keyboard.type('By keyboard')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('digits')).toBeFocused()
  await page.keyboard.type('0.8')
  // A radio group is one stop; arrows choose in it.
  await page.keyboard.press('Tab')
  // As long as a finger takes: the choice follows while the key is down.
  await page.keyboard.down('ArrowRight')
  await expect(page.getByRole('radio', { name: 'front is lower' })).toBeChecked()
  await page.keyboard.up('ArrowRight')
  await expect(page.getByRole('radio', { name: 'front is lower' })).toBeFocused()
  await page.getByTestId('digits').press('Enter')
  await expect(page.getByRole('heading', { name: 'Chassis, across' })).toBeVisible()
  await expect(page.getByTestId('digits')).toBeFocused()
})
