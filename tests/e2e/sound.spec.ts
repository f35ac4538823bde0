import { expect, test } from './browser'
import { readFile, writeFile } from 'node:fs/promises'
import { checkRow, cureButton, goWithin, newBuild, openDemo, openDrawer, saved } from './bench'

test(
  'every answer carries its security headers, and the page names its own scripts',
  { tag: '@proved' },
  async ({ page, request }) => {
    const home = await request.get('/')
    const headers = home.headers()
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'x-frame-options': 'DENY',
      'cache-control': 'no-cache',
    })
    expect(headers).not.toHaveProperty('x-powered-by')
    expect(headers['permissions-policy']).toContain('camera=()')
    const policy = headers['content-security-policy']!
    expect(policy).toContain("default-src 'self'")
    expect(policy).toContain("frame-ancestors 'none'")
    expect(/script-src ([^;]*)/.exec(policy)![1]).toMatch(/^'self'( 'sha256-[A-Za-z0-9+/=]+')+$/)
    const script = /src="(\/_nuxt\/[^"]+\.js)"/.exec(await home.text())![1]!
    const asset = await request.get(script, { headers: { 'accept-encoding': 'br' } })
    expect(asset.headers()).toMatchObject({
      'cache-control': 'public, max-age=31536000, immutable',
      'content-encoding': 'br',
      'x-content-type-options': 'nosniff',
    })
    const health = await request.get('/api/health')
    expect(health.headers()['cache-control']).toBe('no-store')
    // Nothing of the application is stopped by its own policy.
    const stopped: string[] = []
    page.on('console', (message) => {
      if (/Content Security Policy/.test(message.text())) stopped.push(message.text())
    })
    await openDemo(page)
    await expect(cureButton(page)).toBeVisible()
    expect(stopped).toEqual([])
  },
)

test('twenty posts at once are answered in turn while health answers at once', async ({ request }) => {
  const body = await readFile('demo/fen-tender.lurvan.json', 'utf8')
  const post = () =>
    request.post('/api/check?samples=2000', { data: body, headers: { 'content-type': 'application/json' } })
  const posts = Array.from({ length: 20 }, post)
  await new Promise((resolve) => setTimeout(resolve, 150))
  const started = Date.now()
  expect(await (await request.get('/api/health')).json()).toEqual({ ok: true })
  expect(Date.now() - started).toBeLessThan(1000)
  const answers = await Promise.all(posts)
  expect(answers.map((one) => one.status())).toEqual(Array(20).fill(200))
  for (const answer of answers) expect((await answer.json()).verdict).toBe('out')
})

test('no body gets a 500: each is answered with a reason', async ({ request }) => {
  const post = (data: string, query = '') =>
    request.post(`/api/check${query}`, {
      data: Buffer.from(data),
      headers: { 'content-type': 'application/json' },
    })
  const deep = `{"format":"lurvan-build","version":1,"name":"x","mine":${'['.repeat(100_000)}${']'.repeat(100_000)}}`
  const strings = JSON.stringify({
    format: 'lurvan-build',
    version: 1,
    name: 'strings',
    readings: Array.from({ length: 5000 }, (_, i) => ({ id: `r${i}`, kind: 'x'.repeat(200) })),
  })
  for (const body of ['', 'NaN', '[]', '{"a": NaN}', deep, strings]) {
    const answer = await post(body)
    expect(answer.status()).toBe(400)
    const [problem] = (await answer.json()).data.problems
    expect(problem.path !== '' || /line \d+, column \d+/.test(problem.message)).toBe(true)
  }
  expect((await post('{}', '?samples=lots')).status()).toBe(400)
  expect((await request.get('/api/health')).ok()).toBe(true)
})

test('a page left with something unstored asks first, and nothing is dropped', async ({ page }) => {
  await openDemo(page)
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The disk is full.', 'QuotaExceededError')
    }
  })
  await page.getByTestId('lever-tail').focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByRole('alert')).toContainText('the disk is full')
  await page.getByRole('link', { name: /all builds/ }).click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toContainText('One change is not stored yet')
  await dialog.getByRole('button', { name: 'Stay here' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByTestId('lever-tail')).toHaveAttribute('aria-valuetext', '1.0 mm up')
  expect(new URL(page.url()).pathname).toBe('/b/fen-tender/line')
})

