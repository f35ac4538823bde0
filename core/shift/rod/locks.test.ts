import { demoBuild } from '../../testdata/demos'
import type { ShiftGateEntry } from '../../file/parts/shiftLinkage'
import { evaluateBuild } from '../../model/evaluateBuild'
import { lockTexts } from '../../show/text/lockText'
import { lockState, trialsOf } from './locks'

const gate = (more: Partial<ShiftGateEntry>): ShiftGateEntry => ({ id: 'd', name: 'D', ...more })

describe('locks of a gate', () => {
  it('are asked by what it is, and are wrong where they do otherwise', () => {
    expect(trialsOf(gate({ is: 'park' }))).toEqual(['starts', 'lamp', 'knocked', 'loaded'])
    expect(trialsOf(gate({}))).toEqual([])
    expect(lockState(gate({ is: 'drive', starts: 'yes' }))).toEqual({ wrong: ['starts'], untried: ['lamp'] })
    expect(
      lockState(gate({ is: 'reverse', starts: 'no', lamp: 'no', knocked: 'no', lock: 'filed' })),
    ).toEqual({
      wrong: ['lamp', 'filed'],
      untried: [],
    })
    expect(lockState(gate({ is: 'neutral', starts: 'yes', lamp: 'no', lock: 'replaced' }))).toEqual({
      wrong: [],
      untried: [],
    })
  })

  const van = demoBuild('osier-van')
  const [shift] = van.shifts!
  const withD = (more: Partial<ShiftGateEntry>) => ({
    ...van,
    shifts: [{ ...shift!, gates: shift!.gates.map((one) => (one.id === 'd' ? { ...one, ...more } : one)) }],
  })
  const verdictOf = (build: typeof van, check: string) =>
    evaluateBuild(build, {}).checks.find(({ id }) => id === `shift/column-shift/${check}`)?.verdict

  it('are checks of the build: one that starts in gear is out, one that nobody tried is unknown', () => {
    expect(verdictOf(van, 'd/locks')).toBe('holds')
    expect(verdictOf(withD({ starts: 'yes' }), 'd/locks')).toBe('out')
    expect(verdictOf(withD({ starts: undefined }), 'd/locks')).toBe('unknown')
    expect(verdictOf(withD({ is: undefined, lock: undefined }), 'd/locks')).toBeUndefined()
    expect(lockTexts(withD({ starts: 'yes', lamp: undefined }).shifts[0]!)).toEqual([
      'D: the engine starts in it, and must not.',
      'D: not tried yet: the reverse lamp.',
    ])
  })

  it('ask for one and a half threads at the ends of the rod', () => {
    const engaged = (engagedMm: number | undefined) => ({ ...van, shifts: [{ ...shift!, engagedMm }] })
    expect([13, 11.9, undefined].map((mm) => verdictOf(engaged(mm), 'thread'))).toEqual([
      'holds',
      'out',
      'unknown',
    ])
  })
})
