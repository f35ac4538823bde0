import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { grave } from './axe'
import { goWithin, openCard, saved } from './bench'
import { expect, test } from './browser'

async function openCart(page: Page, view?: string) {
  await openCard(page, 'the yard cart', view)
  await expect(page.getByTestId('state')).toContainText('Out: drive chain: offset of axle sprocket is 0.42 %')
}
async function openBuggy(page: Page, view?: string) {
  await openCard(page, 'the buggy', view)
  await expect(page.getByTestId('state')).toContainText('Out: drive chain: slack is 9.24 %')
}
const checks = (page: Page) => page.getByRole('region', { name: 'Checks' })
const row = (page: Page, label: string) =>
  checks(page)
    .getByRole('button', { name: new RegExp(`(out|holds|tight|unknown)?\\s*${label}`) })
    .first()

test('a chain that is out of line is cured by its spacer, kept over a reload, and undone', async ({
  page,
}) => {
  await openCart(page)
  await expect(page.getByTestId('offset-axle')).toHaveText('2.7 mm to the right')
  await expect(row(page, 'offset of axle sprocket')).toContainText('out by 0.22 %')
  await page.getByTestId('type-rear-spacer').fill('2.5')
  await page.getByTestId('type-rear-spacer').press('Enter')
  await expect(page.getByTestId('offset-axle')).toHaveText('0.2 mm to the right')
  await expect(row(page, 'offset of axle sprocket')).toContainText('0.03 %')
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('offset-axle')).toHaveText('0.2 mm to the right')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('offset-axle')).toHaveText('2.7 mm to the right')
})

test('the engine is dragged along its slots, and the slack follows', async ({ page }) => {
  await openCart(page)
  await expect(page.getByTestId('slack-now')).toContainText('15.5 mm')
  await expect(page.getByTestId('slack-wanted')).toHaveText('wanted 12.6 mm to 18.8 mm')
  const handle = page.getByTestId('chain-handle-jack-bolt')
  const at = await handle.boundingBox()
  if (!at) throw new Error('no handle')
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  // To the front: the chain gets too short.
  await page.mouse.move(at.x + at.width / 2 - 40, at.y + at.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(page.getByTestId('slack-now')).toContainText('too short')
  await expect(row(page, 'slack')).toContainText('out by')
  const card = page.getByRole('region', { name: 'Slack and adjuster' })
  await card.getByRole('button', { name: /^Set it: / }).click()
  await expect(page.getByTestId('slack-now')).toContainText(/1[567]\.\d mm/)
  await expect(row(page, 'slack')).toContainText('holds by')
})

test('what is fixed first is told, and flagged the other way round', async ({ page }) => {
  await openCart(page)
  for (const lever of ['engine on its slots', 'rear slot, aside'])
    await page.getByRole('button', { name: new RegExp(`^${lever}: `) }).click()
  await expect(page.getByTestId('wrong-way-round')).toHaveText(
    'engine is locked while rear axle can still be moved: fix rear axle first, then set the engine to it.',
  )
  for (const lever of ['left pillow block, along', 'shims under the left pillow block'])
    await page.getByRole('button', { name: new RegExp(`^${lever}: `) }).click()
  await expect(page.getByTestId('wrong-way-round')).toHaveCount(0)
})

test('links are counted, an odd number is a half link, and sprockets for a speed bring their own', async ({
  page,
}) => {
  await openCart(page)
  const card = page.getByRole('region', { name: 'The chain', exact: true })
  const links = card.getByLabel('Links', { exact: true })
  await links.fill('111')
  await links.press('Enter')
  await expect(card.getByRole('checkbox', { name: 'With a half link' })).toBeChecked()
  await expect(card).toContainText('the weakest link of a chain')
  await links.fill('0')
  await links.press('Enter')
  await expect(card).toContainText('it must be at least 1')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(links).toHaveValue('110')
  await expect(page.getByTestId('top-speed')).toHaveText('Now 45.9 km/h in the fastest gear at the redline.')
  const wanted = page.getByLabel('Wanted top speed')
  await wanted.fill('38')
  await wanted.press('Enter')
  const pairs = page.getByTestId('chain-pairs').getByRole('row')
  await expect(pairs.nth(1)).toContainText(/3[78]\.\d km\/h/)
  await pairs
    .nth(1)
    .getByRole('button', { name: /^Take / })
    .click()
  await expect(page.getByTestId('top-speed')).toHaveText(/Now 3[78]\.\d km\/h/)
  await expect(page.getByTestId('chain-pull').getByRole('row').nth(1)).toContainText('tyres slip')
})

test('a live axle says its length, and bends under its chain', async ({ page }) => {
  await openCart(page)
  await expect(page.getByTestId('axle-length')).toHaveText('826.0 mm')
  const card = page.getByRole('region', { name: 'rear axle, along the shaft' })
  await expect(card).toContainText('level with each other')
  await page.getByTestId('type-block-up').fill('1')
  await page.getByTestId('type-block-up').press('Enter')
  await expect(card).toContainText('left one 1.0 mm higher: shim under the other (0.11°)')
  const beyond = card.getByLabel('Shaft beyond each hub face')
  await beyond.fill('25')
  await beyond.press('Enter')
  await expect(page.getByTestId('axle-length')).toHaveText('840.0 mm')
})

test('a steering chain beside the drive chain says its play, its turns and its caution', async ({ page }) => {
  await openCart(page)
  await page.getByRole('button', { name: 'steering chain', exact: true }).click()
  await expect(page.getByTestId('hand-turns')).toHaveText('1.60 turns of the wheel, 1.28 at the far end')
  await expect(page.getByTestId('hand-play')).toContainText('0.07°')
  await expect(page.getByRole('region', { name: 'What the steering gets' })).toContainText('local rules')
  await expect(page.getByRole('region', { name: /^Sprockets, in the order/ })).toContainText(
    'head sprocket is held beyond its bearings only',
  )
  await saved(page)
  await page.reload()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/steering chain/i)
})

