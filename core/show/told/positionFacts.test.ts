import { evaluateBuild } from '../../model/evaluateBuild'
import { changedBay } from '../../testdata/bay'
import { demoBuild } from '../../testdata/demos'
import { changedSinceMade, packedText, positionFacts } from './positionFacts'

describe('positionFacts', () => {
  const build = changedBay()

  it('tells a position by its verdict, its closest check and gap, its angles and what was moved', () => {
    expect(positionFacts(build, evaluateBuild(build, {}))).toEqual({
      verdict: 'tight',
      worst: 'sump to steering rack, tight, 1.0 mm left',
      tightest: 'sump to steering rack 9.0 mm',
      cuts: { count: 0, deepestMm: 0 },
      cutCost: null,
      crankHeight: '111.6 mm',
      shiftLever: '3.0 mm ahead of its hole, 6.0 mm right of it; 278.0 mm ahead of the seat',
      lasting: null,
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
    expect(facts.lasting).toBe('cut')
  })

  it('cannot be taken back where a wedge is welded, as the goal of the search has it', () => {
    const tender = demoBuild('fen-tender')
    const lastingAt = (settings: Record<string, number>) =>
      positionFacts(tender, evaluateBuild(tender, settings)).lasting
    expect([lastingAt({ tail: 5 }), lastingAt({ wedge: 1.5 })]).toEqual([null, 'made'])
  })

  it('says what was packed for a trial, and nothing for nothing', () => {
    expect(packedText(build, build.trials[2]!.packed)).toBe(
      'front mounts, both 6.0 mm up, tail at the crossmember 10.0 mm up',
    )
    expect(packedText(build)).toBe('')
  })
})

describe('changedSinceMade', () => {
  const build = changedBay()
  const position = { id: 'a', name: 'A', settings: {} }

  it('names every lever that stands otherwise than when mounts were made, and only those', () => {
    const made = { at: '2026-11-20', settings: { tail: 10, fronts: 6 } }
    expect(changedSinceMade(build, { ...position, made }, { tail: 13, fronts: 6, fore: 5 })).toEqual([
      'tail at the crossmember 10.0 mm up, now 13.0 mm up',
      'powertrain, fore and aft as measured, now 5.0 mm forward',
    ])
    expect(changedSinceMade(build, { ...position, made }, { tail: 10, fronts: 6 })).toEqual([])
  })

  it('says nothing while nothing was made', () => {
    expect(changedSinceMade(build, position, { tail: 13 })).toEqual([])
  })
})
