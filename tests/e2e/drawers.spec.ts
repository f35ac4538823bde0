import { expect, test } from './browser'
import { readFile, writeFile } from 'node:fs/promises'
import { checkRow, cureButton, openDemo, openDrawer, saved } from './bench'

test('the drivetrain gives the line its speed and torque, and what is typed shows beside the drawer', async ({
  page,
}) => {
  await openDemo(page)
  await openDrawer(page, 'Drivetrain and sizes')
  const drivetrain = page.getByRole('region', { name: 'Drivetrain' })
  await expect(drivetrain).toContainText('rear shaft: up to 594 Nm, engine 165 Nm, gear 1 at 3.6')
  await drivetrain.getByLabel('Redline').fill('3000')
  await drivetrain.getByLabel('Redline').press('Enter')
  // Torsional goes with the square of the speed: 699 · (3000/3600)².
  await expect(page.getByTestId('state')).toContainText('486 rad/s²')
  await expect(page.getByRole('region', { name: 'Highest shaft speed' })).toContainText('3\u202f000 rev/min')
  await drivetrain.getByRole('button', { name: 'Add a gear' }).click()
  await drivetrain.getByLabel('Gear 5', { exact: true }).fill('0.8')
  await drivetrain.getByLabel('Gear 5', { exact: true }).press('Enter')
  await expect(page.getByRole('region', { name: 'Highest shaft speed' })).toContainText('3\u202f750 rev/min')
  await saved(page)
  // The drawer stands in the address: a lost page opens it again.
  await page.reload()
  await expect(drivetrain.getByLabel('Gear 5', { exact: true })).toHaveValue('0.8')
  await page.goBack()
  await expect(drivetrain).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('state')).toContainText('699 rad/s²')
})

test('a joint on the drawing leads to its part, a limit opens from the bar it decides', async ({ page }) => {
  await openDemo(page)
  await page.getByTestId('drawing').getByText('2', { exact: true }).first().click()
  await expect(page.getByTestId('part-sheet')).toContainText('joint 2')
  await expect(page.getByTestId('part-sheet').getByLabel('Its own largest angle')).toBeVisible()
  await page.goBack()
  await checkRow(page, 'torsional').getByTestId('window-bar').click()
  const limits = page.getByRole('complementary', { name: 'Limits: Road' })
  const torsional = limits.getByRole('region', { name: 'Torsional acceleration' })
  await expect(torsional).toContainText('under any torque')
  await torsional.getByLabel('out above').fill('800')
  await torsional.getByLabel('out above').press('Enter')
  await expect(checkRow(page, 'torsional')).toContainText('tight')
})

test(
  'a locked lever is left out of the search, and what a lever costs decides it',
  { tag: '@proved' },
  async ({ page }) => {
    await openDemo(page)
    await expect(cureButton(page)).toBeVisible()
    const lock = page.getByRole('button', { name: /^wedge at the spring seat: Leave it out/ })
    await lock.click()
    await expect(page.getByText('No setting of the levers puts it right')).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(lock).toHaveAttribute('aria-pressed', 'true')
    await lock.click()
    await expect(cureButton(page)).toBeVisible()
    await openDrawer(page, 'Drivetrain and sizes')
    const levers = page.getByRole('region', { name: 'Levers' }).last()
    await levers.getByLabel('Tail at the crossmember: for touching it at all').fill('500')
    await levers.getByLabel('Tail at the crossmember: for touching it at all').press('Enter')
    await saved(page)
    // Touching the tail now costs more than any wedge.
    await expect(cureButton(page)).toHaveCount(0)
    await expect(page.getByRole('button', { name: /^1\.5° wedge, nose down/ }).first()).toBeVisible()
  },
)

test('several lines are drawn and judged at once, each check told with its line', async ({ page }, info) => {
  const build = JSON.parse(await readFile('demo/fen-tender.lurvan.json', 'utf8'))
  build.id = 'two-lines'
  build.name = 'Two lines'
  const given = (point: string, station: string, height: string, heightWay: string) => ({
    id: `g-${point}`,
    kind: 'given-point',
    point,
    unit: 'mm',
    station,
    offset: '300',
    side: 'left',
    height,
    heightWay,
  })
  build.points.push(
    { id: 'front-out', name: 'front output', body: 'powertrain' },
    { id: 'front-nose', name: 'front pinion', body: 'chassis' },
  )
  build.axes.push(
    { id: 'front-output', name: 'front output', body: 'powertrain' },
    { id: 'front-pinion', name: 'front pinion', body: 'chassis' },
  )
  build.readings.push(
    given('front-out', '900', '20', 'above'),
    given('front-nose', '200', '40', 'below'),
    ...['front-output', 'front-pinion'].map((axis) => ({
      id: `a-${axis}`,
      kind: 'given-axis',
      axis,
      fall: '3',
      low: 'rear',
    })),
  )
  build.lines.push({
    id: 'front',
    name: 'front shaft',
    school: 'parallel',
    flow: 'forward',
    driving: 'front-output',
    driven: 'front-pinion',
    joints: [
      { id: 'a', kind: 'cross', point: 'front-out' },
      { id: 'b', kind: 'cross', point: 'front-nose' },
    ],
    shafts: [{}],
  })
  const path = info.outputPath('two.json')
  await writeFile(path, JSON.stringify(build))
  await page.goto('/')
  await page.getByLabel('Import files').setInputFiles(path)
  await page.getByRole('article').getByRole('link').first().click()
  await page.getByRole('link', { name: 'Line', exact: true }).click()
  await expect(checkRow(page, 'rear shaft: torsional')).toContainText('699 rad/s²')
  // Parallel axes whatever the offset: the front line runs evenly, at the same speed.
  await expect(checkRow(page, 'front shaft: torsional')).toContainText('0 rad/s²')
  // √(700² + 60²) rises 4.9° over falls of 3°: both joints turn 7.9°, out above 4.8° at 3600 rev/min.
  await expect(checkRow(page, 'front shaft: joint 1')).toContainText('7.90°')
  await expect(checkRow(page, 'front shaft: joint 1')).toContainText('out by')
  const drawing = page.getByTestId('drawing')
  await expect(drawing.getByText('1', { exact: true })).toHaveCount(4)
  await expect(drawing.locator('polygon.powertrain')).toHaveCount(2)
})

test('a build of version 1 opens with the figures it had', async ({ page }) => {
  await page.goto('/')
  await page.getByLabel('Import files').setInputFiles('core/testdata/version-1/two-setups.lurvan.json')
  await page.getByLabel('Import files').setInputFiles('core/testdata/version-1/fen-tender.lurvan.json')
  await page.getByRole('article').filter({ hasText: 'Fen tender' }).getByRole('link').first().click()
  await page.getByRole('link', { name: 'Line', exact: true }).click()
  await expect(page.getByTestId('state')).toContainText(
    'Out: torsional under drive is 699 rad/s², out by 299',
  )
  await expect(checkRow(page, 'joint 1')).toContainText('1.41°')
  await expect(checkRow(page, 'joint 2')).toContainText('4.00°')
  await expect(checkRow(page, 'pair difference')).toContainText('2.59°')
})