test(
  'the tightest place of the travel decides, and an angle nobody read is not nought',
  { tag: '@proved' },
  async ({ page }) => {
    await openBuggy(page)
    await expect(page.getByTestId('chain-tightest')).toHaveText(/^at 3\d\.\d mm down$/)
    await expect(page.getByTestId('slack-wanted')).toHaveText('wanted 13.6 mm to 14.9 mm')
    await expect(page.getByTestId('tilt-diff')).toHaveText('not read')
    await expect(row(page, 'angle of differential sprocket')).toContainText(
      'only one angle is read; read its face at the top and the bottom',
    )
    const card = page.getByRole('region', { name: 'Slack and adjuster' })
    await card.getByRole('button', { name: 'Set it: 0.4 mm forward' }).click()
    // It holds as computed; its ± may be there by then, and is wider than the window.
    await expect(row(page, 'slack')).toContainText(/5\.10 %.*(holds by|tight by its ±)/)
    await page.getByTestId('type-jack-bolt').fill('0.6')
    await page.getByTestId('type-jack-bolt').press('Enter')
    await expect(row(page, 'slack at 3')).toContainText('out by')
  },
)

test('an idler that does not touch, and sprockets that overlap, are refused with the reason', async ({
  page,
}) => {
  await openBuggy(page)
  const sprockets = page.getByRole('region', { name: /^Sprockets, in the order/ })
  const teeth = sprockets.locator('[data-sprocket="diff"]').getByLabel('Teeth', { exact: true })
  // A small sprocket behind lifts the lower run off the tensioner, which goes down besides.
  await teeth.fill('15')
  await teeth.press('Enter')
  await page.getByTestId('type-tensioner-up').fill('20')
  await page.getByTestId('type-tensioner-up').press('Enter')
  await page
    .getByRole('region', { name: 'tensioner', exact: true })
    .getByRole('button', { name: 'up', exact: true })
    .click()
  await expect(page.getByTestId('refused')).toContainText('a sprocket is not touched by the chain')
  await expect(row(page, 'slack')).toContainText('the chain does not close')
  await teeth.fill('200')
  await teeth.press('Enter')
  await expect(page.getByTestId('refused')).toContainText('overlap')
  await teeth.fill('40')
  await teeth.press('Enter')
  await expect(page.getByTestId('refused')).toHaveCount(0)
  await teeth.fill('2')
  await teeth.press('Enter')
  await expect(sprockets).toContainText('it must be at least 5')
})