test('a fault in the reckoning is said where it shows, and the change that led to it is taken back', async ({
  page,
}) => {
  await openDemo(page)
  // The ± that come a moment later are worked out with the rest.
  await expect(checkRow(page, 'joint 1')).toContainText('±')
  await page.evaluate(() => {
    const real = Math.sqrt
    const held = window as unknown as { mend: () => void }
    held.mend = () => (Math.sqrt = real)
    Math.sqrt = () => {
      throw new Error('a figure came out that is none')
    }
  })
  await page.getByTestId('lever-tail').focus()
  await page.keyboard.press('ArrowUp')
  const told = page.getByRole('alert').filter({ hasText: 'could not work this build out' })
  await expect(told).toContainText('a figure came out that is none')
  await expect(page.getByTestId('state')).toContainText('Lurvan could not work this build out')
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend())
  await told.getByRole('button', { name: /^Undo/ }).click()
  await expect(told).toBeHidden()
  await expect(page.getByTestId('state')).toContainText('Out: torsional under drive is 699 rad/s²')
})

test('figures no builder has are answers, not faults', async ({ page }, info) => {
  const raw = JSON.parse(await readFile('demo/comfrey-buggy.lurvan.json', 'utf8'))
  const faces = raw.readings.filter(({ kind }: { kind: string }) => kind === 'sprocket-face')
  for (const face of faces.slice(0, 2)) face.radius = '0.000001'
  const chosen = raw.positions.find(({ id }: { id: string }) => id === raw.chosen)
  Object.assign(chosen.settings, { 'tensioner-up': 999.999, 'jack-bolt': 999.999, strap: -1000 })
  const path = info.outputPath('odd.lurvan.json')
  await writeFile(path, JSON.stringify({ ...raw, id: 'odd', name: 'Odd figures' }))
  await page.goto('/')
  await page.getByLabel('Import files').setInputFiles(path)
  await page.getByRole('link', { name: 'Odd figures' }).click()
  for (const view of ['chains', 'line', 'place', 'sheet']) {
    await goWithin(page, `/b/odd/${view}`)
    await expect(page.getByTestId('state')).toContainText(/^Out: /)
    await expect(page.getByRole('main')).toContainText(/\w/)
    await expect(page.locator('body')).not.toContainText(/NaN|undefined|could not work/)
  }
})

test('a build that cannot be read hides no other', async ({ page }) => {
  await newBuild(page, 'Sound one')
  await openDemo(page)
  await page.evaluate(async () => {
    const open = indexedDB.open('lurvan')
    await new Promise((resolve) => (open.onsuccess = resolve))
    const writing = open.result.transaction(['snapshots', 'builds'], 'readwrite')
    const broken = { format: 'lurvan-build', version: 1, lines: 7 }
    writing.objectStore('snapshots').put({ buildId: 'fen-tender', rev: 2, build: broken })
    writing.objectStore('builds').put({
      id: 'fen-tender',
      name: 'Fen tender',
      rev: 2,
      cursor: 0,
      changedAt: new Date().toISOString(),
      deletedAt: null,
    })
    await new Promise((resolve) => (writing.oncomplete = resolve))
    open.result.close()
  })
  await page.goto('/')
  const cards = page.getByRole('article')
  await expect(cards).toHaveCount(2)
  await expect(page.getByText('Sound one')).toBeVisible()
  await expect(page.getByText('This build cannot be read')).toBeVisible()
})

