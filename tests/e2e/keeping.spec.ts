import { expect, test } from './browser'
import { readFile, writeFile } from 'node:fs/promises'
import { cureButton, openDemo, openDrawer, saved } from './bench'

test(
  'a build goes out as a file and comes back as another build, with the same verdict',
  { tag: '@proved' },
  async ({ page }, info) => {
    await openDemo(page)
    await cureButton(page).click()
    await saved(page)
    await page.getByRole('link', { name: 'All builds' }).click()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export Fen tender' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('fen-tender.lurvan.json')
    const path = info.outputPath('out.lurvan.json')
    await download.saveAs(path)
    const build = JSON.parse(await readFile(path, 'utf8'))
    expect(build.positions[0].settings).toEqual({ tail: 5, wedge: -1.5 })

    await writeFile(path, JSON.stringify({ ...build, name: 'Came back', shelf: 7 }))
    await page.getByLabel('Import files').setInputFiles(path)
    await expect(page.getByRole('heading', { name: 'Came back' })).toBeVisible()
    await expect(page.getByRole('heading', { name: 'Fen tender' })).toBeVisible()
    await page.getByRole('link', { name: 'Came back' }).click()
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
  },
)

test('a broken or newer file is refused with its place, and nothing is lost', async ({ page }, info) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'All builds' }).click()
  const demo = JSON.parse(await readFile('demo/fen-tender.lurvan.json', 'utf8'))
  const broken = info.outputPath('broken.lurvan.json')
  demo.lines[0].joints[1].kind = 'knuckle'
  await writeFile(broken, JSON.stringify(demo))
  const newer = info.outputPath('newer.lurvan.json')
  await writeFile(newer, JSON.stringify({ ...demo, version: 9 }))
  const cut = info.outputPath('cut.lurvan.json')
  await writeFile(cut, '{ "format": ')
  await page.getByLabel('Import files').setInputFiles([broken, newer, cut])
  const refused = page.getByRole('alert').filter({ hasText: 'Not imported' })
  await expect(refused).toContainText(
    'lines[0].joints[1].kind: must be one of: cross, double-cardan, cv, flex-disc',
  )
  await expect(refused).toContainText(
    'version: this file was written by a newer Lurvan (version 9; this one reads up to 2)',
  )
  await expect(refused).toContainText('this is not JSON')
  await expect(page.getByRole('article')).toHaveCount(1)
})

test('delete can be undone, duplicate makes a second build, a backup brings all back', async ({
  page,
  browser,
}, info) => {
  await openDemo(page)
  await page.getByRole('link', { name: 'All builds' }).click()
  await page.getByRole('button', { name: 'Duplicate Fen tender' }).click()
  await expect(page.getByRole('heading', { name: 'Fen tender (copy)' })).toBeVisible()
  await page.getByRole('button', { name: 'Delete Fen tender', exact: true }).click()
  await expect(page.getByRole('article')).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('article')).toHaveCount(2)

  // A build of half a megabyte among them: packing must not need what the page's policy forbids.
  const large = JSON.parse(await readFile('demo/fen-tender.lurvan.json', 'utf8'))
  large.name = 'Long log'
  large.readingLog = Array.from({ length: 2000 }, (_, i) => ({
    id: `log-${i}`,
    at: '2026-10-20T09:00:00',
    what: 'corrected',
    reading: 'r4',
    before: large.readings[3],
  }))
  const long = info.outputPath('long.lurvan.json')
  await writeFile(long, JSON.stringify(large))
  await page.getByLabel('Import files').setInputFiles(long)
  await expect(page.getByRole('article')).toHaveCount(3)

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Back up all' }).click(),
  ])
  const path = info.outputPath('backup.zip')
  await download.saveAs(path)
  const other = await (await browser.newContext()).newPage()
  await other.goto('/')
  await other.getByLabel('Import files').setInputFiles(path)
  await expect(other.getByRole('article')).toHaveCount(3)
  await expect(other.getByRole('article').first()).toContainText('torsional under drive is 699 rad/s²')
})

test('two tabs on one build keep both changes and say so', { tag: '@proved' }, async ({ page, context }) => {
  await openDemo(page)
  const other = await context.newPage()
  await other.goto('/b/fen-tender/line')
  await cureButton(other).click()
  // It goes by itself: first to be looked for.
  await expect(
    page.getByText('Changed in another tab; this one now shows the newest state.').first(),
  ).toBeVisible()
  await expect(other.getByTestId('state')).toContainText('Holds')
  await expect(page.getByTestId('state')).toContainText('Holds: every check')
  await page.getByTestId('lever-tail').focus()
  await page.keyboard.press('ArrowUp')
  await expect(other.getByTestId('lever-tail')).toHaveAttribute('aria-valuetext', '6.0 mm up')
  await expect(other.getByTestId('lever-wedge')).toHaveAttribute('aria-valuetext', '1.5° nose down')
})

test(
  'a full disk is said, nothing is lost, and storing goes on once there is room',
  { tag: '@proved' },
  async ({ page }) => {
    await openDemo(page)
    await page.evaluate(() => {
      const store = IDBObjectStore.prototype as unknown as { put: unknown; realPut?: unknown }
      store.realPut = store.put
      store.put = () => {
        throw new DOMException('The quota has been exceeded.', 'QuotaExceededError')
      }
    })
    await cureButton(page).click()
    await expect(page.getByRole('alert')).toContainText('Not saved: the disk is full')
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
    await expect(page.getByTestId('saved')).toContainText('not saved')
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save as a file' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('fen-tender.lurvan.json')

    await page.evaluate(() => {
      const store = IDBObjectStore.prototype as unknown as { put: unknown; realPut?: unknown }
      store.put = store.realPut
    })
    await page.getByRole('button', { name: 'Try again' }).click()
    await expect(page.getByRole('alert')).toBeHidden()
    await page.reload()
    await expect(page.getByTestId('state')).toContainText('Holds: every check')
  },
)

test('the demo can be reset, and the reset undone', { tag: '@proved' }, async ({ page }) => {
  await openDemo(page)
  await cureButton(page).click()
  await saved(page)
  await page.getByRole('link', { name: 'All builds' }).click()
  await page.getByRole('button', { name: 'Reset demo' }).click()
  await expect(page.getByRole('article')).toContainText('Out: torsional')
  await page.getByRole('link', { name: 'Fen tender' }).click()
  await expect(page.getByTestId('state')).toContainText('Out: torsional')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('state')).toContainText('Holds: every check')
})

test('inch units change every figure shown and no figure kept', { tag: '@proved' }, async ({ page }) => {
  await openDemo(page)
  await openDrawer(page, 'Drivetrain and sizes')
  await page.getByRole('combobox', { name: 'Lengths in' }).click()
  await page.getByRole('option', { name: 'in', exact: true }).click()
  await expect(page.getByLabel('Track', { exact: true })).toHaveValue('56.6929')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('complementary', { name: 'Drivetrain and sizes' })).toBeHidden()
  await expect(page.getByTestId('state')).toContainText('699 rad/s²')
  await expect(page.getByRole('button', { name: /^Pack the tail up 3\/16"/ })).toBeVisible()
})
