import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { goWithin, openBay, saved } from './bench'
import { grave } from './axe'
import { expect, test } from './browser'

const view = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Placing' }).getByRole('link', { name }).click()

test('a stack of sizes is judged at its worst, follows a thicker adapter, and survives reload and undo', async ({
  page,
}) => {
  await openBay(page)
  await view(page, 'Mating')
  const pilot = page.getByRole('article', { name: 'Pilot in its bush' })
  await expect(pilot).toContainText('Left over13.1 mmholds')
  await expect(pilot).toContainText('every part at its worst12.1 mm to 14.1 mm')
  const release = page.getByRole('article', { name: 'Release bearing, free travel' })
  await expect(release).toContainText('2.5 mmtight')
  // Another adapter: 2.4 mm more of it take as much from the pilot and give it to the bearing.
  await pilot.getByLabel('Size: adapter plate').fill('14,4')
  await pilot.getByLabel('Size: adapter plate').press('Tab')
  await expect(pilot).toContainText('Left over10.7 mmtight')
  await pilot.getByLabel('Size: adapter plate').fill('thick')
  await pilot.getByLabel('Size: adapter plate').press('Tab')
  await expect(pilot.getByRole('alert')).toContainText('thick')
  await expect(pilot).toContainText('Left over10.7 mm')
  await saved(page)
  await page.reload()
  await expect(pilot).toContainText('Left over10.7 mmtight')
  await page.keyboard.press('Control+z')
  await expect(pilot).toContainText('Left over13.1 mmholds')

  // A new stack begins with its parts and says which sizes are missing.
  await page.getByLabel('New stack').first().click()
  await page.getByRole('option', { name: 'Converter pull' }).click()
  await page.getByRole('button', { name: 'New stack' }).click()
  const pull = page.getByRole('article', { name: 'Converter pull' })
  await expect(pull).toContainText('the size of “drive plate behind the block face”')
  await pull.getByLabel('Size: bell housing').fill('160')
  await pull.getByLabel('Size: adapter plate').fill('12')
  await pull.getByLabel('Size: drive plate behind the block face').fill('30')
  await pull.getByLabel('Size: converter pads, pushed home').fill('138.5')
  await pull.getByLabel('Size: converter pads, pushed home').press('Tab')
  await expect(pull).toContainText('Left over3.5 mm')
  await pull.getByRole('button', { name: 'Delete this stack: Converter pull' }).click()
  await expect(pull).toHaveCount(0)
})

test('a dial is read round the clock: offset, dowels and the side to pack', async ({ page }) => {
  await openBay(page)
  await view(page, 'Mating')
  const bore = page.getByRole('article', { name: 'Bell housing bore' })
  await expect(bore).toContainText('Bore centre 0.19 mm off the crank toward about 7 o’clock (205°)')
  await expect(bore).toContainText('Dowels offset by 0.18 mm, the housing moved toward about 1 o’clock (25°)')
  await expect(page.getByRole('article', { name: 'Bell housing face' })).toContainText(
    'Face leans 0.026°, furthest back at about 2 o’clock (66°)',
  )
  await page.getByRole('button', { name: 'Dial the bore' }).click()
  const fresh = page.getByRole('article', { name: 'Bell housing bore' }).last()
  await fresh.getByLabel('Places: Bell housing bore').click()
  await page.getByRole('option', { name: '4 places' }).click()
  await expect(fresh).toContainText('three places well round the clock, 0 are read')
  // By hand: least at 12, so the bore stands above the crank by half of 0.4.
  for (const [place, text] of [
    ['12', '-0.2'],
    ['3', '0'],
    ['6', '0.2'],
    ['9', 'nought'],
  ] as const) {
    await fresh.getByLabel(`Dial at ${place} o’clock`).fill(text)
    await fresh.getByLabel(`Dial at ${place} o’clock`).press('Tab')
  }
  await expect(fresh).toContainText('at 9 o’clock')
  await fresh.getByLabel('Dial at 9 o’clock').fill('0')
  await fresh.getByLabel('Dial at 9 o’clock').press('Tab')
  await expect(fresh).toContainText('Bore centre 0.20 mm off the crank toward 12 o’clock')
  await expect(fresh).toContainText('total reading 0.40 mm')
  await fresh.getByLabel('The dial counts down').click()
  await expect(fresh).toContainText('toward 6 o’clock')
})

