import { evaluateBuild } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { changedDemo } from '../../testdata/builds'
import { clockAdvice } from './clockText'

const withPhase = (phaseDeg: number, splineTeeth: number | null = 16): Build =>
  changedDemo((raw) =>
    Object.assign(raw.lines[0].shafts[0], { phaseDeg, splineTeeth: splineTeeth ?? undefined }),
  )
function advice(build: Build) {
  const { line, ride } = evaluateBuild(build, { tail: 5, wedge: -1.5 }).lines[0]!
  if (!ride.known) throw new Error('not read')
  return clockAdvice(line, ride.value, build.units)
}

describe('clocking in words', () => {
  it('puts a spline that was one tooth out back by one tooth', () => {
    const found = advice(withPhase(22.5))!
    expect(found.turns).toEqual(['rear yoke one tooth clockwise, seen from behind'])
    expect(found.phasesDeg).toEqual([0])
    expect(found.isWorthless).toBe(false)
    expect(Number.parseFloat(found.after)).toBeLessThan(Number.parseFloat(found.before))
    expect(found.paint).toContain('count the teeth')
  })

  it('names both ways and several teeth', () => {
    expect(advice(withPhase(-45))!.turns).toEqual(['rear yoke two teeth anticlockwise, seen from behind'])
  })

  it('turns nothing where it stands best, and says that it is not worth it', () => {
    const found = advice(withPhase(0))!
    expect(found.turns).toEqual([])
    expect(found).toMatchObject({ isWorthless: true, paint: '', phasesDeg: [0] })
    expect(found.after).toBe(found.before)
  })

  it('has nothing to say without teeth', () => expect(advice(withPhase(10, null))).toBeNull())
})