test('an axle is made to another width by either school', async ({ page }) => {
  await openBuggy(page)
  const card = page.getByRole('region', { name: /^Live axle to another width/ })
  await expect(card).toContainText('qualified welder')
  const needs = card.getByTestId('need')
  await expect(needs).toHaveText(['448.5 mm', '570.5 mm'])
  const offset = card.getByLabel('Differential left of the middle')
  await offset.fill('0')
  await offset.press('Enter')
  await expect(needs).toHaveText(['509.5 mm', '509.5 mm'])
  await card.getByLabel('School').click()
  await page.getByRole('option', { name: 'Old pieces, butted in a sleeve' }).click()
  const left = card.locator('[data-side="left"]')
  // (160 − 3) / 2 of each piece in the sleeve.
  await expect(left).toContainText('Bite in the sleeve78.5 mm')
  await expect(left).toContainText('long enough, and held')
  await expect(card).toContainText('0.1 mm of play in the sleeve')
  const sleeve = card.getByLabel('Sleeve', { exact: true })
  await sleeve.fill('100')
  await sleeve.press('Enter')
  await expect(left).toContainText('too little: bite or spline is less than wanted')
  await sleeve.fill('')
  await sleeve.press('Enter')
  await expect(left).toContainText('how long the sleeve is')
})

test('a build begins with a chain, is read on the phone, and goes out and in as a file', async ({
  browser,
}) => {
  test.setTimeout(90_000)
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await page.goto('/')
  await page.getByRole('button', { name: 'New build' }).click()
  await page.getByLabel('Vehicle or name of the build').fill('Small hauler')
  await page.getByRole('radio', { name: 'Chain to a live axle, no shaft' }).check()
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByRole('heading', { name: 'Chassis, fore and aft' })).toBeVisible()
  const id = new URL(page.url()).pathname.split('/')[2] ?? ''
  const read = async (step: string, figure: string, way: string | null) => {
    await goWithin(page, `/b/${id}/readings?step=${step}`)
    await page.getByTestId('digits').fill(figure)
    if (way !== null) await page.getByRole('radio', { name: way }).click()
    const echo = await page.getByTestId('echo').innerText()
    await page.getByTestId('digits').press('Enter')
    return echo
  }
  await goWithin(page, `/b/${id}/chains`)
  await expect(page.getByRole('main')).toContainText('gearbox sprocket, middle: station not read')
  const places = [
    ['drive-chain-gearbox-sprocket', '560', '140', '70', 'above the plane'],
    ['drive-chain-axle-sprocket', '1180', '140', '70', 'above the plane'],
  ] as const
  for (const [point, station, offset, height, above] of places) {
    await read(`point-station-${point}`, station, 'behind the datum')
    await read(`point-offset-${point}`, offset, 'left of centre')
    await read(`point-height-${point}`, height, above)
  }
  expect(
    await read('sprocket-face-gearbox-sprocket-front', '20.0', 'the line stands left of the face'),
  ).toContain(
    'Gearbox sprocket: its face stands 20.0 mm to the right of the line at the front. One more place',
  )
  await goWithin(page, `/b/${id}/readings?step=sprocket-face-gearbox-sprocket-rear`)
  // The side the line stands on is kept from face to face.
  await expect(page.getByRole('radio', { name: 'the line stands left of the face' })).toBeChecked()
  await read('sprocket-face-gearbox-sprocket-rear', '20.0', null)
  await read('sprocket-face-axle-sprocket-front', '21.0', null)
  await read('sprocket-face-axle-sprocket-rear', '21.5', null)
  expect(await read('chain-slack-drive-chain', '18', null)).toBe(
    'Drive chain moves 18.0 mm up and down in all at the middle of its slack run.',
  )
  await goWithin(page, `/b/${id}/chains`)
  await expect(page.getByTestId('slack-now')).toContainText('18.0 mm')
  await expect(page.getByTestId('tilt-axle-sprocket')).toHaveText('not read')
  await expect(page.getByTestId('yaw-axle-sprocket')).toHaveText(/^0\.\d\d°, front edge to the left$/)
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('slack-now')).toContainText('18.0 mm')
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.goto('/')
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).first().click()
  const path = await (await download).path()
  const file = JSON.parse(readFileSync(path, 'utf8')) as { chains: unknown[]; readings: { kind: string }[] }
  expect(file.chains).toHaveLength(1)
  expect(file.readings.filter(({ kind }) => kind === 'sprocket-face')).toHaveLength(4)
  await page.close()
})

