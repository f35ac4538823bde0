import type { Locator, Page } from '@playwright/test'
import { expect, test } from './browser'
import { readFileSync } from 'node:fs'
import {
  checkRow,
  cureButton,
  goWithin,
  methodOf,
  newBuild,
  openDemo,
  openDrawer,
  readingRow,
  saved,
} from './bench'

interface DemoReading {
  readonly kind: string
  readonly values: readonly string[]
  readonly axis?: string
  readonly point?: string
  readonly low?: string
  readonly lean?: string
  readonly side?: string
  readonly way?: string
  readonly display?: string
}
const demo: { readings: DemoReading[] } = JSON.parse(readFileSync('demo/fen-tender.lurvan.json', 'utf8'))

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ownBrowser: true })

  test(
    'the demo’s readings and parts, typed into an empty build, give the demo’s figures',
    { tag: '@proved' },
    async ({ page }) => {
      test.setTimeout(240_000)
      await newBuild(page, 'Typed again')
      for (const reading of demo.readings) await takeReading(page, reading)
      await enterParts(page)
      await page.getByRole('link', { name: 'Drawing', exact: true }).click()
      await expect(page.getByTestId('state')).toContainText(
        'Out: torsional under drive is 699 rad/s², out by 299',
      )
      await expect(checkRow(page, 'joint 1')).toContainText('1.41°')
      await expect(checkRow(page, 'joint 2')).toContainText('4.00°')
      await expect(checkRow(page, 'pair difference')).toContainText('2.59°')
      await expect(checkRow(page, 'shaft 1 speed')).toContainText('0.33')
      await expect(cureButton(page)).toBeVisible()
    },
  )

  test('the tour goes by keyboard alone: figure, arrow for which end, Enter', async ({ page }) => {
    await newBuild(page, 'By keyboard')
    const TOUR = [
      ['Chassis, fore and aft', '0.8', 'ArrowDown'],
      // Enter with nothing typed passes over what is not needed.
      ['Chassis, across', '', ''],
      ['Pinion, along', '3.5', 'ArrowUp'],
      ['Gearbox output, along', '3.4', 'ArrowUp'],
      ['Pinion end, station', '2317', 'ArrowUp'],
      ['Pinion end, offset', '22', 'ArrowUp'],
      ['Pinion end, height', '31', 'ArrowDown'],
      ['Gearbox end, station', '1178', 'ArrowUp'],
      ['Gearbox end, offset', '4', 'ArrowDown'],
      ['Gearbox end, height', '56', 'ArrowUp'],
    ] as const
    for (const [title, figure, way] of TOUR) {
      await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible()
      await expect(page.getByTestId('digits')).toBeFocused()
      await page.keyboard.type(figure)
      if (way) await page.keyboard.press(way)
      await page.keyboard.press('Enter')
    }
    await saved(page)
    await expect(page.getByTestId('all-read')).toContainText('Everything needed is read.')
    await page.getByTestId('all-read').getByRole('link', { name: 'See the line' }).click()
    // The pinion falls 4.3°, the output 4.2°, the shaft 4.37° and points to the left.
    await expect(checkRow(page, 'joint 1')).toContainText(/1\.\d\d°/)
  })

  test('the keys stay under the thumb with a tool connected or a doubt raised', async ({ page }) => {
    await openDemo(page, 'readings?step=axis-level-output')
    const isAbove = async () => {
      const next = (await page.getByRole('button', { name: 'Next' }).boundingBox())!
      const rail = (await page.getByRole('navigation', { name: 'Stages of the work' }).boundingBox())!
      expect(next.y + next.height).toBeLessThanOrEqual(rail.y)
    }
    await page.getByRole('button', { name: 'From tool' }).click()
    await expect(page.getByTestId('instrument')).toContainText('°')
    await isAbove()
    await page.getByRole('button', { name: 'Disconnect' }).click()
    await press(page, '86.6')
    await expect(page.getByTestId('mistake')).toContainText('Gearbox output: 86.6° along it would be a wall')
    await isAbove()
  })

  test('a figure half typed survives a reload, and everything fits the screen', async ({ page }) => {
    await newBuild(page, 'Lost page')
    await press(page, '0.8')
    await page.getByRole('radio', { name: 'front is lower' }).click()
    await expect(page.getByTestId('echo')).toContainText('The chassis stands front low by 0.80°')
    await page.reload()
    await expect(page.getByTestId('digits')).toHaveValue('0.8')
    await expect(page.getByRole('radio', { name: 'front is lower' })).toBeChecked()
    const next = (await page.getByRole('button', { name: 'Next' }).boundingBox())!
    expect(next.y + next.height).toBeLessThan(844)
    const keys = await page.getByLabel('Key pad').getByRole('button').all()
    for (const key of keys) expect((await key.boundingBox())!.height).toBeGreaterThanOrEqual(48)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})

test('a reading is echoed at once, repeated, undone and removed', { tag: '@proved' }, async ({ page }) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'Measure' }).click()
  await page.getByRole('button', { name: /^Gearbox output, along/ }).click()
  await page.getByTestId('digits').fill('3.6')
  await expect(page.getByTestId('echo')).toHaveText(
    'Gearbox output tail down 3.60° as read; to the chassis tail down 4.40° ± 0.14°.',
  )
  await page.getByRole('button', { name: 'Repeat' }).click()
  await expect(readingRow(page, 'Gearbox output, along')).toContainText('3.4 · 3.4 · 3.6°')
  await saved(page)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(readingRow(page, 'Gearbox output, along')).toContainText('3.4 · 3.4°')
  await page.getByRole('button', { name: 'Delete reading: Gearbox output, along' }).click()
  await expect(page.getByTestId('state')).toContainText('Not settled: gearbox output: level not read')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('state')).toContainText('Out: torsional')
})

