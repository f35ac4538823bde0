import { readFileSync } from 'node:fs'
import parseStl from 'parse-stl'
import { photograph } from '../support/photograph'
import { grave } from './axe'
import { openCard, saved } from './bench'
import { expect, test } from './browser'
import type { Locator, Page } from '@playwright/test'

const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).click()
async function type(within: Page | Locator, label: string, figure: string): Promise<void> {
  const field = within.getByLabel(label, { exact: true })
  await field.fill(figure)
  await field.press('Enter')
}
const fold = (within: Page | Locator, title: string) => within.getByRole('button', { name: title })
async function narrow(page: Page): Promise<void> {
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
}
async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click()
  await page.getByRole('option', { name: option, exact: true }).click()
}

test('a crossmember another way: round tube with pressed ends, an old bar, bends in the order of the press, undone, kept', async ({
  page,
}) => {
  await openCard(page, 'the tight bay', 'make')
  const ways = page.getByTestId('member-ways').locator('tbody tr')
  await expect(page.getByTestId('rail-wedges').locator('li')).toHaveText([
    'left rail: 0.78° off the bar, 1.3 mm at its thick corner, forward and left: the bolts or a fillet bridge it',
    'right rail: 2.14° off the bar, 3.6 mm at its thick corner, forward and right: a fillet’s leg grows by the gap, or file the pad',
  ])
  const add = async (kind: string) => {
    await page.getByRole('button', { name: 'Another way' }).click()
    await page.getByRole('menuitem', { name: kind }).click()
  }
  await add('round tube, bent over a mandrel')
  await page.getByRole('radio', { name: /^round tube, bent/ }).click()
  await expect(ways.nth(4)).toContainText('48.3 × 4 round tube')
  // 2000 · 316 · 325 / 641 over π(48.3⁴ − 40.3⁴)/(32 · 48.3), of 235.
  await expect(ways.nth(4)).toContainText('24 %')
  await type(page, 'Pressed flat, from the bolt', '20')
  await expect(ways.nth(4)).toContainText('both ends pressed flat')
  // The round of it bears 24 %, the flats more.
  await expect(page.locator('.check', { hasText: 'stress of its yield' })).toContainText('28 %')
  await add('old bar, moved by plates')
  await expect(ways.nth(5)).toContainText('the old bar: its seat from both bolts')
  await page.getByRole('radio', { name: /^old bar/ }).click()
  for (const [label, figure] of [
    ['Left bolt to its seat', '300'],
    ['Right bolt to its seat', '310'],
    ['Seat ahead of its bolts', '-25'],
    ['Seat over its ends', '20'],
  ] as const)
    await type(page, label, figure)
  await expect(ways.nth(5)).toContainText('plates: 25.0 mm forward; left end 12.0 mm up, 16.0 mm inward')
  await expect(page.getByTestId('member-cuts')).toContainText('plate, left90 × 10 flat105.0 mm')
  await page.getByRole('radio', { name: /^bent flat/ }).click()
  await fold(page, 'The press it is bent in').click()
  for (const [label, figure] of [
    ['Opening of the die', '60'],
    ['Die block along the bar', '120'],
    ['Ram along the bar', '40'],
  ] as const)
    await type(page, label, figure)
  await expect(
    page.getByRole('heading', { name: 'Along the blank, in the order of the press' }),
  ).toBeVisible()
  await expect(page.getByTestId('member-corners').locator('li', { hasText: 'turn it over' })).toHaveCount(1)
  await type(page, 'Opening of the die', '200')
  await expect(page.getByTestId('press-refused').first()).toHaveText(
    'bend 1 cannot be pressed once 2 of them are bent: less than half the die is straight beside it',
  )
  await undo(page)
  await expect(page.getByTestId('press-refused')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(ways).toHaveCount(6)
  await expect(page.getByTestId('member-corners').locator('li', { hasText: 'turn it over' })).toHaveCount(1)
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('mounts told by a push and pried in, weight still to come, undone', async ({ page }) => {
  await openCard(page, 'the tight bay', 'mounts')
  const tail = page.getByRole('group', { name: 'gearbox mount' })
  await fold(tail, 'From a push at it').click()
  await type(tail, 'Pushed by', '900')
  await type(tail, 'Gave by', '1.5')
  await expect(tail).toContainText('square to its bolt 600 N/mm')
  await tail.getByRole('button', { name: 'Take it' }).click()
  await expect(tail.getByLabel('square to its bolt')).toHaveValue('600')
  await fold(tail, 'Its hole was off').click()
  await type(tail, 'up', '2')
  await expect(page.getByTestId('mount-strain')).toHaveText(
    'Pried in: gearbox mount: 1200 N stays in its bolt, 1200 up',
  )
  const cases = page.getByTestId('mount-cases').locator('tbody tr')
  await expect(cases).toHaveCount(9)
  await saved(page)
  await page.goto(page.url().replace('/mounts', '/weight'))
  await page.getByLabel('Part of the unit, still to come').nth(2).click()
  await saved(page)
  await page.goto(page.url().replace('/weight', '/mounts'))
  await expect(cases).toHaveCount(10)
  await expect(cases.last()).toContainText('with what is still to come')
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeEnabled()
  await undo(page)
  await expect(cases).toHaveCount(9)
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('a drill guide as a solid of its size, turned into a gusset by key, undone, kept', async ({ page }) => {
  await openCard(page, 'the tight bay', 'pieces')
  const told = page.getByTestId('piece-told')
  await expect(told).toHaveText('The drill may come out 0.5 mm off: pilot, look, then full size.')
  const coming = page.waitForEvent('download')
  await page.getByRole('button', { name: 'STL', exact: true }).click()
  const { positions } = parseStl(readFileSync(await (await coming).path()))
  const sizes = [0, 1, 2].map((k) => {
    const all = positions.map((one) => one[k as 0])
    return Math.max(...all) - Math.min(...all)
  })
  expect(sizes).toEqual([expect.closeTo(70, 2), expect.closeTo(45, 2), expect.closeTo(35, 2)])
  await type(page, 'Play of the drill in it', '0.4')
  await expect(told).toContainText('1.0 mm off')
  await choose(page, 'Guides and gussets', 'gusset, mount ear')
  // 6 · 1600 · 45 / (64 · 60).
  await expect(told.first()).toContainText('The tab alone bears 113 N/mm², 48 % of yield')
  await type(page, 'Load on it', '3200')
  await expect(told.first()).toContainText('225 N/mm²')
  await undo(page)
  await expect(told.first()).toContainText('113 N/mm²')
  await saved(page)
  await page.reload()
  await expect(told).toContainText('1.0 mm off')
  // What it was made of is asked once it is cut.
  const grade = page.getByLabel('Steel, and where it came from')
  await expect(grade).toHaveCount(0)
  await choose(page, 'How far it is', 'cut')
  await type(page, 'Steel, and where it came from', 'C45, off the old press')
  await saved(page)
  await page.reload()
  await expect(grade).toHaveValue('C45, off the old press')
  await undo(page)
  await expect(grade).toHaveValue('')
  expect(await grave(page)).toEqual([])
  await narrow(page)
})

test('on a phone: a hole that is off, a photograph with a tick, diagonals that stop the next tack, all taken back', async ({
  page,
  context,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openCard(page, 'the tight bay', 'plates')
  await page.getByRole('link', { name: 'Step by step, one a screen' }).click()
  const step = page.getByTestId('step')
  await page.getByRole('button', { name: 'Done, next' }).click()
  await expect(step).toContainText('bolt in hole')
  await page.getByRole('button', { name: 'Off', exact: true }).click()
  await page.getByRole('button', { name: '4', exact: true }).click()
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(step).toContainText('it is off, toward 4 o’clock')
  await page
    .getByLabel('Done, with a photo')
    .setInputFiles({ name: 'hole.png', mimeType: 'image/png', buffer: await photograph(context) })
  await expect(page.getByTestId('step-photo')).toBeVisible()
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(page.getByTestId('step-photo')).toBeVisible()
  await page.getByRole('button', { name: 'Not done yet' }).click()
  await expect(page.getByTestId('step-photo')).toHaveCount(0)
  expect(await grave(page)).toEqual([])
  await narrow(page)
  // What is read of a weld is typed on its own page, from the step that asks for it.
  await page.goto(page.url().replace(/\/steps.*/, '/steps?of=weld&thing=strut-weld'))
  while (!(await step.innerText()).includes('strut head to right rail'))
    await page.getByRole('button', { name: 'Next', exact: true }).click()
  await page.getByRole('link', { name: 'Type what you read' }).click()
  await expect(page.getByRole('combobox', { name: 'Tack, check, weld' })).toHaveText(
    'strut to the cross tube',
  )
  const keep = async (first: string, second: string) => {
    await type(page, 'One diagonal', first)
    await type(page, 'The other', second)
    await page.getByRole('button', { name: 'Keep both' }).click()
  }
  await keep('1000', '999')
  await keep('1001.4', '998')
  await expect(page.getByTestId('weld-square')).toHaveText(
    'Stop: the first diagonal grew by 2.4 mm; the next tack at the other corner.',
  )
  await page.getByRole('button', { name: 'Take the last back' }).click()
  await expect(page.getByTestId('weld-square')).toHaveCount(0)
  expect(await grave(page)).toEqual([])
})

test('what lies on a plate stays free; a hump taken loaded, undone', async ({ page }) => {
  await openCard(page, 'the tight bay', 'plates')
  await fold(page, 'What lies on it and stays free').click()
  await page.getByRole('button', { name: 'Another', exact: true }).click()
  await expect(page.getByTestId('plate-note').first()).toContainText('accessory: cut the plate back by')
  await type(page, 'Its middle, along', '900')
  await expect(page.getByTestId('plate-note').first()).toContainText('more than its gap are free')
  await undo(page)
  await expect(page.getByTestId('plate-note').nth(1)).toContainText('hides the bolt of hole')
  // Spacers that are there, as deep as their bosses but for one.
  const there = page.getByLabel('Spacer there', { exact: true })
  await expect(there).toHaveCount(5)
  for (const [k, mm] of ['5.2', '3', '3.6', '4.1', '5.5'].entries())
    await type(page.getByRole('group', { name: `Hole ${'ABCDE'[k]}`, exact: true }), 'Spacer there', mm)
  await expect(page.getByTestId('plate-note').last()).toContainText(
    'it lies on B, C, E and rocks by 0.44 mm: 0.44 mm are open at A, 0.24 mm are open at D.',
  )
  await type(page.getByRole('group', { name: 'Hole E', exact: true }), 'Spacer there', '5')
  await expect(page.getByTestId('plate-note').last()).toContainText('it lies flat on all; it leans 0.00°')
  await fold(page, 'From coordinates').click()
  await fold(page, 'Evenly on a circle').click()
  await choose(page, 'Measured', 'to the opposite hole, or the farthest')
  // Five holes: the farthest of a circle of 100 is cos 18° of it off.
  await type(page, 'So far', '95.106')
  await page.getByRole('button', { name: 'Lay 5 holes on it' }).click()
  const hole = page.getByRole('group', { name: 'Hole A', exact: true }).last()
  await expect(hole.getByLabel('up', { exact: true })).toHaveValue('50')
  await undo(page)
  await expect(hole.getByLabel('up', { exact: true })).toHaveValue('')
  expect(await grave(page)).toEqual([])
  await saved(page)
  await page.goto(page.url().replace('/plates', '/humps'))
  const least = page.getByTestId('hump-lows').locator('tbody tr').first()
  const before = await least.innerText()
  await type(page, 'Loaded: front down by', '40')
  await expect(least).not.toHaveText(before)
  await undo(page)
  await expect.poll(() => least.innerText()).toBe(before)
})
