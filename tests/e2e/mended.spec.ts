import { expect, test } from './browser'
import { openDemo, takeCommand } from './bench'

test('a reading that cannot be understood is refused at Next, and stays to be mended', async ({ page }) => {
  await openDemo(page, 'readings?step=axis-level-pinion')
  await page.getByTestId('digits').fill('3.13.1')
  await page.getByTestId('digits').press('Enter')
  const refused = page.getByTestId('echo').getByRole('alert')
  await expect(refused).toContainText('It is not taken')
  await expect(page.getByRole('heading', { name: /Pinion/ }).first()).toBeVisible()
  await expect(page.getByTestId('digits')).toHaveValue('3.13.1')
  await page.getByTestId('digits').fill('3.1')
  await expect(refused).toBeHidden()
})

test('the list of commands leads to every view', async ({ page }) => {
  await openDemo(page)
  const views = {
    Parts: 'parts',
    Schools: 'schools',
    Map: 'map',
    'Strength and speed': 'strength',
    Mating: 'mating',
    Weight: 'weight',
    'Way in': 'way-in',
    Halfshafts: 'halfshafts',
    Photograph: 'trace',
    'Datum points': 'datum',
    Compare: 'compare',
    Chains: 'chains',
  }
  for (const [name, key] of Object.entries(views)) {
    await takeCommand(page, name)
    await expect(page).toHaveURL(new RegExp(`/b/fen-tender/${key}`))
    await expect(page.getByRole('main')).toContainText(/\w/)
  }
})

test('the sentence on top is whole in its place, and what does not fit opens for who looks at it', async ({
  page,
}) => {
  await openDemo(page)
  const words = page.getByTestId('state').locator('.words')
  const cut = () => words.evaluate((one) => one.scrollHeight - one.clientHeight)
  expect(await cut()).toBeLessThanOrEqual(1)
  await page.setViewportSize({ width: 390, height: 844 })
  await words.focus()
  expect(await cut()).toBeLessThanOrEqual(1)
})
