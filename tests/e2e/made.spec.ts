import { readFileSync } from 'node:fs'
import { grave } from './axe'
import { openCard, saved } from './bench'
import { expect, test } from './browser'
import type { Page } from '@playwright/test'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
const narrow = async (page: Page) => {
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
}
async function type(page: Page, label: string, figure: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(figure)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

test('a tube from axes of the build: sawn, wrapped, its prints measured, made square by key, undone, kept', async ({
  page,
  context,
}) => {
  await openCard(page, 'the tight bay', 'tubes')
  const steps = page.getByTestId('tube-steps').locator('li')
  await expect(steps).toHaveText([
    'saw 337.3 mm of 38 × 3 round tube and scribe one line along it, the match line',
    'wrap both prints with their edges along the match line, their straight edges 190.7 mm apart',
    'the second end is turned by 170.0° against the first: the print holds it, if both wraps begin at one line',
    'between the cuts along the match line: 332.3 mm',
  ])
  await expect(page.getByTestId('tube-cuts').locator('tbody tr').first()).toContainText('47.8°')
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'SVG', exact: true }).click()
  const sheet = await context.newPage()
  await sheet.setContent(readFileSync(await (await coming).path(), 'utf8'))
  const wraps = await sheet.evaluate(() =>
    [...document.querySelectorAll('#cut polygon')].map((one) => {
      const { width, height } = one.getBoundingClientRect()
      return [(width * 25.4) / 96, (height * 25.4) / 96]
    }),
  )
  // As wide as the tube and its paper are round; from the tip of the first cut, 25.99, to its edge at 90.
  expect(wraps.map(([wide]) => wide)).toEqual([expect.closeTo(119.69, 1), expect.closeTo(119.69, 1)])
  expect(wraps[0]![1]).toBeCloseTo(90 - 25.99, 1)
  await sheet.close()
  await type(page, 'Outside', '42')
  await expect(steps.first()).toContainText('42 × 3 round tube')
  const second = page.getByRole('group', { name: 'Its second end' })
  await second.getByRole('checkbox').focus()
  await page.keyboard.press('Space')
  await expect(page.getByTestId('tube-cuts').locator('tbody tr').nth(1)).toContainText('cut square')
  await undo(page)
  await undo(page)
  await page.getByRole('button', { name: 'Take it as made to this setting' }).click()
  await expect(page.getByTestId('tube-stale')).toHaveText('It lies as it did when it was taken as made.')
  await saved(page)
  await page.reload()
  await expect(steps.first()).toContainText('saw 337.3 mm')
  await expect(page.getByTestId('tube-stale')).toBeVisible()
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('over a hump and out of a jig: what touches first, rolled by key, what traps a part, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'humps')
  const answer = page.getByTestId('hump-answer')
  await expect(answer).toHaveText('Nothing touches; downpipe bend comes nearest, by 199.1 mm.')
  await page.getByRole('slider', { name: 'Front axle along the hump' }).focus()
  const where = page.getByText('Front axle 520.0 mm past the middle')
  await expect(where).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(where).toBeHidden()
  await type(page, 'Length', '700')
  await type(page, 'Height', '340')
  await expect(answer).toContainText('touches first, with the front axle')
  await saved(page)
  await page.reload()
  await expect(answer).toContainText('touches first')
  await undo(page)
  await undo(page)
  await expect(answer).toContainText('by 199.1 mm')
  expect(await grave(page)).toEqual([])
  await narrow(page)
  await page.getByRole('link', { name: 'Comes out?' }).click()
  const out = page.getByTestId('release-answer')
  await expect(out).toContainText('It comes out straight down, and no other way.')
  await page.getByRole('button', { name: 'Delete dowel in the right rail' }).click()
  await page.getByRole('button', { name: 'Another face' }).click()
  await expect(out).toContainText('Take out four rail bolts; then it comes out')
  await undo(page)
  await undo(page)
  await expect(out).toContainText('straight down')
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('a crossmember taken as made, stepped through on a phone, tacked, welded, read again without the old figure', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'make')
  await page.getByRole('button', { name: 'Take it as made to this setting' }).click()
  await expect(page.getByTestId('member-stale')).toHaveText('Its seats lie as they did when it was made.')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.getByRole('link', { name: 'Step by step, one a screen' }).click()
  const step = page.getByTestId('step')
  await expect(step).toContainText('746.7 mm')
  await page.getByRole('button', { name: 'Done, next' }).click()
  await expect(step).toContainText('notch 1')
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('step-where')).toHaveText('Step 2 of 6')
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(step).toContainText(/done \d{4}-\d\d-\d\d/)
  await page.getByRole('button', { name: 'Not done yet' }).click()
  await expect(page.getByText('0 of 6 done')).toBeVisible()
  expect(await grave(page)).toEqual([])
  await narrow(page)
  await page.goto(page.url().replace(/\/steps.*/, '/welds'))
  await expect(page.getByTestId('weld-answer')).toHaveText('Nothing drew further than it may.')
  await page.getByRole('combobox', { name: 'Tack, check, weld' }).click()
  await page.getByRole('option', { name: 'strut to the cross tube' }).click()
  await expect(page.getByTestId('weld-steps')).toContainText('0.70 mm (by 1 of your own weld)')
  await expect(page.getByTestId('tack-next')).toHaveText('Next is tack 3 of 3')
  await page.getByRole('button', { name: 'Tack made' }).click()
  await expect(page.getByTestId('tack-next')).toHaveText('All tacks are made.')
  await page.getByRole('button', { name: 'It is welded: let it grow cold' }).click()
  await expect(page.getByTestId('weld-hot')).toContainText(/^Hot since \d\d:\d\d, 0 min ago/)
  const head = page.getByTestId('weld-reading').nth(1)
  await expect(head).toContainText('hidden')
  await expect(head).not.toContainText('648.5')
  await head.getByLabel('Welded').fill('646.9')
  await head.getByLabel('Welded').press('Enter')
  await expect(head).toContainText('648.5 mm')
  await expect(head).toContainText('−1.6 mm')
  await expect(page.getByTestId('weld-answer')).toHaveText(
    'Drew too far: strut head to right rail; 1 still to be read.',
  )
  await saved(page)
  await page.reload()
  await page.getByRole('combobox', { name: 'Tack, check, weld' }).click()
  await page.getByRole('option', { name: 'strut to the cross tube' }).click()
  await expect(head).toContainText('−1.6 mm')
  await undo(page)
  await expect(head).toContainText('hidden')
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('the third mount stands where its gaps have the most room; what is temporary is made good, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the hatch', 'mounts')
  const third = page.getByTestId('third-mount')
  await expect(third).toContainText('rear torque mount may stand so far')
  const text = await third.innerText()
  const [, from, to, best] =
    /From ([\d.]+) mm down to ([\d.]+) mm up\.\s*Most room at ([\d.]+) mm up/.exec(text) ?? []
  expect(Number(best)).toBeGreaterThan(0)
  // As far from where it is lost upward as from where it is lost downward, to the millimetre that can be made.
  expect(Math.abs((Number(to) - Number(from)) / 2 - Number(best))).toBeLessThan(1)
  await third.getByRole('button', { name: 'Set it there' }).click()
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('state')).toBeVisible()
  expect(await grave(page)).toEqual([])
  await openCard(page, 'the tight bay', 'temporary')
  const answer = page.getByTestId('temporary-answer')
  await expect(answer).toHaveText('2 things are not yet as they will be.')
  await expect(page.getByTestId('temporary').first()).toContainText('6.0 mm larger than the real part')
  await page.getByRole('button', { name: 'It is made good' }).first().click()
  await expect(answer).toHaveText('One thing is not yet as it will be.')
  await undo(page)
  await expect(answer).toHaveText('2 things are not yet as they will be.')
  await page.getByRole('button', { name: 'It is made good' }).nth(1).click()
  await saved(page)
  await page.reload()
  await expect(answer).toHaveText('One thing is not yet as it will be.')
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('bolts in the slots of a cart: long, tight and held by friction, too few of them refused, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the yard cart', 'bolts')
  const lines = page.getByTestId('bolt-lines').locator('li')
  await expect(page.getByTestId('bolt-answer')).toHaveText('M8 × 30, 8.8')
  await expect(lines).toContainText([
    'tighten to 26 N·m dry',
    'grip 16.0 mm',
    'slot 40.0 mm long',
    '5.0 mm over',
    '2.2 times',
  ])
  await type(page, 'Bolts like it', '2')
  await expect(lines.last()).toContainText('only 1.1 times what pulls: a pin, a jack bolt, or another bolt')
  await saved(page)
  await page.reload()
  await expect(lines.last()).toContainText('only 1.1 times')
  await undo(page)
  await expect(lines.last()).toContainText('2.2 times')
  await page.getByRole('checkbox', { name: 'It sits in a slot' }).focus()
  await page.keyboard.press('Space')
  await expect(lines).toHaveCount(2)
  expect(await grave(page)).toEqual([])
  await narrow(page)
})
