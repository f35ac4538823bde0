import { readFile } from 'node:fs/promises'
import type { Build } from '../../core/file/build/build'
import { gapRow, goWithin, openBay, openCard, openDemo, saved } from './bench'
import { grave } from './axe'
import { expect, test } from './browser'

test(
  'the bay is tight, a setting of three levers frees every gap, and undo brings it back',
  { tag: '@proved' },
  async ({ page }) => {
    await openBay(page)
    await expect(gapRow(page, 'sump to steering rack')).toContainText('9.0 mm ± 1.7 mmtight, 1.0 mm left')
    await expect(page.getByTestId('low-points').getByRole('listitem').first()).toContainText('sump296.0 mm')
    const cure = page.getByRole('button', { name: /^Pack both front mounts up 8\.0 mm/ })
    await cure.click()
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
    await expect(gapRow(page, 'sump to steering rack')).toContainText('17.3 mm')
    await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', '8.0 mm up')
    await expect(page.getByTestId('lever-radiator-fore')).toHaveAttribute('aria-valuetext', '4.0 mm forward')
    await expect(page.getByTestId('lever-sideways')).toHaveAttribute('aria-valuetext', '8.0 mm left')
    await saved(page)
    await page.reload()
    await expect(gapRow(page, 'sump to steering rack')).toContainText('17.3 mm')
    await page.keyboard.press('Control+z')
    await expect(gapRow(page, 'sump to steering rack')).toContainText('9.0 mm')
    await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', 'as measured')
  },
)

test('every gap follows the lever by key, by typing and by dragging in any of the three views', async ({
  page,
}) => {
  await openBay(page)
  const sump = gapRow(page, 'sump to steering rack')
  await page.getByTestId('lever-fronts').focus()
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowUp')
  await expect(sump).toContainText('13.1 mm')
  await page.getByTestId('type-fronts').fill('0')
  await page.getByTestId('type-fronts').press('Enter')
  await expect(sump).toContainText('9.0 mm')
  // From the front the engine is taken 20 px to the right in the picture, which is to the left of the vehicle.
  const grip = page.locator('[data-lever="sideways"]')
  const box = (await grip.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 3, box.y + box.height / 2, { steps: 3 })
  await page.mouse.up()
  await expect(page.getByTestId('lever-sideways')).toHaveAttribute('aria-valuetext', '8.0 mm left')
  await expect(gapRow(page, 'downpipe to frame')).toContainText('28.0 mm')
  await expect(gapRow(page, 'gearbox to tunnel, left')).toContainText('24')
})

