import { expect, test } from './browser'
import { newBuild, openDemo, saved } from './bench'

test.use({ serviceWorkers: 'allow', ownBrowser: true })

test('works without a network after the first load, a reload in the middle of a reading included', async ({
  page,
  context,
}) => {
  await openDemo(page)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // The worker takes over with the next load; by then everything is kept.
  await page.reload()
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
  await context.setOffline(true)
  await page.goto('/b/fen-tender/readings?step=axis-level-pinion')
  await page.getByTestId('digits').fill('86.7')
  await page.reload()
  await expect(page.getByTestId('digits')).toHaveValue('86.7')
  await expect(page.getByTestId('echo')).toContainText('to the chassis nose up 4.10°')
  await page.getByTestId('digits').press('Enter')
  await saved(page)
  // The tool is simulated on the device where no server answers.
  await page.getByTestId('digits').press('t')
  await expect(page.getByTestId('instrument')).toContainText('simulated on this device')
  await page.goto('/b/fen-tender/line')
  await expect(page.getByTestId('state')).toContainText('under drive is')
  await page.getByRole('tab', { name: 'Over one turn' }).click()
  await expect(page.getByRole('tabpanel').locator('svg').first()).toBeVisible()
  await newBuild(page, 'Begun offline')
  await context.setOffline(false)
})