test('a chain is added, guided and taken out again; views of shafts say that there is none', async ({
  page,
}) => {
  await openCart(page)
  await page.getByRole('button', { name: 'Add a chain' }).click()
  await page.getByRole('menuitem', { name: 'Shift chain' }).click()
  await expect(page.getByRole('main')).toContainText('lever sprocket, middle: station not read')
  await expect(page.getByRole('region', { name: 'What the shift gets' })).toContainText(
    /one at the far end ?\d\.\d\d/,
  )
  await page.getByRole('button', { name: 'Delete shift chain' }).click()
  await expect(page.getByRole('navigation', { name: 'Chains' }).getByRole('button')).toHaveCount(2)
  await page.getByRole('button', { name: 'Tensioner from outside' }).click()
  await expect(page.getByRole('main')).toContainText('tensioner sprocket, middle: station not read')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByTestId('slack-now')).toContainText('15.5 mm')
  for (const view of ['parts', 'schools']) {
    await goWithin(page, `/b/burdock-cart/${view}`)
    await expect(page.getByRole('heading', { name: 'No line of shafts in this build' })).toBeVisible()
  }
  await goWithin(page, '/b/burdock-cart/sheet')
  await expect(page.getByTestId('sheet-chains')).toContainText(
    'gearbox sprocket 15 teeth, axle sprocket 45 teeth',
  )
})

test('levers and steps go by keys, and axe finds nothing serious by day and by night', async ({ page }) => {
  test.setTimeout(60_000)
  await openCart(page)
  await page.getByTestId('lever-jack-bolt').focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('type-jack-bolt')).toHaveValue('0.2')
  await expect(page.getByTestId('slack-now')).toContainText('too short')
  await page.keyboard.press('Home')
  await expect(page.getByTestId('slack-now')).toContainText('15.5 mm')
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme })
    expect({ colorScheme, faults: await grave(page) }).toEqual({ colorScheme, faults: [] })
  }
  await goWithin(page, '/b/burdock-cart/readings?step=sprocket-face-axle-top')
  await expect(page.getByRole('heading', { name: 'Axle sprocket, face at the top' })).toBeVisible()
  expect(await grave(page)).toEqual([])
})

test('links bring their exact centre, and too few of them are refused', async ({ page }) => {
  await openCart(page)
  const choices = page.getByTestId('link-choices')
  await expect(choices).toContainText('112shaft to shaft 646.4 mm, 14.1 mm further apart')
  const card = page.getByRole('region', { name: 'The chain', exact: true })
  const links = card.getByLabel('Links', { exact: true })
  await links.fill('30')
  await links.press('Enter')
  await expect(card.getByRole('alert')).toContainText('too few links: the sprockets would overlap')
  await card.getByRole('checkbox', { name: 'With a half link' }).click()
  await expect(choices).toContainText('111shaft to shaft')
})

test(
  'the print of a chain says what to do in order, and warns of fingers',
  { tag: '@proved' },
  async ({ page }) => {
    await openCart(page)
    // What is on the sheet at the moment of printing counts, not what comes after it.
    await page.evaluate(() => {
      window.print = () => (document.title = document.querySelector('article')?.textContent ?? '')
    })
    await page.getByRole('button', { name: 'Print the set-up sheet' }).click()
    await expect(page).toHaveTitle(/offset of axle sprocket ?0\.4\d % ?± \d/)
    await page.emulateMedia({ media: 'print' })
    const sheet = page.getByRole('article')
    await expect(sheet).toContainText('15.875 mm')
    await expect(sheet).toContainText('Setting a chain: drive chain')
    await expect(sheet).toContainText('Fix the rear axle first and lock its levers')
    await expect(sheet).toContainText('axle sprocket: 2.7 mm to the right')
    await expect(sheet).toContainText('Keep fingers out of chain and sprockets')
    await expect(page.getByRole('region', { name: 'Slack and adjuster' })).toBeHidden()
  },
)
