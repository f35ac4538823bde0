import fc from 'fast-check'
import { evaluateBuild, chosenSettings, type Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import { tubesOf } from '../../file/parts/stock'
import { lineJson } from '../result/lineJson'
import { rawDemos } from '../../testdata/demos'
import { shaftStrengths } from './strengthOf'
import { tubesThatDo } from './tubesThatDo'

/** Every shaft with a tube and a speed is told by the check, the tables, the pages and the result. */
function agreements(build: Build, { lines }: Evaluation): number {
  let compared = 0
  for (const of of lines) {
    const speedRpm = of.speed.known ? of.speed.value.speedRpm : null
    const json = lineJson(build, of)
    const strengths = shaftStrengths(of)
    of.line.shafts.forEach(({ tube }, index) => {
      const check = of.checks.find(({ id }) => id === `${of.line.id}/critical/${index + 1}`)
      const shear = of.checks.find(({ id }) => id === `${of.line.id}/tube-shear/${index + 1}`)
      const strength = strengths[index]!.figures
      if (!tube || speedRpm === null || check?.value == null || !strength.known) return
      compared++
      const { speedShare, criticalRpm, shearShare } = strength.value
      expect(speedShare).toBeCloseTo(check.value, 9)
      expect(speedRpm / criticalRpm).toBeCloseTo(check.value, 9)
      if (shear?.value != null) expect(shearShare).toBeCloseTo(shear.value, 9)
      const taken = tubesThatDo(build, of, index)
      const row = taken.known ? taken.value.rows.find(({ isTaken }) => isTaken) : undefined
      if (row) {
        expect(row.speedShare).toBeCloseTo(check.value, 9)
        // A table that recommends what the check calls out would be the worst of both.
        if (check.verdict === 'out') expect(row.verdict).toBe('out')
      }
      const published = json.ride?.shafts[index]?.criticalSpeedRpm
      if (check.at === null && check.state === 'ride')
        expect(speedRpm / published!).toBeCloseTo(check.value, 9)
    })
  }
  return compared
}

const proved = (raw: object): Build => {
  const parsed = parseBuild(raw)
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}
const judged = (build: Build) => evaluateBuild(build, chosenSettings(build))

describe('the critical speed of a shaft', () => {
  const demos = rawDemos()

  it('is the same in check, tube table, strength page and result, over all demos', () => {
    let compared = 0
    for (const { raw } of demos) {
      const build = proved(raw)
      compared += agreements(build, judged(build))
    }
    expect(compared).toBeGreaterThan(4)
  })

  it('is the same with masses at its ends, for any tube of the stock', () => {
    let compared = 0
    fc.assert(
      fc.property(
        fc.nat(demos.length - 1),
        fc.nat(13),
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1500, max: 9000 }),
        (demo, tube, kg, inboardMm, rpm) => {
          const raw = structuredClone(demos[demo]!.raw) as any
          const { outerMm, wallMm, material } = tubesOf(proved(raw))[tube]!
          for (const line of raw.lines) {
            line.speed = { basis: 'stated', rpm }
            for (const shaft of line.shafts)
              Object.assign(shaft, { tube: { outerMm, wallMm, material }, endMasses: { kg, inboardMm } })
          }
          const build = proved(raw)
          compared += agreements(build, judged(build))
        },
      ),
      { numRuns: 40, seed: 25 },
    )
    expect(compared).toBeGreaterThan(30)
  })
})
