import { compile } from '../../model/compile'
import { chosenSettings, evaluate } from '../../model/evaluateBuild'
import { lineFigureId } from '../../model/lineSubject'
import { demoBuild } from '../../testdata/demos'
import type { Build } from '../../file/build/build'
import { lengthRisk } from './lengthRisk'
import { runMonteCarlo } from './monteCarlo'
import { sampleModel } from './sampleModel'

const riskOf = (build: Build, line: string, shaft = 0) => {
  const compiled = compile(build)
  return lengthRisk(compiled, evaluate(compiled, chosenSettings(build)), line, shaft)
}
const withSetIn = (setInMm: number, engagedMm?: number): Build => {
  const build = structuredClone(demoBuild('sorrel-hauler')) as any
  Object.assign(build.lines[0].shafts[0].drivingEnd, {
    setInMm,
    ...(engagedMm !== undefined && { engagedMm }),
  })
  return { ...build, states: [] }
}

describe('how likely a shaft that is ordered now does not fit', () => {
  it('is the share of the likely lengths that leave nothing of the set-in', () => {
    const build = withSetIn(20)
    const id = build.lines[0]!.id
    const model = sampleModel(build, chosenSettings(build))
    const spread =
      runMonteCarlo(model).figures[
        lineFigureId(id, { state: 'ride', at: null }, 'shafts[0].lengths[0].vehicleMm')
      ]!
    const deviation = spread.plusMinus / 2
    // So far from nothing left: one deviation, 15.9 % of what is normal.
    expect(riskOf(withSetIn(deviation), id)!.bottoms).toBeCloseTo(0.159, 1)
    expect(riskOf(withSetIn(0.001), id)!.bottoms).toBeCloseTo(0.5, 1)
    expect(riskOf(withSetIn(20), id)!.bottoms).toBe(0)
    expect(riskOf(withSetIn(20, deviation), id)!.pullsOut).toBeCloseTo(0.159, 1)
    expect(riskOf(withSetIn(20), id)!.pullsOut).toBeNull()
  })

  it('counts what the travel leaves of a spline in the shaft', () => {
    const build = demoBuild('tansy-wagon')
    const [{ id }] = build.lines as [Build['lines'][number]]
    expect(riskOf(build, id)).toEqual({ bottoms: 0, pullsOut: 0 })
    const longer = structuredClone(build) as any
    longer.lines[0].shafts[0].slip.closedMm += 60
    expect(riskOf(longer, id)!.bottoms).toBe(1)
  })

  it('is not told of what does not slip, or is not known', () => {
    const van = demoBuild('osier-van')
    expect(riskOf(van, van.lines[0]!.id, 0)).toBeNull()
    expect(riskOf(van, van.lines[0]!.id, 7)).toBeNull()
    expect(riskOf(van, 'gone')).toBeNull()
    expect(riskOf({ ...van, readings: [] }, van.lines[0]!.id, 1)).toBeNull()
  })
})