test('weights follow what goes in and out, and the hook is placed for the tilt', async ({ page }) => {
  await openBay(page)
  await view(page, 'Weight')
  const row = (key: string) => page.locator(`[data-load="${key}"]`)
  await expect(row('total')).toContainText('1388 kg1376 kg−12 kg')
  await expect(row('frontShare')).toContainText('55.5 %53.4 %')
  await expect(page.getByTestId('hang')).toHaveText('8.2° tail down')
  await expect(page.getByTestId('hook-for')).toHaveText(
    'Put the hook at station 44.2 mm to hang 35.0° tail down.',
  )
  await page.getByLabel('Weight: engine with clutch').fill('201')
  await page.getByLabel('Weight: engine with clutch').press('Tab')
  await expect(row('total')).toContainText('1406 kg+18 kg')
  await page.getByRole('button', { name: 'Add a thing' }).click()
  await expect(page.getByText('the weight of “another thing”')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(row('total')).toContainText('1406 kg')
  await page.getByLabel('Hook, height').fill('100')
  await page.getByLabel('Hook, height').press('Tab')
  await expect(page.getByText('The hook has to be above the centre of gravity.')).toBeVisible()
})

test('the way in is found, stepped and shown; with the crossmember in it is proved not to be there', async ({
  page,
}) => {
  await openBay(page)
  await view(page, 'Way in')
  await page.getByRole('button', { name: 'Find the way' }).click()
  const sentence = page.getByTestId('way-sentence')
  await expect(sentence).toContainText('It goes in as one on its wheels, 10.0 mm clear.')
  const steps = page.getByRole('region', { name: 'Step by step' }).getByRole('button')
  await expect(steps.first()).toContainText('150.0 mm ahead, 700.0 mm up, 20.0° tail down: hang it there')
  await expect(steps.last()).toContainText('in its place: bolt it up')
  const unit = page.getByTestId('swing-unit').locator('path').first()
  const hanging = await unit.getAttribute('d')
  await steps.last().click()
  await expect(unit).not.toHaveAttribute('d', hanging ?? '')
  // Installed, its front lower corner is where the file has it.
  await expect(unit).toHaveAttribute('d', /^M34\.0 -60\.0/)
  await page.getByTestId('swing-along').getByRole('slider').focus()
  await page.keyboard.press('Home')
  await expect(unit).toHaveAttribute('d', hanging ?? '')

  await page.getByLabel('front crossmember').click()
  await expect(page.getByText('The plan has changed since: look again.')).toBeVisible()
  await page.getByRole('button', { name: 'Find the way' }).click()
  await expect(sentence).toContainText('Proved: it does not go in as one up to a lift of 600.0 mm.')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('front crossmember')).not.toBeChecked()
})

test('all of it goes out in the file and comes back the same', async ({ page }) => {
  await openBay(page)
  await view(page, 'Weight')
  await page.getByLabel('Front left', { exact: true }).fill('400')
  await page.getByLabel('Front left', { exact: true }).press('Tab')
  await saved(page)
  const download = page.waitForEvent('download')
  await page.keyboard.press('Control+k')
  await page.getByPlaceholder('What do you want to do?').fill('Export')
  await page
    .getByRole('option', { name: /^Export/ })
    .first()
    .click()
  const text = await readFile(await (await download).path(), 'utf8')
  const raw = JSON.parse(text) as { id: string; weight: { cornersKg: { frontLeft: number } } }
  expect(raw.weight.cornersKg.frontLeft).toBe(400)
  await page.goto('/')
  const again = { ...raw, id: 'sedge-again', name: 'Sedge again' }
  const bad = { ...again, id: 'sedge-bad', weight: { ...raw.weight, cornersKg: { frontLeft: 'heavy' } } }
  await page.getByLabel('Import files').setInputFiles([
    { name: 'again.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(again)) },
    { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(bad)) },
  ])
  await expect(page.getByText('weight.cornersKg.frontLeft')).toBeVisible()
  await page.goto('/b/sedge-again/weight')
  await expect(page.locator('[data-load="total"]')).toContainText('1397 kg1385 kg')
})