test('a new build is drawn in usual sizes, called so, until its own are entered', async ({ page }, info) => {
  const raw = JSON.parse(await readFile('demo/fen-tender.lurvan.json', 'utf8'))
  delete raw.bodies[1].sizes
  raw.id = 'bare'
  const path = info.outputPath('bare.json')
  await writeFile(path, JSON.stringify(raw))
  await page.goto('/')
  await page.getByLabel('Import files').setInputFiles(path)
  await page.getByRole('article').getByRole('link').first().click()
  await page.getByRole('link', { name: 'Line' }).click()
  await expect(page.getByTestId('usual-size')).toContainText('usual size, until it is entered')
  const dashed = page.getByTestId('drawing').locator('polygon.powertrain.usual')
  await expect(dashed).toHaveCount(2)
  await page.getByTestId('usual-size').getByRole('button', { name: 'Enter the sizes' }).click()
  for (const [label, figure] of [
    ['Engine and gearbox, length', '1200'],
    ['Gearbox, length', '600'],
    ['Engine above crank line', '350'],
    ['Engine below crank line', '200'],
    ['Engine, width', '500'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(figure)
    await page.getByLabel(label, { exact: true }).press('Enter')
  }
  await saved(page)
  await expect(dashed).toHaveCount(0)
})

test('an empty build’s sheet says what is still to be read, and is none to set by', async ({ page }) => {
  await newBuild(page, 'Nothing yet')
  await page.getByRole('link', { name: 'Fit' }).click()
  await page.getByRole('link', { name: 'Setting sheet' }).click()
  const missing = page.getByTestId('sheet-missing')
  await expect(missing).toContainText('Not a sheet to set by yet')
  await expect(missing).toContainText('Pinion: level not read')
  await expect(page.getByRole('article')).not.toContainText('Move nothing')
  await expect(page.getByRole('button', { name: 'Print' })).toHaveCount(0)
})

test('terms explain themselves on hover, focus and tap', async ({ page }) => {
  await openDemo(page)
  await openDrawer(page, 'Limits')
  const term = page.getByRole('button', { name: 'Torsional acceleration' })
  await term.hover()
  await expect(page.getByRole('tooltip')).toContainText('speeded up and slowed down twice a turn')
  await page.mouse.move(0, 0)
  await expect(page.getByRole('tooltip')).toHaveCount(0)
  await term.focus()
  await expect(page.getByRole('tooltip')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('tooltip')).toHaveCount(0)
  await term.click()
  await expect(page.getByRole('tooltip')).toBeVisible()
})

test('points are tapped on the plan of the frame, and their dimensions stand there', async ({ page }) => {
  await openDemo(page, 'datum')
  const plan = page.getByRole('group', { name: 'The frame from above' })
  await plan.getByRole('button', { name: /^gearbox end/ }).click()
  await expect(plan).toContainText('1178.0 mm rearward')
  await expect(plan).toContainText('4.0 mm right')
  await expect(page.getByTestId('plan-point')).toContainText('gearbox end, 56.0 mm above the datum plane')
  await plan.getByRole('button', { name: /^left engine mount/ }).focus()
  await page.keyboard.press('Enter')
  await expect(plan).toContainText('262.0 mm left')
})

test('single keys can be switched off, and a slider keeps its own', { tag: '@proved' }, async ({ page }) => {
  await openDemo(page)
  await expect(cureButton(page)).toBeVisible()
  await page.getByTestId('lever-tail').focus()
  await page.keyboard.press('1')
  await expect(page.getByTestId('state')).toContainText('Out')
  await page.getByRole('heading', { name: 'Levers' }).click()
  await page.keyboard.press('?')
  await page.getByRole('dialog').getByRole('checkbox').click()
  await page.keyboard.press('Escape')
  await page.keyboard.press('1')
  await expect(page.getByTestId('state')).toContainText('Out')
  await page.reload()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, ownBrowser: true })

  test('the tour goes in order, says what is needed, and passes over groups', async ({ page }) => {
    await newBuild(page, 'In order')
    const at = (name: string) => expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
    const skip = page.getByRole('button', { name: 'Skip', exact: true })
    await expect(page.getByTestId('need')).toHaveText('needed')
    await skip.click()
    await at('Chassis, across')
    await expect(page.getByTestId('need')).toHaveText('if you can')
    await skip.click()
    await at('Pinion, along')
    for (let i = 0; i < 8; i++) await skip.click()
    await at('Crankshaft nose, station')
    await page.goto(page.url().replace(/step=[^&]*/, 'step=point-station-axle-centre'))
    await page.getByRole('button', { name: /^Skip the rest of/ }).click()
    // Round to the first that is needed and still open.
    await at('Chassis, fore and aft')
  })

  test('after the last needed reading the line is offered, and the keys still fit', async ({ page }) => {
    await openDemo(page)
    await page.goto('/b/fen-tender/readings?step=point-height-mount-tail')
    await expect(page.getByTestId('all-read')).toContainText('Everything needed is read.')
    const next = (await page.getByRole('button', { name: 'Next' }).boundingBox())!
    const rail = (await page.getByRole('navigation', { name: 'Stages of the work' }).boundingBox())!
    expect(next.y + next.height).toBeLessThanOrEqual(rail.y)
    await page.getByTestId('all-read').getByRole('link', { name: 'See the line' }).click()
    await expect(page.getByTestId('drawing')).toBeVisible()
  })
})
