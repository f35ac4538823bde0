import { evaluateBuild } from '../../model/evaluateBuild'
import { parseBuild } from '../../file/open/parseBuild'
import { demoBuild, rawDemo } from '../../testdata/builds'
import { measureAgainSentence } from '../../show/text/measureAgainText'
import { measureAgain } from './measureAgain'
import { runMonteCarlo, monteCarlo, type Sureness } from './monteCarlo'
import { seededRandom } from '../../base/chance/random'
import { checkFigureId, sampleModel } from './sampleModel'
import { lineFigureId } from '../../model/lineSubject'
import { isUndecided, sureCheck, sureEvaluation } from './sureness'
import { TRUTHS_AT_ONCE } from './truths'
import { compile } from '../../model/compile'
import { figuresAt } from '../../model/screen'
import type { Build } from '../../file/build/build'
import type { Check } from '../../check/check'
import type { LeverSettings } from '../../vehicle/moves/settings'

const parsed = (raw: object): Build => {
  const result = parseBuild(raw)
  if (!result.ok) throw new Error(JSON.stringify(result.problems))
  return result.value
}
const sampled = (build: Build, samples = 4000, seed = 1) =>
  runMonteCarlo(sampleModel(build, {}), { samples, seed })

describe('seeded chance', () => {
  it('gives the same stream for the same seed, even and normal as they should be', () => {
    const [a, b] = [seededRandom(7), seededRandom(7)]
    expect([a.uniform(), a.normal()]).toEqual([b.uniform(), b.normal()])
    const random = seededRandom(11)
    const even = Array.from({ length: 20_000 }, () => random.uniform())
    const bell = Array.from({ length: 20_000 }, () => random.normal())
    const mean = (list: number[]) => list.reduce((sum, one) => sum + one, 0) / list.length
    // Standard errors: 1/√12/√n and 1/√n; four of them.
    expect(Math.abs(mean(even) - 0.5)).toBeLessThan(4 * 0.002041)
    expect(Math.abs(mean(bell))).toBeLessThan(4 * 0.00707)
    expect(Math.abs(mean(bell.map((one) => one * one)) - 1)).toBeLessThan(4 * 0.01)
  })
})

describe('sampleModel', () => {
  it('gives the figures of evaluateBuild at the means, levers and wind-up included', () => {
    const build = demoBuild()
    for (const settings of [{}, { tail: 12, wedge: -1.5 }] as LeverSettings[]) {
      const model = sampleModel(build, settings)
      const figure = figuresAt(compile(build), settings, [])
      const at = (id: string) => figure(model.figures.find((one) => one.id === id)!.column)
      const evaluation = evaluateBuild(build, settings)
      for (const check of evaluation.checks.filter(({ quantity }) => quantity !== 'set-in'))
        expect(at(checkFigureId(check))).toBeCloseTo(check.value!, 9)
      const ride = evaluation.lines[0]!.ride
      if (!ride.known) throw new Error('the demo is read')
      expect(at(lineFigureId('rear', { state: 'ride', at: null }, 'joints[1].angleDeg'))).toBeCloseTo(
        ride.value.anglesDeg[1]!,
        9,
      )
    }
  })
})

describe('monteCarlo', () => {
  it('agrees with error propagation by hand where a figure is a plain sum', () => {
    // Station of one point: a single tape reading good to ±1 mm by a hand of 0.8 mm, so 2σ = 2·√(1/3 + 0.64).
    const tape = Math.sqrt(1 / 3 + 0.64)
    const spread = sampled(demoBuild(), 6000).figures['point/axle-centre/stationMm']!
    expect(spread.plusMinus).toBeCloseTo(2 * tape, 1)
    // The gearbox output's plan rests on two such offsets, 1240 mm apart.
    const plan = sampled(demoBuild(), 6000).figures['axis/output/planDeg']!
    expect(plan.plusMinus).toBeCloseTo(((2 * Math.SQRT2 * tape) / 1240) * (180 / Math.PI), 2)
  })

  it('depends on the seed alone and reports as it goes', () => {
    const build = demoBuild()
    expect(sampled(build, 1000, 5)).toEqual(sampled(build, 1000, 5))
    expect(sampled(build, 1000, 5)).not.toEqual(sampled(build, 1000, 6))
    const run = monteCarlo(sampleModel(build, {}), { samples: 3 * TRUTHS_AT_ONCE, seed: 1 })
    expect([run.next().value, run.next().value, run.next().value]).toEqual([
      TRUTHS_AT_ONCE,
      2 * TRUTHS_AT_ONCE,
      3 * TRUTHS_AT_ONCE,
    ])
    expect(run.next().done).toBe(true)
  })

  it('splits the variance so that the shares add up to one', () => {
    const { figures } = sampled(demoBuild(), 6000)
    const total = figures['check/rear/angle/1']!.shares.reduce((sum, share) => sum + share, 0)
    expect(total).toBeGreaterThan(0.95)
    expect(total).toBeLessThan(1.05)
  })

  it('knows given figures as exact, and their stated tolerance', () => {
    const raw = {
      format: 'lurvan-build',
      version: 1,
      name: 'given',
      points: [{ id: 'p', name: 'point', body: 'chassis' }],
      readings: [
        {
          id: 'r',
          kind: 'given-point',
          point: 'p',
          station: '100',
          offset: '0',
          height: '0',
          plusMinus: '3',
        },
      ],
    }
    expect(sampled(parsed(raw), 6000).figures['point/p/stationMm']!.plusMinus).toBeCloseTo(
      2 * Math.sqrt(3),
      1,
    )
    const exact = structuredClone(raw) as any
    delete exact.readings[0].plusMinus
    const { figures, samples } = sampled(parsed(exact))
    expect([figures['point/p/stationMm']!.plusMinus, samples]).toEqual([0, 0])
  })
})