test('axe finds nothing serious on mating, weight and the way in', async ({ page }) => {
  await openBay(page)
  for (const name of ['Mating', 'Weight', 'Way in']) {
    await view(page, name)
    await expect(page.getByRole('heading', { level: 1 })).toContainText(name)
    expect({ name, faults: await grave(page) }).toEqual({ name, faults: [] })
  }
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ownBrowser: true })

  test('a dial is read by touch, and nothing is wider than the screen', async ({ page }) => {
    await openBay(page)
    for (const part of ['mating', 'weight', 'way-in']) {
      await goWithin(page, `/b/sedge-wagon/${part}`)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      const wide = await page.evaluate(() => document.documentElement.scrollWidth)
      expect({ part, wide }).toEqual({ part, wide: 390 })
    }
    await goWithin(page, '/b/sedge-wagon/mating')
    const face = page.getByRole('article', { name: 'Bell housing face' })
    const spot = face.getByLabel('Dial at 9 o’clock')
    await spot.scrollIntoViewIfNeeded()
    const box = (await spot.boundingBox())!
    expect(box.height).toBeGreaterThanOrEqual(48)
    await spot.fill('0.09')
    await spot.blur()
    await expect(face).not.toContainText('Face leans 0.026°')
  })
})

test('the gearbox alone is held by its crossmember, and comes out below once that is off', async ({
  page,
}) => {
  await openBay(page)
  await view(page, 'Way in')
  await page.getByLabel('What goes').click()
  await page.getByRole('option', { name: 'the gearbox alone' }).click()
  const draw = page.getByTestId('draw-sentence')
  await expect(draw).toContainText('Straight back off the block it meets gearbox crossmember after 7.2 mm.')
  // As read with level and string, the crankshaft falls by 2.9° to the datum plane.
  await expect(page.getByLabel('Fall of the crankshaft')).toHaveValue('2.9')
  await page.getByLabel('gearbox crossmember').uncheck()
  await expect(draw).toContainText('Straight back off the block for 150.0 mm first: nothing is touched.')
  await page.getByRole('button', { name: 'Find the way' }).click()
  await expect(page.getByTestId('way-sentence')).toContainText(
    'From there it comes out and in with the lift at 281.3 mm, 10.0 mm clear.',
  )
  await page.reload()
  await expect(draw).toContainText('nothing is touched')
  await page.keyboard.press('Control+z')
  await expect(draw).toContainText('meets gearbox crossmember')
  await page.keyboard.press('Control+z')
  await expect(draw).toHaveCount(0)
})

test('two legs, mounts under torque and a height by tilting are worked out, kept and undone', async ({
  page,
}) => {
  await openBay(page)
  await view(page, 'Weight')
  // Shortening the front leg lets the tail down.
  const hang = page.getByTestId('legs-hang')
  await expect(hang).toContainText('tail down')
  const before = Number(/([\d.]+)° tail down/.exec(await hang.innerText())![1])
  const front = page.getByLabel('first leg, length')
  await front.fill('400')
  await front.press('Tab')
  await expect
    .poll(async () => Number(/([\d.]+)° tail down/.exec(await hang.innerText())?.[1] ?? 0))
    .toBeGreaterThan(before)

  // 240 N·m in first gear, 3.9, and half as much again when the clutch is let go.
  await expect(page.getByText('In gear 1, 1404 N·m at the output')).toBeVisible()
  const loads = page.getByTestId('mount-loads')
  const standing = (row: string) =>
    loads.getByRole('row', { name: row }).getByRole('cell').first().innerText()
  const newtons = await Promise.all(['front left', 'front right', 'tail'].map(standing))
  // 217 kg weigh 2128 N.
  const sum = newtons.map((text) => Number(text.replace(/[^\d.-]/g, ''))).reduce((a, b) => a + b)
  expect(Math.abs(sum - 2128)).toBeLessThanOrEqual(2)
  await expect(page.getByText('A mount is pulled up')).toBeVisible()

  await page.getByText('Height by tilting').click()
  await expect(page.getByTestId('tilted')).toContainText('600.7 mm above the ground, tilted by 9.0°')
  await page.getByRole('button', { name: 'Take it: 212.7 mm above the datum plane' }).click()
  await expect(page.getByLabel('Centre of gravity, height')).toHaveValue('212.68')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Centre of gravity, height')).toHaveValue('212.68')
  await expect(front).toHaveValue('400')
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Centre of gravity, height')).toHaveValue('210')
})
