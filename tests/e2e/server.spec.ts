import { expect, test } from '@playwright/test'
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
  expect(result.lines[0].drive.outputPeakAccelerationRadS2).toBeCloseTo(588, -1)
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
