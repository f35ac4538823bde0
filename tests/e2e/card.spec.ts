import type { BrowserContext, Page } from '@playwright/test'
import { grave } from './axe'
import { openCard, saved } from './bench'
import { expect, test } from './browser'

type Place = readonly [number, number]
/** Holes in mm, to the right of the first and up. */
const HOLES: readonly Place[] = [
  [0, 0],
  [230, 0],
  [200, -150],
  [90, -160],
  [0, -110],
]
/** Half a millimetre a pixel. */
const pixel = ([x, y]: Place): Place => [220 + 2 * x, 160 - 2 * y]
const CROSSES: readonly Place[] = [
  [132, 92],
  [832, 592],
]

/** A drawn stand-in for a card that holes were pressed into, higher than the screen shows at its width. */
async function card(context: BrowserContext, holes: readonly Place[]): Promise<Buffer> {
  const easel = await context.newPage()
  await easel.setViewportSize({ width: 1000, height: 1400 })
  const rings = holes.map(pixel).map(([x, y]) => `<circle cx="${x}" cy="${y}" r="9" />`)
  const plus = CROSSES.map(([x, y]) => `<path d="M${x - 12} ${y}h24M${x} ${y - 12}v24" />`)
  await easel.setContent(
    `<body style="margin:0;background:#d8c49a"><svg width="1000" height="1400" fill="none" stroke="#5b4a2f" stroke-width="3">${[...rings, ...plus].join('')}</svg>`,
  )
  const png = await easel.screenshot()
  await easel.close()
  return png
}

/** A tap where the picture shows a place of itself. */
async function tap(page: Page, [x, y]: Place): Promise<void> {
  const picture = page.getByTestId('card-picture')
  const at = await picture.evaluate(
    (svg: SVGSVGElement, [px, py]) => {
      const { x: left, y: top } = new DOMPoint(px, py).matrixTransform(svg.getScreenCTM()!)
      const box = svg.getBoundingClientRect()
      return { x: left - box.left, y: top - box.top }
    },
    [x, y],
  )
  await picture.click({ position: at })
}

async function layCard(page: Page, on: string, png: Buffer, holes: readonly Place[]): Promise<void> {
  await page.getByRole('combobox', { name: 'The card lay on' }).click()
  await page.getByRole('option', { name: on, exact: true }).click()
  await page.getByLabel('Photograph of the card').last().setInputFiles({
    name: 'card.png',
    mimeType: 'image/png',
    buffer: png,
  })
  await expect(page.getByTestId('card-picture')).toBeVisible()
  await page.getByRole('button', { name: 'Delete its tapes, go by the card' }).click()
  const marking = page.getByRole('combobox', { name: 'A tap marks' })
  const marks = ['the first cross', 'the second cross', ...'ABCDE'].map((name) =>
    name.length === 1 ? `hole ${name}` : name,
  )
  for (const [k, at] of [...CROSSES, ...holes.map(pixel)].entries()) {
    await expect(marking).toHaveText(marks[k]!)
    await tap(page, at)
  }
  await expect(page.getByText('All holes are marked.')).toBeVisible()
  const apart = page.getByLabel('The crosses are apart')
  await apart.fill(String(Math.hypot(700, 500) / 2))
  await apart.press('Enter')
}