test('a gap is added, read wrongly and rightly, judged, moved out as a file and undone', async ({ page }) => {
  await openDemo(page)
  await page.keyboard.press(']')
  await goWithin(page, '/b/fen-tender/place')
  await expect(page.getByText('No gap is watched yet')).toBeVisible()
  await page.getByRole('button', { name: 'Add a gap' }).click()
  const drawer = page.getByRole('complementary', { name: 'Gaps' })
  await drawer.getByRole('button', { name: 'Add the gap' }).click()
  await expect(drawer).toContainText('Name the two things.')
  await drawer.getByLabel('The two things').fill('head to firewall')
  await drawer.getByLabel('Which way, from the touch point').click()
  await page.getByRole('option', { name: 'rearward' }).click()
  await drawer.getByLabel('Station', { exact: true }).fill('470')
  await drawer.getByLabel('Offset', { exact: true }).fill('4 feet nothing')
  await drawer.getByLabel('Height', { exact: true }).fill('390')
  await drawer.getByRole('button', { name: 'Add the gap' }).click()
  await expect(drawer).toContainText('"nothing" is not a figure')
  await drawer.getByLabel('Offset', { exact: true }).fill('40')
  await drawer.getByRole('button', { name: 'Add the gap' }).click()
  const own = page.getByRole('complementary', { name: 'head to firewall' })
  await expect(own).toContainText('not read yet')
  await expect(own.getByTestId('gap-sentence')).toContainText(
    'cannot be judged: head to firewall: gap not read',
  )

  await own.getByTestId('gap-figure').fill('a thumb')
  await own.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(own).toContainText('"thumb" is not a unit of length')
  await own.getByTestId('gap-figure').fill('12')
  await own.getByRole('button', { name: 'Keep the reading' }).click()
  await expect(own.getByTestId('gap-sentence')).toContainText(
    'Head to firewall is 12.0 mm: tight, 4.0 mm left',
  )
  await own.getByLabel('out below').fill('13')
  await own.getByLabel('out below').press('Enter')
  await expect(own.getByTestId('gap-sentence')).toContainText('out by 1.0 mm')
  await saved(page)

  // Raising the tail turns the head away from the firewall.
  await page.getByRole('button', { name: 'Close head to firewall' }).click()
  await page.getByTestId('lever-tail').focus()
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowUp')
  await expect(gapRow(page, 'head to firewall')).toContainText('15.7 mm')
  await page.getByRole('link', { name: /all builds/i }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export Fen tender' }).click(),
  ])
  const file = JSON.parse(await readFile((await download.path())!, 'utf8'))
  expect(file.gaps).toMatchObject([{ name: 'head to firewall', toward: [-1, 0, 0], failBelow: 13 }])
  expect(file.readings.at(-1)).toMatchObject({ kind: 'gap', values: ['12'], way: 'free' })
  await goWithin(page, '/b/fen-tender/place')
  await expect(gapRow(page, 'head to firewall')).toContainText('15.7 mm')
  // Ten presses of a key, a limit, a reading and the gap itself.
  for (let i = 0; i < 13; i++) await page.keyboard.press('Control+z')
  await expect(page.getByText('No gap is watched yet')).toBeVisible()
})

test('positions stand side by side, one is chosen, and trials say what was packed', async ({ page }) => {
  await openBay(page)
  await page.getByTestId('lever-fronts').focus()
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowUp')
  await expect(page.getByTestId('state')).toContainText('pair difference is 1.10°')
  await page.getByRole('tab', { name: 'Positions' }).click()
  await page.getByRole('button', { name: 'Keep this setting as another' }).click()
  const table = page.getByRole('table')
  await expect(table.getByText('chosen')).toHaveCount(1)
  await page.getByTestId('type-fronts').fill('7')
  await page.getByTestId('type-fronts').press('Enter')
  await expect(table.getByRole('row', { name: /Moved/ })).toContainText(
    'front mounts, both 20.0 mm upfront mounts, both 7.0 mm up',
  )
  await page.getByLabel('Name A').fill('as high as it goes')
  await page.getByLabel('Name A').press('Enter')
  // The other one stays drawn over it, by its name, until it is taken off the board.
  const other = page.getByTestId('other-side')
  await table.getByRole('checkbox', { name: 'On the board too: as high as it goes' }).click()
  await expect(other.getByText('as high as it goes')).toBeVisible()
  await table.getByRole('checkbox', { name: 'On the board too: as high as it goes' }).click()
  await expect(other).toHaveCount(0)
  await table.getByRole('button', { name: 'Choose' }).click()
  await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', '20.0 mm up')

  await page.getByRole('tab', { name: 'Trials' }).click()
  const panel = page.getByRole('tabpanel')
  await expect(panel.getByRole('listitem').nth(2)).toContainText(
    'Packed: front mounts, both 6.0 mm up, tail at the crossmember 10.0 mm up · 3 readings',
  )
  // What readings belong to stays.
  await expect(panel.getByRole('button', { name: 'Delete' })).toHaveCount(0)
  await panel.getByRole('button', { name: /Start a trial/ }).click()
  await expect(panel.getByRole('listitem').last()).toContainText('trial 4 stands now')
  await expect(panel.getByRole('listitem').last()).toContainText(
    'Packed: front mounts, both 20.0 mm up · nothing read in it yet',
  )
  await panel.getByRole('listitem').last().getByRole('button', { name: 'Delete' }).click()
  await expect(panel.getByRole('listitem')).toHaveCount(3)
})