test('what cannot be understood is said, and kept as typed', async ({ page }) => {
  await openDemo(page, 'readings?step=point-station-pinion-joint')
  await page.getByTestId('digits').fill('1,200')
  await expect(page.getByTestId('echo')).toContainText('"1,200" could mean 1200 or 1.200')
  await page.getByTestId('digits').fill('7\' 7 1/4"')
  await expect(page.getByTestId('echo')).toHaveText('Pinion end: 2317.8 mm rearward of the datum.')
})

test('a pinion read with the axle hanging is flagged', async ({ page }) => {
  await openDemo(page, 'setups')
  await page.getByRole('combobox', { name: 'Vehicle stands on' }).click()
  await page.getByRole('option', { name: 'a lift, by its frame' }).click()
  await saved(page)
  await page.getByRole('link', { name: 'Readings' }).click()
  await expect(readingRow(page, 'Pinion, across a face')).toContainText('read with the axle hanging')
})

async function press(page: Page, text: string): Promise<void> {
  for (const key of text)
    await page.getByLabel('Key pad').getByRole('button', { name: key, exact: true }).click()
}

/** Reads one figure the way a thumb would. */
async function takeReading(page: Page, reading: DemoReading): Promise<void> {
  const target = reading.point ?? reading.axis
  const quantity = reading.kind === 'axis-face' ? 'axis-level' : reading.kind
  const step = target ? `${quantity}-${target}` : quantity
  const path = new URL(page.url()).pathname
  if (new URL(page.url()).searchParams.get('step') !== step) await goWithin(page, `${path}?step=${step}`)
  if (reading.display !== undefined) {
    const how = methodOf(page)
    await expect(how).toContainText('side of the display not said')
    if ((await how.getAttribute('aria-expanded')) === 'false') await how.click()
    if (reading.kind === 'axis-face') await page.getByRole('radio', { name: 'across a face' }).click()
    await page.getByRole('radio', { name: `Display looks to the ${reading.display}` }).click()
    await expect(how).toContainText(`Display looks to the ${reading.display}`)
  }
  const way = reading.lean ?? reading.low ?? reading.side ?? reading.way
  const [first, ...repeats] = reading.values
  await press(page, first!)
  await page
    .getByRole('radio', { name: WAYS[`${quantity}/${reading.kind === 'axis-face' ? 'face/' : ''}${way}`]! })
    .click()
  await expect(page.getByTestId('echo')).not.toHaveText('Type what the tool shows.')
  await page.getByRole('button', { name: 'Next' }).click()
  await saved(page)
  for (const repeat of repeats) {
    await goWithin(page, `${path}?step=${step}`)
    await press(page, repeat)
    await page.getByRole('button', { name: 'Repeat' }).click()
    await saved(page)
  }
}

const WAYS: Readonly<Record<string, string>> = {
  'chassis-fall/front': 'front is lower',
  'chassis-roll/left': 'left is lower',
  'axis-level/face/rear': 'top leans to the rear',
  'axis-level/rear': 'rear end is lower',
  'point-station/rearward': 'behind the datum',
  'point-station/forward': 'ahead of the datum',
  'point-offset/left': 'left of centre',
  'point-offset/right': 'right of centre',
  'point-height/above': 'above the plane',
  'point-height/below': 'below the plane',
}

/** What the data sheet says: engine and school in the drawer, the rest part by part as a phone shows it. */
async function enterParts(page: Page): Promise<void> {
  await openDrawer(page, 'Drivetrain and sizes')
  const drawer = (name: string) => page.getByRole('region', { name, exact: true })
  const fill = async (field: Locator, value: string) => {
    await field.fill(value)
    await field.press('Tab')
  }
  const choose = async (within: Locator, label: string, option: string) => {
    await within.getByRole('combobox', { name: label }).click()
    await page.getByRole('option', { name: option, exact: true }).click()
  }
  await fill(drawer('Highest shaft speed').getByLabel('Redline', { exact: true }), '3600')
  await fill(drawer('Highest shaft speed').getByLabel('Top gear', { exact: true }), '1')
  await choose(drawer('Line: rear shaft'), 'School', 'Low-set pinion')
  await fill(drawer('Line: rear shaft').getByLabel('Nose rises under drive by', { exact: true }), '2')
  await page.getByRole('button', { name: 'Close Drivetrain and sizes' }).click()
  await page.getByRole('link', { name: 'Line', exact: true }).click()
  await page.getByRole('link', { name: 'Parts', exact: true }).click()
  const part = page.getByTestId('part-sheet')
  const next = () => part.getByRole('button', { name: 'Part behind' }).click()
  await fill(part.getByLabel('Outer diameter'), '76')
  await fill(part.getByLabel('Wall', { exact: true }), '2')
  await next()
  await choose(part, 'What was measured here', 'the flange face')
  await next()
  await choose(part, 'Kind', 'flange')
  await fill(part.getByLabel('face to joint'), '58')
  for (let i = 0; i < 4; i++) await part.getByRole('button', { name: 'Part before' }).click()
  await choose(part, 'Kind', 'slip yoke')
  await fill(part.getByLabel('bore bottom to joint'), '112')
  await fill(part.getByLabel('set-in', { exact: true }), '22')
  await fill(part.getByLabel('seal to shaft end'), '94')
  await saved(page)
}