test('a plate from impressions on card: marked by taps and by keys, opened toward an hour, undone, kept', async ({
  page,
  context,
}) => {
  await openCard(page, 'the tight bay', 'plates')
  await page.getByRole('button', { name: 'From an impression on card' }).click()
  await layCard(page, 'the plate', await card(context, HOLES), HOLES)
  const off = HOLES.map(([x, y], k): Place => (k === 2 ? [x + 4, y] : [x, y]))
  await layCard(page, 'the bosses', await card(context, off), off)
  const answer = page.getByTestId('plate-answer')
  // Four millimetres to the right, less the play of half a millimetre.
  await expect(answer).toContainText(/Open hole C by 3\.\d mm toward (half past [23]|3 o’clock)/)
  // By keys: hole C eight pixels to the left is where the plate has it.
  await page.getByRole('combobox', { name: 'A tap marks' }).click()
  await page.getByRole('option', { name: 'hole C', exact: true }).click()
  const picture = page.getByTestId('card-picture')
  await tap(page, pixel(off[2]!))
  await page.getByRole('combobox', { name: 'A tap marks' }).click()
  await page.getByRole('option', { name: 'hole C', exact: true }).click()
  await picture.focus()
  for (let k = 0; k < 8; k++) await picture.press('ArrowLeft')
  await picture.press('Enter')
  await expect(answer).toContainText(/^It fits/)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(answer).toContainText('Open hole C')
  await page.getByRole('button', { name: 'Redo', exact: true }).click()
  await saved(page)
  await page.reload()
  await expect(answer).toContainText(/^It fits/)
  await expect(page.getByTestId('card-picture')).toBeVisible()
  expect(await grave(page)).toEqual([])
  await page.setViewportSize({ width: 390, height: 844 })
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})

test('a plate from coordinates: a place counts once both of its figures are there', async ({ page }) => {
  await openCard(page, 'the tight bay', 'plates')
  await page.getByRole('button', { name: 'Add a plate' }).click()
  const answer = page.getByTestId('plate-answer')
  await expect(answer).toContainText('hole A of the plate: tapes, a card or a place')
  await page.getByRole('button', { name: 'From coordinates' }).click()
  const put = async (name: string, [x, y]: Place) => {
    const spot = page.getByRole('group', { name, exact: true })
    for (const [label, figure] of [
      ['to the right', x],
      ['up', y],
    ] as const) {
      await spot.getByLabel(label, { exact: true }).fill(String(figure))
      await spot.getByLabel(label, { exact: true }).press('Enter')
    }
  }
  for (const [k, hole] of [...'ABC'].entries()) {
    await put(`Hole ${hole}`, HOLES[k]!)
    await put(`Boss ${hole}`, [HOLES[k]![0] + 30, HOLES[k]![1] - 12])
  }
  await expect(answer).toHaveText('It fits: the worst hole has 0.50 mm of its play left.')
  await page.getByRole('group', { name: 'Boss B', exact: true }).getByLabel('up', { exact: true }).fill('')
  await page
    .getByRole('group', { name: 'Boss B', exact: true })
    .getByLabel('up', { exact: true })
    .press('Enter')
  await expect(answer).toContainText('hole B of the bosses')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(answer).toContainText('It fits')
})

test('on a phone: where it touches is tapped, the next cut is one line, what a larger one saves, taken back, kept', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await openCard(page, 'the tight bay', 'cutouts')
  const [next, larger] = [page.getByTestId('next-cut'), page.getByTestId('larger-cut')]
  await expect(next).toHaveText(
    /^Cut the right side back by ?26\.0 mm.*374\.1 mm from the left edge, 0\.0 mm from the front: 26\.1 mm beyond the corner/,
  )
  await expect(larger).toContainText('takes 3 lowerings more. Cut back by 70.6 mm at once')
  const picture = page.getByTestId('cutout-picture')
  const box = (await picture.boundingBox())!
  await picture.click({ position: { x: box.width / 2, y: 38 } })
  await expect(page.getByTestId('pending-touch')).toBeVisible()
  const put = async (label: string, figure: string) => {
    await page.getByLabel(label, { exact: true }).first().fill(figure)
    await page.getByLabel(label, { exact: true }).first().press('Tab')
  }
  await put('In the way', '11')
  await put('Still to come down', '90')
  await page.getByRole('button', { name: 'Keep the touch' }).click()
  await expect(next).toHaveText(/^Cut the front side back by ?31\.0 mm/)
  await expect(page.getByTestId('cutout-touches').locator('tbody tr')).toHaveCount(3)
  await saved(page)
  await page.reload()
  await expect(next).toHaveText(/^Cut the front side/)
  await page.getByRole('button', { name: 'Take the last back' }).click()
  await expect(larger).toContainText('3 lowerings more')
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(next).toHaveText(/^Cut the front side/)
  expect(await grave(page)).toEqual([])
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})
