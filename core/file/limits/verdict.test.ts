import { combinedWindow, gravest, standing } from './verdict'
import { PROFILES } from './profiles'
import { requireRising } from './edit'

const WINDOW = { failLow: 0, warnLow: 0.5, warnHigh: 3, failHigh: 4 }

describe('standing', () => {
  it('tells how much room there is, or how far past the limit', () => {
    // Room to where it fails, not to where it warns.
    expect(standing(2.5, WINDOW)).toEqual({ verdict: 'holds', edge: 'failHigh', margin: 1.5 })
    expect(standing(3.5, WINDOW)).toEqual({ verdict: 'tight', edge: 'warnHigh', margin: 0.5 })
    expect(standing(5, WINDOW)).toEqual({ verdict: 'out', edge: 'failHigh', margin: -1 })
    expect(standing(0.2, WINDOW)).toEqual({ verdict: 'tight', edge: 'warnLow', margin: 0.2 })
    expect(standing(0.2, { ...WINDOW, failLow: null })).toEqual({
      verdict: 'tight',
      edge: 'warnLow',
      margin: -0.3,
    })
    expect(standing(-1, WINDOW)).toEqual({ verdict: 'out', edge: 'failLow', margin: -1 })
  })

  it('refuses a value that is no number, which would pass every comparison', () => {
    expect(() => standing(NaN, WINDOW)).toThrow('value: expected a number, got NaN')
    expect(standing(Infinity, WINDOW).verdict).toBe('out')
  })

  it('holds on the limit itself, and where nothing is limited', () => {
    expect(standing(3, WINDOW).verdict).toBe('holds')
    expect(standing(4, { ...WINDOW, warnHigh: null }).verdict).toBe('holds')
    expect(standing(99, { failLow: null, warnLow: null, warnHigh: null, failHigh: null })).toEqual({
      verdict: 'holds',
      edge: null,
      margin: null,
    })
  })
})

describe('combinedWindow', () => {
  it('takes the strictest limit on each side', () => {
    const limits = [{ failAbove: 4, warnBelow: 0.5 }, { failAbove: 3.5, warnAbove: 5 }, { warnBelow: 0.2 }]
    expect(combinedWindow(limits)).toEqual({ failLow: null, warnLow: 0.5, warnHigh: 3.5, failHigh: 3.5 })
  })
})

describe('gravest', () => {
  it('puts out before unknown before tight before holds', () => {
    expect(gravest(['holds', 'tight'])).toBe('tight')
    expect(gravest(['tight', 'unknown'])).toBe('unknown')
    expect(gravest(['unknown', 'out', 'holds'])).toBe('out')
    expect(gravest([])).toBe('unknown')
  })
})

describe('profiles', () => {
  it('all have limits whose values rise', () => {
    for (const profile of Object.values(PROFILES)) {
      expect(profile.entries.map(requireRising)).toEqual(profile.entries.map(() => null))
    }
  })

  it('let a trail build shudder more', () => {
    const torsional = (profile: keyof typeof PROFILES) =>
      PROFILES[profile].entries.find((entry) => entry.quantity === 'torsional-acceleration')?.failAbove
    expect([torsional('road'), torsional('trail')]).toEqual([400, 700])
  })
})
