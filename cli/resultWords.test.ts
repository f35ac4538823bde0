import { checkTable } from './checkTable'
import { demoBuild, changedDemo } from '../core/testdata/builds'
import { doubtOf } from '../core/answers/uncertainty/doubt'
import { runMonteCarlo } from '../core/answers/uncertainty/monteCarlo'
import { sampleModel } from '../core/answers/uncertainty/sampleModel'
import { evaluateBuild } from '../core/model/evaluateBuild'
import { checkCost } from '../core/check/checkCost'
import { resultJson } from '../core/show/result/resultJson'

describe('the table of a result', () => {
  const result = resultJson(demoBuild(), undefined, 400)
  const lines = checkTable(result).split('\n')

  it('has a row a check, with its mark, its ± and its likelihood', () => {
    expect(lines[0]).toBe('Fen tender, position A')
    expect(lines[1]).toBe('Out: torsional under drive is 699 rad/s², out by 299.')
    const rows = lines.slice(4, 10)
    expect(rows.map((row) => row[0])).toEqual(['●', '●', '◆', '□', '●', '●'])
    expect(rows[3]).toMatch(
      /torsional under drive +699 rad\/s² +± \d\d rad\/s² +0 % +up to 300 rad\/s² +out by 299$/,
    )
    expect(rows[5]).toMatch(/slip yoke set-in +22\.0 mm +19\.0 mm to 25\.0 mm +holds by 12\.0 mm$/)
  })

  it('lists what is missing with its place, what looks wrong and what was taken for granted', () => {
    const odd = changedDemo((raw) => {
      raw.readings.find((one: any) => one.id === 'r4').values = ['abc']
      raw.readings.find((one: any) => one.id === 'r3').values = ['85.4', '95.4', '85.4']
    })
    const text = checkTable(resultJson(odd))
    expect(text).toMatch(/missing: gearbox output, level: "abc" is not .+ \(readings\[3\]\.values\[0\]\)/)
    expect(text).toContain('look again: pinion: the repeat 95.4 stands far off the others.')
    expect(text).toContain('(r3)')
    expect(checkTable(result)).toContain('taken for granted: pinion: direction in top view not read')
  })

  it('gives an interval where a figure may as well be nought', () => {
    const even = changedDemo((raw) => {
      raw.lines[0].school = 'parallel'
      delete raw.lines[0].expectedRiseDeg
      raw.readings.find((one: any) => one.id === 'r3').values = ['86.6']
    })
    const text = checkTable(resultJson(even, undefined, 800))
    expect(text).toMatch(/pair difference +0\.\d\d° +0\.00–0\.\d\d° /)
    const { uncertainty } = resultJson(even, undefined, 800)
    expect(uncertainty!.intervals['lines[0].ride.equivalentAngleDeg']![0]).toBe(0)
    expect(uncertainty!.intervals['lines[0].ride.ratioMax']![0]).toBe(1)
    expect(uncertainty!.intervals['lines[0].ride.ratioMin']![1]).toBe(1)
    expect(uncertainty!.together).toBeGreaterThan(0.9)
  })
})

describe('the doubt behind a check', () => {
  it('names at most three readings, most first, none below a twentieth', () => {
    const build = demoBuild()
    const sureness = runMonteCarlo(sampleModel(build, {}), { samples: 4000, seed: 9 })
    for (const check of evaluateBuild(build, {}).checks) {
      const doubts = doubtOf(check, sureness)
      expect(doubts.length).toBeLessThanOrEqual(3)
      const shares = doubts.map(({ share }) => share)
      expect(shares).toEqual([...shares].sort((a, b) => b - a))
      for (const share of shares) expect(share).toBeGreaterThanOrEqual(0.05)
    }
    const torsional = evaluateBuild(build, {}).checks.find(({ id }) => id === 'rear/torsional')!
    expect(doubtOf(torsional, sureness)[0]!.input.label).toMatch(/pinion/)
  })
})

describe('what a check asks of a sampling', () => {
  it('is counted without sampling: inputs that are really drawn, figures roughly', () => {
    const build = demoBuild()
    const { inputs, figures } = checkCost(build)
    const model = sampleModel(build, {})
    expect(inputs).toBe(model.compiled.measured.list.inputs.length)
    expect(figures / model.figures.length).toBeGreaterThan(0.7)
    expect(figures / model.figures.length).toBeLessThan(2)
    expect(checkCost({ ...build, lines: [] }).figures).toBeLessThan(figures)
  })
})
