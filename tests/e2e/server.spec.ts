import { expect, test } from './browser'
import { execFileSync } from 'node:child_process'
import { readFile } from 'node:fs/promises'

test('the server checks a posted build like the command line does', async ({ request }) => {
  const body = await readFile('demo/fen-tender.lurvan.json', 'utf8')
  const response = await request.post('/api/check', {
    data: body,
    headers: { 'content-type': 'application/json' },
  })
  expect(response.status()).toBe(200)
  const result = await response.json()
  let printed = ''
  try {
    execFileSync('npx', ['lurvan', 'check', 'demo/fen-tender.lurvan.json', '--json'], { encoding: 'utf8' })
  } catch (error) {
    // Out is exit code 1, which the runner throws.
    printed = (error as { stdout: string }).stdout
  }
  expect(result).toEqual(JSON.parse(printed))
  expect(result.lines[0].drive.outputPeakAccelerationRadS2).toBeCloseTo(699, -1)
})

test('bad input gets 400 with the path and reason, too much 413', async ({ request }) => {
  const demo = JSON.parse(await readFile('demo/fen-tender.lurvan.json', 'utf8'))
  demo.readings[2].from = 'moon'
  const bad = await request.post('/api/check', {
    data: JSON.stringify(demo),
    headers: { 'content-type': 'application/json' },
  })
  expect(bad.status()).toBe(400)
  expect((await bad.json()).data.problems).toEqual([
    { path: 'readings[2].from', message: 'must be one of: level, plumb' },
  ])

  const junk = await request.post('/api/check', {
    data: Buffer.from('{"format":'),
    headers: { 'content-type': 'application/json' },
  })
  expect(junk.status()).toBe(400)
  expect((await junk.json()).data.problems[0].message).toContain('this is not JSON')

  const huge = await request.post('/api/check', {
    data: ' '.repeat(5_000_001),
    headers: { 'content-type': 'application/json' },
  })
  expect(huge.status()).toBe(413)
  expect((await huge.json()).data.problems[0].message).toBe('the body is larger than 5 MB')
})

test('a simulated tool streams server-sent events, holds on request, and refuses what it cannot be', async ({
  request,
  baseURL,
}) => {
  const bad = await request.get('/api/instruments/level?session=abcdefgh&noise=-3')
  expect(bad.status()).toBe(400)
  expect((await bad.json()).data.problems).toEqual([{ path: 'noise', message: 'must be at least 0' }])
  expect((await request.get('/api/instruments/ruler?session=abcdefgh')).status()).toBe(400)

  const session = 'e2e-stream-1'
  const stop = new AbortController()
  const url = `${baseURL}/api/instruments/laser?session=${session}&truth=900&noise=5&drift=0&zero=0&seed=4`
  const response = await fetch(url, { signal: stop.signal })
  expect(response.headers.get('content-type')).toContain('text/event-stream')
  const again = await request.get(`/api/instruments/laser?session=${session}`)
  expect(again.status()).toBe(409)
  const reader = response.body!.getReader()
  const next = async () => {
    const text = new TextDecoder().decode((await reader.read()).value)
    return JSON.parse(/data: (.*)/.exec(text)![1]!)
  }
  expect(await next()).toMatchObject({ unit: 'mm', isHeld: false })
  const hold = await request.post('/api/instruments/hold', { data: { session, held: true } })
  expect(await hold.json()).toEqual({ held: true })
  await next()
  const [first, second] = [await next(), await next()]
  expect(first).toMatchObject({ isHeld: true, value: second.value })
  expect(
    (await request.post('/api/instruments/hold', { data: { session: 'nobody-here', held: true } })).status(),
  ).toBe(404)
  expect((await request.post('/api/instruments/hold', { data: { held: 'yes' } })).status()).toBe(400)
  stop.abort()
})
