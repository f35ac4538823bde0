import { evaluateBuild } from '../model/evaluateBuild'
import { changedBay } from '../testdata/bay'
import { packedText, positionFacts } from './positionFacts'

describe('positionFacts', () => {
  const build = changedBay()

  it('tells a position by its verdict, its closest check and gap, its angles and what was moved', () => {
    expect(positionFacts(build, evaluateBuild(build, {}))).toEqual({
      verdict: 'tight',
      worst: 'sump to steering rack, tight, 1.0 mm left',
      tightest: 'sump to steering rack 9.0 mm',
      cuts: { count: 0, deepestMm: 0 },
      joints: '1.09° · 0.79°',
      moved: [],
    })
    const moved = positionFacts(build, evaluateBuild(build, { fronts: 8, sideways: 8, 'radiator-fore': 4 }))
    expect(moved.verdict).toBe('holds')
    expect(moved.moved).toEqual([
      'front mounts, both 8.0 mm up',
      'sideways 8.0 mm left',
      'radiator, fore and aft 4.0 mm forward',
    ])
  })

  it('counts what has to be cut, and how deep', () => {
    const facts = positionFacts(build, evaluateBuild(build, { fronts: 40, sideways: -25 }))
    expect(facts.verdict).toBe('out')
    expect(facts.cuts.count).toBeGreaterThanOrEqual(2)
    expect(facts.cuts.deepestMm).toBeGreaterThan(5)
  })

  it('says what was packed for a trial, and nothing for nothing', () => {
    expect(packedText(build, build.trials[2]!.packed)).toBe(
      'front mounts, both 6.0 mm up, tail at the crossmember 10.0 mm up',
    )
    expect(packedText(build)).toBe('')
  })
})
