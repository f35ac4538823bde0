import { readFile } from 'node:fs/promises'
import type { Locator, Page } from '@playwright/test'
import { gapRow, goWithin, openBay, saved } from './bench'
import { expect, test } from './browser'

/** How a builder works a control: at the bench by key, under the vehicle by finger. */
interface Hand {
  readonly name: string
  readonly viewport: { readonly width: number; readonly height: number }
  readonly press: (control: Locator) => Promise<void>
  readonly undo: (page: Page) => Promise<void>
}

const HANDS: readonly Hand[] = [
  {
    name: 'keyboard',
    viewport: { width: 1280, height: 800 },
    press: async (control) => {
      await expect(control).toBeEnabled()
      await control.focus()
      await control.press('Enter')
    },
    undo: (page) => page.keyboard.press('Control+z'),
  },
  {
    name: 'touch',
    viewport: { width: 820, height: 1180 },
    press: (control) => control.tap(),
    undo: (page) => page.getByRole('button', { name: 'Undo' }).tap(),
  },
]

/** Types into a field and leaves it. */
async function type(field: Locator, text: string): Promise<void> {
  await field.fill(text)
  await field.press('Tab')
}

for (const { name, viewport, press, undo } of HANDS)
  test.describe(`by ${name}`, () => {
    test.use({ viewport, hasTouch: name === 'touch', ownBrowser: name === 'touch' })

    test(
      'a builder fits a longer gearbox: finds what touches, compares, takes a setting, reads again, prints, undoes all',
      { tag: '@proved' },
      async ({ page, browser }) => {
        test.setTimeout(240_000)
        await openBay(page)
        const panel = page.getByRole('tabpanel')
        const lever = (id: string) => page.getByTestId(`lever-${id}`)

        // A gearbox from the shelf is too long by far: its pan would lie in the crossmember.
        await press(page.getByRole('tab', { name: 'Parts' }))
        await press(panel.getByRole('button', { name: 'Add a part' }))
        await press(page.getByRole('button', { name: 'Take five-speed, long tail' }))
        await press(page.getByRole('button', { name: 'Close Parts in the bay' }))
        await press(page.getByRole('tab', { name: /^Gaps/ }))
        await expect(page.getByTestId('cut-list').getByRole('listitem').first()).toContainText('50.9 mm deep')
        // With a shorter tail housing it is 12 mm longer than the old one.
        const adapter = page.getByRole('region', { name: 'adapter, or a longer gearbox' })
        await type(adapter.getByRole('textbox'), '12')
        await expect(adapter).toContainText('12.0 mm longer')
        await expect(gapRow(page, 'gearbox pan to crossmember')).toContainText('17.0 mm')
        await expect(gapRow(page, 'sump to steering rack')).toContainText('9.0 mm ± 1.7 mmtight, 1.0 mm left')

        // A as it stands, B with the fronts packed, C moved to the left as well.
        await press(page.getByRole('tab', { name: 'Positions' }))
        await press(panel.getByRole('button', { name: 'Keep this setting as another' }))
        await type(page.getByTestId('type-fronts'), '10')
        await press(panel.getByRole('button', { name: 'Keep this setting as another' }))
        await type(page.getByTestId('type-sideways'), '8')
        const table = panel.getByRole('table')
        await expect(table.getByRole('row', { name: /Tightest gap/ }).getByRole('cell')).toHaveText([
          'sump to steering rack 9.0 mm',
          /^downpipe to frame/,
          /mm$/,
        ])
        await expect(table.getByRole('row', { name: /Shift lever/ })).toContainText('9.0 mm behind its hole')
        await expect(table.getByRole('columnheader').last()).toContainText('chosen')
        await saved(page)

        // The work goes on after a reload.
        await page.reload()
        await expect(lever('sideways')).toHaveAttribute('aria-valuetext', '8.0 mm left')
        await press(page.getByRole('tab', { name: 'Find a setting' }))
        await press(panel.getByRole('button', { name: 'Find settings' }))
        const card = panel.getByTestId('settings').getByRole('listitem').first()
        await expect(card).toContainText('Pack both front mounts up 8.0 mm (5 + 3)')
        await press(card.getByRole('button', { name: 'Take it' }))
        await expect(page.getByTestId('state')).toContainText('Holds: every check')
        await expect(lever('fronts')).toHaveAttribute('aria-valuetext', '8.0 mm up')
        await expect(adapter).toContainText('12.0 mm longer')

        // Set it and read again: foretold 17.3, read 17.
        await press(page.getByRole('tab', { name: 'Trials' }))
        await press(panel.getByRole('button', { name: /Start a trial/ }))
        await press(page.getByRole('tab', { name: /^Gaps/ }))
        await press(gapRow(page, 'sump to steering rack'))
        await press(panel.getByRole('button', { name: 'Change or read it' }))
        await type(page.getByTestId('gap-figure'), '17')
        await press(page.getByRole('button', { name: 'Keep the reading' }))
        await press(page.getByRole('button', { name: 'Close sump to steering rack' }))
        await expect(gapRow(page, 'sump to steering rack')).toContainText('17.0 mm')
        await press(page.getByRole('tab', { name: 'Trials' }))
        await expect(panel.getByRole('listitem').last()).toContainText(/17\.3 mm ± .* read 17\.0 mm.*agrees/s)
        await saved(page)

        // The sheet tells the spacers and the gaps to keep.
        await goWithin(page, '/b/sedge-wagon/sheet')
        await expect(page.getByText('Pack both front mounts up 8.0 mm (5 + 3)')).toBeVisible()
        await expect(page.getByText('Make the adapter or the gearbox 12.0 mm longer')).toBeVisible()
        const kept = page.getByRole('row', { name: /sump to steering rack/ })
        await expect(kept).toContainText('17.0 mm')

        // Out as a file, and the same figures in another browser.
        await goWithin(page, '/')
        const [download] = await Promise.all([
          page.waitForEvent('download'),
          press(page.getByRole('button', { name: 'Export Sedge wagon' })),
        ])
        const file = await readFile((await download.path())!)
        const elsewhere = await browser.newContext({ viewport })
        const other = await elsewhere.newPage()
        await other.goto(new URL('/', page.url()).href)
        await other
          .getByLabel('Import files')
          .setInputFiles({ name: 'sedge.lurvan.json', mimeType: 'application/json', buffer: file })
        await other.getByText('1 build was imported').first().waitFor()
        await other.goto(new URL('/b/sedge-wagon/place', page.url()).href)
        await expect(gapRow(other, 'sump to steering rack')).toContainText('17.0 mm')
        await expect(gapRow(other, 'gearbox pan to crossmember')).toContainText('18.2 mm')
        await expect(other.getByTestId('state')).toContainText('Holds: every check')
        await elsewhere.close()

        // Back through all of it, step by step, to the bay as it came.
        await goWithin(page, '/b/sedge-wagon/place')
        await expect(gapRow(page, 'sump to steering rack')).toContainText('17.0 mm')
        const back = page.getByRole('button', { name: 'Undo' })
        for (let step = 0; step < 20 && (await back.isEnabled()); step++) {
          await undo(page)
          await saved(page)
        }
        await expect(back).toBeDisabled()
        await expect(gapRow(page, 'sump to steering rack')).toContainText('9.0 mm ± 1.7 mmtight, 1.0 mm left')
        await expect(adapter).toHaveCount(0)
        await expect(lever('fronts')).toHaveAttribute('aria-valuetext', 'as measured')
      },
    )
  })
