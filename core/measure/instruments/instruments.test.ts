import { parseStreamRequest } from './request'
import { SIMULATED_DEFAULTS, simulatedInstrument } from './simulated'

describe('simulatedInstrument', () => {
  const spec = { ...SIMULATED_DEFAULTS.level, kind: 'level' as const, truth: 4, seed: 3 }

  it('shows truth and zero error with its noise once it has come to rest', () => {
    const read = simulatedInstrument({ ...spec, driftPerMinute: 0 })
    const values = Array.from({ length: 500 }, (_, i) => read(3000 + i * 200, false).value)
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length
    // Four standard errors of the mean, and half a step for the rounding.
    expect(Math.abs(mean - 4.08)).toBeLessThan((4 * 0.03) / Math.sqrt(500) + 0.005)
  })

  it('drifts, swings in, and holds', () => {
    const read = simulatedInstrument({ ...spec, noise: 0, driftPerMinute: 0.5 })
    expect(read(0, false).isSteady).toBe(false)
    expect(read(120_000, false)).toMatchObject({ value: 5.08, isSteady: true })
    expect(read(240_000, true)).toMatchObject({ value: 5.08, isHeld: true })
    expect(read(240_000, false).value).toBeCloseTo(6.08, 9)
  })

  it('gives the same stream for the same seed', () => {
    const [a, b] = [simulatedInstrument(spec), simulatedInstrument(spec)]
    expect([a(100, false), a(300, false)]).toEqual([b(100, false), b(300, false)])
  })
})

describe('parseStreamRequest', () => {
  it('fills in the usual tool and refuses the rest with its place', () => {
    const good = parseStreamRequest({ kind: 'laser', session: 'abcdefgh', truth: '900' })
    expect(good.ok && good.value.spec).toMatchObject({ kind: 'laser', truth: 900, noise: 0.4, seed: 1 })
    const problem = (raw: Record<string, unknown>) => {
      const result = parseStreamRequest({ kind: 'level', session: 'abcdefgh', ...raw })
      return result.ok ? null : result.problems[0]!.path
    }
    expect(problem({ kind: 'ruler' })).toBe('kind')
    expect(problem({ truth: 'NaN' })).toBe('truth')
    expect(problem({ noise: '-1' })).toBe('noise')
    expect(problem({ session: '../x' })).toBe('session')
  })
})