describe('verdicts with their ±', () => {
  const check = (part: Partial<Check>): Check => ({
    ...evaluateBuild(demoBuild(), {}).checks[0]!,
    window: { failLow: null, warnLow: null, warnHigh: null, failHigh: 3 },
    verdict: 'holds',
    ...part,
  })
  const sureness = (plusMinus: number): Sureness => ({
    samples: 1,
    seed: 1,
    inputs: [],
    figures: {
      'check/rear/angle/1': { plusMinus, interval: null, probability: 0.9, shares: [], widening: 1 },
    },
    together: null,
  })

  it('call tight what holds by less than 2σ, and leave the rest', () => {
    expect(sureCheck(check({ value: 2.9 }), sureness(0.2))).toMatchObject({
      verdict: 'tight',
      plusMinus: 0.2,
    })
    expect(sureCheck(check({ value: 2.7 }), sureness(0.2)).verdict).toBe('holds')
    expect(sureCheck(check({ value: 3.1, verdict: 'out' }), sureness(0.2)).verdict).toBe('out')
    expect(isUndecided(sureCheck(check({ value: 3.1, verdict: 'out' }), sureness(0.2)))).toBe(true)
    expect(isUndecided(sureCheck(check({ value: 2.7 }), sureness(0.2)))).toBe(false)
  })
})

describe('measureAgain', () => {
  /** The demo with a torsional limit right at its value, so that its ± reaches across. */
  const undecided = (edit: (raw: Record<string, any>) => void = () => undefined) => {
    const raw = rawDemo()
    raw.limits.entries.find((one: any) => one.id === 'torsional').failAbove = 720
    edit(raw)
    const build = parsed(raw)
    const result = sampled(build, 6000)
    const { checks } = sureEvaluation(evaluateBuild(build, {}), result)
    return { build, advice: measureAgain(build, checks, result) }
  }

  /** Every level reading taken from the same side, and said so. */
  const sided = (raw: Record<string, any>) => {
    for (const reading of raw.readings)
      if (reading.tool === 'level') reading.display = reading.kind === 'chassis-roll' ? 'rear' : 'left'
  }

  it('first has said which way a level looked, which costs no way under the vehicle, and never promises too much', () => {
    const { build, advice } = undecided()
    const [first] = advice
    expect(measureAgainSentence(build, first!)).toMatch(
      /^Still to say: pinion, level\. Saying which way the display of digital level, 0\.1° looked would help with torsional under drive: ± \d+ rad\/s² becomes ± \d+ rad\/s²\.$/,
    )
    const said = undecided(sided).build
    const found = sureEvaluation(evaluateBuild(said, {}), sampled(said, 6000))
    const { plusMinus } = found.checks.find(({ id }) => id === first!.check.id)!
    expect(plusMinus).toBeLessThan(first!.to * 1.02)
  })

  it('names the reading that brings most doubt, what to do and what it would bring', () => {
    const { build, advice } = undecided(sided)
    expect(advice[0]!.check.quantity).toBe('torsional-acceleration')
    expect(advice[0]!.to).toBeLessThan(advice[0]!.from)
    expect(measureAgainSentence(build, advice[0]!)).toMatch(
      /^(Measure again|Still to read): .+\. .+ would (settle|help with) torsional under drive: ± \d+ rad\/s² becomes ± \d+ rad\/s²\.$/,
    )
  })

  it('predicts what repeats really bring', () => {
    const noisy = (raw: Record<string, any>) => {
      raw.tools[0].accuracy = 0
      raw.readings[2].values = ['85.0', '85.9']
      raw.readings.push({ id: 'plan', kind: 'given-axis', axis: 'pinion', fall: '0', plan: '0' })
      raw.limits.entries.find((one: any) => one.id === 'torsional').failAbove = 760
    }
    const { advice } = undecided(noisy)
    const repeat = advice[0]!
    expect(repeat.action.kind).toBe('repeat')
    const count = (repeat.action as { count: number }).count
    const after = undecided((raw) => {
      noisy(raw)
      // More repeats of the same scatter: the pooled deviation stays 0.367°, as 0.9° between two and two equal pairs make it.
      const n = 2 + count
      const s = Math.sqrt((0.135 * (n + 1)) / (n - (n % 2) / n))
      raw.readings[2].values = Array.from({ length: 2 + count }, (_, i) => String(85.45 + (i % 2 ? s : -s)))
    })
    const sure = sureEvaluation(evaluateBuild(after.build, {}), sampled(after.build, 6000))
    const found = sure.checks.find(({ id }) => id === repeat.check.id)!
    // More differences also make the scatter itself surer, which the prediction leaves out: it never promises too much.
    expect(found.plusMinus! / repeat.to).toBeLessThan(1.05)
    expect(found.plusMinus! / repeat.to).toBeGreaterThan(0.45)
  })
})