test(
  'different settings are found when asked, one is taken, and undo takes it back',
  { tag: '@proved' },
  async ({ page }) => {
    await openBay(page)
    await page.getByRole('tab', { name: 'Find a setting' }).click()
    const panel = page.getByRole('tabpanel')
    await panel.getByRole('button', { name: 'Find settings' }).click()
    const cards = panel.getByTestId('settings').getByRole('listitem')
    await expect(cards).toHaveCount(2)
    await expect(cards.first()).toContainText('effort 10.2 · over 99 % likely to hold')
    await expect(cards.nth(1)).toContainText('move the powertrain 5.0 mm rearward')
    await cards.nth(1).getByRole('button', { name: 'Take it' }).click()
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
    await expect(page.getByTestId('lever-fore')).toHaveAttribute('aria-valuetext', '5.0 mm rearward')
    await expect(page.getByTestId('lever-radiator-fore')).toHaveAttribute('aria-valuetext', 'as measured')
    await page.keyboard.press('Control+z')
    await expect(page.getByTestId('lever-fore')).toHaveAttribute('aria-valuetext', 'as measured')
  },
)

test('where nothing holds, the least bad is shown, what it leaves, and what would free it', async ({
  page,
}) => {
  const bay = JSON.parse(await readFile('demo/sedge-wagon.lurvan.json', 'utf8')) as Build
  const kept = ['fronts', 'tail', 'sideways']
  const levers = bay.levers
    .filter(({ id }) => kept.includes(id))
    .map((lever) =>
      lever.id === 'fronts'
        ? { ...lever, range: [-4, 2] }
        : lever.id === 'sideways'
          ? { ...lever, locked: true, lockedBecause: 'the rack is in the way' }
          : lever,
    )
  const positions = bay.positions.map((position) => ({ ...position, settings: {} }))
  const trials = bay.trials.slice(0, 1)
  const readings = bay.readings.filter(
    (reading) => !('trial' in reading) || reading.trial === undefined || reading.trial === trials[0]?.id,
  )
  const text = JSON.stringify({ ...bay, id: 'cramped', levers, positions, trials, readings })
  await page.goto('/')
  await page
    .getByLabel('Import files')
    .setInputFiles({ name: 'cramped.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await expect(page.getByText('1 build was imported').first()).toBeVisible()
  await page.goto('/b/cramped/place')
  await page.getByRole('tab', { name: 'Find a setting' }).click()
  const panel = page.getByRole('tabpanel')
  await panel.getByRole('button', { name: 'Find settings' }).click()
  await expect(panel.getByTestId('frees')).toContainText('sideways is locked: the rack is in the way')
  await expect(panel.getByTestId('frees')).toContainText(
    'front mounts, both stands at the end of its range, 2.0 mm up',
  )
  await expect(panel.getByTestId('frees')).toContainText(
    /downpipe to frame: its limit would have to let \d+\.\d mm pass/,
  )
  await panel.getByRole('button', { name: 'Take it' }).first().click()
  await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', '2.0 mm up')
})

test('mounts made to a position: why, when, and what has changed since, also on the sheet', async ({
  page,
}) => {
  await openBay(page)
  await page.getByTestId('type-tail').fill('10')
  await page.getByTestId('type-tail').press('Enter')
  await page.getByRole('tab', { name: 'Positions' }).click()
  await page.getByLabel('Why this one: A').fill('shift tower clears the floor')
  await page.getByLabel('Why this one: A').press('Tab')
  await page.getByRole('button', { name: 'Mounts are made: A' }).click()
  const notice = page.getByTestId('made-notice')
  await expect(notice).toHaveCount(0)
  await page.getByTestId('type-tail').fill('13')
  await page.getByTestId('type-tail').press('Enter')
  await expect(notice).toContainText('Changed since: tail at the crossmember 10.0 mm up, now 13.0 mm up.')
  await saved(page)
  await goWithin(page, '/b/sedge-wagon/sheet')
  await expect(notice).toContainText('now 13.0 mm up')
  await goWithin(page, '/b/sedge-wagon/place')
  await page.getByRole('tab', { name: 'Positions' }).click()
  await expect(page.getByLabel('Why this one: A')).toHaveValue('shift tower clears the floor')
  await page.getByRole('button', { name: 'not yet: A' }).click()
  await expect(notice).toHaveCount(0)
})

test('a lever says how far it may go between two gaps, and is put in the middle of them', async ({
  page,
}) => {
  await openBay(page)
  const room = page.getByTestId('lever-room')
  await expect(room).toContainText('Take a lever')
  await page.getByTestId('lever-fronts').focus()
  await expect(room).toContainText('No gap is out from 1.0 mm down to 20.0 mm up.')
  await expect(room).toContainText('Most room at 16.0 mm up: 5.0 mm at the tightest.')
  await room.getByRole('button', { name: 'Put it there' }).click()
  await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', '16.0 mm up')
  await expect(gapRow(page, 'sump to steering rack')).toContainText('25.6 mm')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('lever-fronts')).toHaveAttribute('aria-valuetext', 'as measured')
})

test(
  'points read again tell how it stands: packed 10, moved 7, and the gaps read in it are carried by that',
  { tag: '@proved' },
  async ({ page }) => {
    await openBay(page)
    await page.getByRole('tab', { name: 'Trials' }).click()
    const stands = page.getByRole('tabpanel').getByRole('listitem').nth(2)
    await stands.getByText('Read points again').click()
    const type = async (label: string, text: string) => {
      await stands.getByLabel(label).fill(text)
      await stands.getByLabel(label).press('Tab')
    }
    for (const [mount, station, side, offset, height] of [
      ['left engine mount', '152', 'left', '262', '84'],
      ['right engine mount', '152', 'right', '266', '82'],
      ['tail mount', '986', 'left', '2', '21'],
    ] as const) {
      await type(`${mount}, behind the datum`, station)
      await type(`${mount}, ${side} of centre`, offset)
      await type(`${mount}, above the plane`, height)
    }
    await expect(stands).toContainText('By 3 points read again')
    await expect(stands).toContainText(
      /tail at the crossmember: packed 10\.0 mm up, moved 7\.0 mm up ± \d\.\d mm/,
    )
    await expect(stands).toContainText('Look for a wrong spacer')
    await expect(stands).toContainText(/front mounts, both: packed 6\.0 mm up, moved 6\.0 mm up/)
    await type('tail mount, above the plane', 'low')
    await expect(stands.getByRole('alert')).toContainText('low')
    await type('tail mount, above the plane', '24')
    await expect(stands).toContainText('moved 10.0 mm up')
    await expect(stands).not.toContainText('Look for a wrong spacer')
    await saved(page)
    // In a field the key undoes typing; the button undoes what was kept.
    await page.getByRole('button', { name: /^Undo/ }).click()
    await expect(stands).toContainText('moved 7.0 mm up')
    await expect(stands).toContainText('Something does not agree: clear that up first.')
    // Counted from here, with all packings out the tail stands 3 lower than first: half of it at the bell housing, on the way to it.
    await page.getByRole('tab', { name: /^Gaps/ }).click()
    await expect(gapRow(page, 'bell housing to tunnel')).toContainText('21.0 mm')
    await page.getByRole('tab', { name: 'Trials' }).click()
    await stands.getByRole('button', { name: 'Count from how it stands here' }).click()
    await expect(stands).toContainText('Levers count from how it was read here.')
    await saved(page)
    await page.reload()
    await page.getByRole('tab', { name: /^Gaps/ }).click()
    await expect(gapRow(page, 'bell housing to tunnel')).toContainText('22.6 mm')
    await page.keyboard.press('Control+z')
    await expect(gapRow(page, 'bell housing to tunnel')).toContainText('21.0 mm')
  },
)

test('the engine that rocks, and the wheels that come up, tell what is left: figures follow and stay', async ({
  page,
}) => {
  await openBay(page)
  const panel = page.getByRole('tabpanel')
  const rocked = panel.getByTestId('rocked')
  // About the line of the output the sump swings toward the rack: 2.6 of its 9 mm go.
  await expect(rocked.getByRole('listitem').first()).toHaveText(
    /sump to steering rack\s*9\.0 mm\s*down to 6\.4 mm/,
  )
  const either = panel.getByLabel('Either way')
  await either.fill('8')
  await either.press('Tab')
  await expect(rocked.getByRole('listitem').first()).toContainText(/sump to steering rack.*down to 3\.1 mm/)
  const low = page.getByTestId('low-points')
  await expect(low.getByRole('listitem').first()).toHaveText(/sump\s*296\.0 mm/)
  for (const axle of ['front', 'rear']) {
    await page.getByLabel(`Wheels up, ${axle}`).fill('70')
    await page.getByLabel(`Wheels up, ${axle}`).press('Tab')
  }
  // The sump is on the springs: the ground comes up to it.
  await expect(low.getByRole('listitem').first()).toHaveText(/sump\s*226\.0 mm/)
  await saved(page)
  await page.reload()
  await expect(either).toHaveValue('8')
  await page.keyboard.press('Control+z')
  await expect(rocked.getByRole('listitem').first()).toContainText('down to 6.4 mm')
})

test('axe finds nothing serious on the board, by day and by night', async ({ page }) => {
  await openBay(page)
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme })
    expect(await grave(page)).toEqual([])
  }
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ownBrowser: true })

  test('gaps are asked for one at a time with a picture, and read in the trial that stands', async ({
    page,
  }) => {
    await openBay(page)
    await page.goto('/b/sedge-wagon/readings?step=gap-head-firewall')
    await expect(page.getByRole('heading', { name: 'Gap: head to firewall' })).toBeVisible()
    await expect(page.getByText('behind it')).toBeVisible()
    for (const digit of '21') await page.getByRole('button', { name: digit, exact: true }).tap()
    await expect(
      page.getByText('Head to firewall: 21.0 mm between them, as it stood in fronts up 6, tail up 10.'),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Next', exact: true }).tap()
    await saved(page)
    await goWithin(page, '/b/sedge-wagon/place')
    // Read with the fronts and the tail up, it is another gap as measured.
    await expect(gapRow(page, 'head to firewall')).toContainText('19.5 mm')
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  })
})

test(
  'an engine across the frame: its manifold stands between two things, and is moved to the middle',
  { tag: '@proved' },
  async ({ page }) => {
    await openCard(page, 'the runabout')
    await expect(page.getByTestId('state')).toContainText('Out: manifold to frame is 21.0 mm, out by 4.0 mm.')
    const window = page.getByTestId('two-sided').getByRole('listitem')
    await expect(window).toContainText('68.0 mm of room in all, 13.0 mm from the middle')
    await expect(window).toContainText('close “manifold to bar”; there it has 4.0 mm to spare on each side.')
    await page
      .getByRole('button', { name: /^Move the powertrain 10\.0 mm forward \+ move radiator 10\.0 mm/ })
      .click()
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
    await expect(window).toContainText('3.0 mm from the middle')
    await page.getByTestId('type-fore').fill('13')
    await page.getByTestId('type-fore').press('Enter')
    await expect(window).toContainText('in the middle;')
    // In a field undo is the field's own.
    await page.getByTestId('lever-fore').focus()
    await page.keyboard.press('Control+z')
    await page.keyboard.press('Control+z')
    await expect(window).toContainText('13.0 mm from the middle')
  },
)
