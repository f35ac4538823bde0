import { describe, expect, it } from '@jest/globals'
import { spawnSync } from 'node:child_process'
import { today } from './today'

/** The same function in a process that lives elsewhere: a time zone is read once. */
const dayIn = (zone: string, instant: string): string =>
  spawnSync(process.execPath, ['-e', `process.stdout.write((${today.toString()})(new Date('${instant}')))`], {
    env: { ...process.env, TZ: zone },
  }).stdout.toString()

describe('today', () => {
  it('is the day where the builder stands, not in Greenwich', () => {
    const late = '2026-11-30T03:30:00Z'
    expect(dayIn('America/Vancouver', late)).toBe('2026-11-29')
    expect(dayIn('UTC', late)).toBe('2026-11-30')
    expect(dayIn('Pacific/Auckland', '2026-12-31T12:00:00Z')).toBe('2027-01-01')
  })

  it('is written as files have it', () => {
    expect(today(new Date(2026, 0, 5, 12))).toBe('2026-01-05')
  })
})
