import runabout from '../../demo/teasel-runabout.lurvan.json'
import { evaluateBuild } from '../model/evaluateBuild'
import { parseBuild } from '../file/open/parseBuild'
import { changedBay as bay } from '../testdata/bay'
import { rockedGaps } from './rocking'

const at = (build = bay(), deg = 3) => {
  const rocked = rockedGaps(build, evaluateBuild(build, {}), deg)
  if (!rocked.known) throw new Error(JSON.stringify(rocked.missing))
  return rocked.value
}

describe('a powertrain that rocks', () => {
  it('takes as much from a gap as its touch point swings toward it', () => {
    const build = bay()
    const { gaps, placed } = evaluateBuild(build, {})
    const rocker = at(build).find(({ gap }) => gap === 'rocker-bonnet')!
    const { ride } = gaps.find(({ gap }) => gap.id === 'rocker-bonnet')!
    if (!ride.known) throw new Error('not read')
    // By hand: the line of the output is nearly that of the vehicle; a point y to the left of it swings up by y·sin φ − h(1 − cos φ).
    const output = placed.points.get(build.lines[0]!.joints[0]!.point!)!
    if (!output.known) throw new Error('no output')
    const aside = ride.value.point[1] - output.value[1]
    const above = ride.value.point[2] - output.value[2]
    const angle = (3 * Math.PI) / 180
    const up = Math.abs(aside) * Math.sin(angle) - above * (1 - Math.cos(angle))
    expect(rocker.gapMm - rocker.leastMm).toBeGreaterThan(0)
    expect(Math.abs(rocker.gapMm - rocker.leastMm - up)).toBeLessThan(0.5)
  })

  it('tells the least that is left first, leaves each at its most what it was, and takes nothing standing still', () => {
    const rocked = at()
    const left = rocked.map(({ leastMm }) => leastMm)
    expect(left).toEqual([...left].sort((a, b) => a - b))
    const taken = rocked.map(({ gapMm, leastMm }) => gapMm - leastMm)
    expect(Math.min(...taken)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...taken)).toBeGreaterThan(5)
    for (const { gapMm, leastMm } of at(bay(), 0)) expect(leastMm).toBeCloseTo(gapMm, 9)
  })

  it('takes nothing between parts that rock together, nor between parts that both stand still', () => {
    const names = at().map(({ gap }) => gap)
    expect(names).toContain('alternator-frame')
    expect(names).not.toContain('radiator-bonnet')
    expect(names).not.toContain('cooler-core')
    // What has to come out does so at a standstill.
    expect(names).not.toContain('filter-out')
  })

  it('rocks about a line across the vehicle where the engine lies across', () => {
    const parsed = parseBuild(structuredClone(runabout))
    if (!parsed.ok) throw new Error('demo')
    const rocked = at(parsed.value, 2)
    const manifold = rocked.find(({ gap }) => gap === 'manifold-frame')!
    // The manifold stands above the output: it swings to and fro, toward the frame.
    expect(manifold.gapMm - manifold.leastMm).toBeGreaterThan(3)
  })

  it('asks for the output', () => {
    const build = bay((raw) => {
      raw.lines = []
      raw.trials.forEach((trial: { packed?: unknown }) => delete trial.packed)
    })
    expect(rockedGaps(build, evaluateBuild(build, {}), 3)).toMatchObject({ known: false })
  })
})
