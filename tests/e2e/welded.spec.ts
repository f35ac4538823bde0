import type { Page } from '@playwright/test'
import { grave } from './axe'
import { openCard, saved } from './bench'
import { expect, test } from './browser'

/** The demo's own readings of the mounts, the tail 2 mm lower. */
const AGAIN = [
  ['left engine mount', '152', 'left', '262', '78'],
  ['right engine mount', '152', 'right', '266', '76'],
  ['tail mount', '986', 'left', '2', '12'],
] as const

async function read(page: Page, label: string, figure: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(figure)
  await page.getByLabel(label, { exact: true }).press('Tab')
}

test('where the powertrain stands once welded is read without the old figures: points, joints, what is worse; kept and undone', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'welds')
  await page.getByRole('button', { name: 'Read where it stands' }).click()
  await expect(page.getByTestId('weld-stand-missing')).toBeVisible()
  await page.getByText('Read points again').click()
  const tail = page.getByLabel('tail mount, above the plane', { exact: true })
  await expect(tail).toHaveValue('')
  await expect(tail).toHaveAttribute('placeholder', '')
  for (const [mount, station, side, offset, height] of AGAIN) {
    await read(page, `${mount}, behind the datum`, station)
    await read(page, `${mount}, ${side} of centre`, offset)
    await read(page, `${mount}, above the plane`, height)
  }
  const points = page.getByTestId('weld-stand-points').locator('tbody tr')
  await expect(points).toHaveCount(9)
  await expect(points.nth(8)).toContainText(
    /tail mount, above the plane\s*14\.0 mm\s*12\.0 mm\s*−2\.0 mm ± \d\.\d mm/,
  )
  await expect(points.nth(4)).toContainText(/right engine mount, right\s*266\.0 mm\s*266\.0 mm\s*0\.0 mm ±/)
  const joints = page.getByTestId('weld-stand-joints').locator('tbody tr')
  await expect(joints.first()).toContainText(/joint 1\s*1\.09°\s*1\.14°\s*\+0\.05° ± 0\.\d\d°/)
  await expect(page.getByTestId('weld-stand')).toContainText(
    'It stands as it stood tacked, as far as the readings tell.',
  )
  await saved(page)
  await page.reload()
  await expect(points.nth(8)).toContainText('−2.0 mm')

  // Against a lift-in that was packed 10 higher at the tail, it came down by all of that and the two.
  await page.getByRole('combobox', { name: 'Tacked', exact: true }).click()
  await page.getByRole('option', { name: 'tail up 10', exact: true }).click()
  await expect(points.nth(8)).toContainText('−12.0 mm')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(points.nth(8)).toContainText('−2.0 mm')
  expect(await grave(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})
