import { evaluateBuild } from '../check/evaluateBuild'
import { parseBuild } from '../project/parseBuild'
import { demoBuild, rawDemo } from '../testdata/builds'
import { measureAgainSentence } from '../text/measureAgainText'
import { measureAgain } from './measureAgain'
import { runMonteCarlo, monteCarlo, type Sureness } from './monteCarlo'
import { seededRandom } from './random'
import { checkFigureId, lineFigureId, sampleModel } from './sampleModel'
import { isUndecided, sureCheck, sureEvaluation } from './sureness'
import { meansOf } from '../readings/formula'
import type { Build } from '../project/build'
import type { Check } from '../check/check'
import type { LeverSettings } from '../placement/bodyMoves'

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
      const out = new Float64Array(model.figures.length)
      model.evaluate(meansOf(model.inputs), out)
      const at = (id: string) => out[model.figures.findIndex((figure) => figure.id === id)]
      const evaluation = evaluateBuild(build, settings)
      for (const check of evaluation.checks.filter(({ quantity }) => quantity !== 'set-in'))
        expect(at(checkFigureId(check))).toBeCloseTo(check.value!, 9)
      const ride = evaluation.lines[0]!.ride
      if (!ride.known) throw new Error('the demo is read')
      expect(at(lineFigureId('rear', 'ride', 'joints[1].angleDeg'))).toBeCloseTo(ride.value.anglesDeg[1]!, 9)
      expect(at(lineFigureId('rear', 'ride', 'shafts[0].lengths[0].vehicleMm'))).toBeCloseTo(
        ride.value.shafts[0]!.lengths.all[0]!.length,
        9,
      )
    }
  })
})

describe('monteCarlo', () => {
  it('agrees with error propagation by hand where a figure is a plain sum', () => {
    // Station of one point: a single tape reading good to ±1 mm, so 2σ = 2/√3.
    const spread = sampled(demoBuild(), 6000).figures['point/axle-centre/stationMm']!
    expect(spread.plusMinus).toBeCloseTo(2 / Math.sqrt(3), 1)
    // The gearbox output's plan rests on two offsets ±1 mm, 1240 mm apart.
    const plan = sampled(demoBuild(), 6000).figures['axis/output/planDeg']!
    expect(plan.plusMinus).toBeCloseTo(((2 * Math.SQRT2) / Math.sqrt(3) / 1240) * (180 / Math.PI), 2)
  })

  it('depends on the seed alone and reports as it goes', () => {
    const build = demoBuild()
    expect(sampled(build, 1000, 5)).toEqual(sampled(build, 1000, 5))
    expect(sampled(build, 1000, 5)).not.toEqual(sampled(build, 1000, 6))
    const run = monteCarlo(sampleModel(build, {}), { samples: 3000, seed: 1 })
    expect([run.next().value, run.next().value, run.next().value]).toEqual([1000, 2000, 3000])
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

describe('the ± over a thousand random truths', () => {
  it('covers the truth 93 to 97 times in a hundred', () => {
    const random = seededRandom(2026)
    const covered = { angle1: 0, angle2: 0, length: 0, fall: 0 }
    const runs = 1000
    for (let run = 0; run < runs; run++) {
      const truth = randomTruth(random)
      const exact = figuresOf(parsed(truth.exact))
      const read = parsed(truth.measured)
      const got = figuresOf(read)
      const { figures } = runMonteCarlo(sampleModel(read, {}), { samples: 200, seed: run })
      const covers = (id: string, which: keyof typeof covered) => {
        if (Math.abs(got[which] - exact[which]) <= figures[id]!.plusMinus) covered[which]++
      }
      covers(lineFigureId('rear', 'ride', 'joints[0].angleDeg'), 'angle1')
      covers(lineFigureId('rear', 'ride', 'joints[1].angleDeg'), 'angle2')
      covers(lineFigureId('rear', 'ride', 'shafts[0].lengths[0].vehicleMm'), 'length')
      covers('axis/pinion/fallDeg', 'fall')
    }
    for (const count of Object.values(covered)) {
      expect(count / runs).toBeGreaterThanOrEqual(0.93)
      expect(count / runs).toBeLessThanOrEqual(0.97)
    }
  }, 120_000)
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
    figures: { 'check/rear/angle/1': { plusMinus, probability: 0.9, shares: [] } },
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
    raw.limits.entries.find((one: any) => one.id === 'torsional').failAbove = 600
    edit(raw)
    const build = parsed(raw)
    const result = sampled(build, 6000)
    const { checks } = sureEvaluation(evaluateBuild(build, {}), result)
    return { build, advice: measureAgain(build, checks, result) }
  }

  it('names the reading that brings most doubt, what to do and what it would bring', () => {
    const { build, advice } = undecided()
    expect(advice[0]!.check.quantity).toBe('torsional-acceleration')
    expect(advice[0]!.to).toBeLessThan(advice[0]!.from)
    expect(measureAgainSentence(build, advice[0]!)).toMatch(
      /^Measure again: .+\. .+ would (settle|help with) torsional under drive: ± \d+ rad\/s² becomes ± \d+ rad\/s²\.$/,
    )
  })

  it('predicts what repeats really bring', () => {
    const noisy = (raw: Record<string, any>) => {
      raw.tools[0].accuracy = 0
      raw.readings[2].values = ['86.0', '86.9']
      raw.limits.entries.find((one: any) => one.id === 'torsional').failAbove = 700
    }
    const { advice } = undecided(noisy)
    const repeat = advice[0]!
    expect(repeat.action.kind).toBe('repeat')
    const count = (repeat.action as { count: number }).count
    const after = undecided((raw) => {
      noisy(raw)
      // More repeats of the same scatter: the pooled deviation stays what it was.
      const s = 0.45
      raw.readings[2].values = Array.from({ length: 2 + count }, (_, i) => String(86.45 + (i % 2 ? s : -s)))
    })
    const sure = sureEvaluation(evaluateBuild(after.build, {}), sampled(after.build, 6000))
    const found = sure.checks.find(({ id }) => id === repeat.check.id)!
    expect(Math.abs(found.plusMinus! - repeat.to) / repeat.to).toBeLessThan(0.2)
  })
})

interface Truth {
  readonly exact: object
  readonly measured: object
}

/** A random line with a rolled chassis, as it is and as it was read: tool errors, scatter, repeats. */
function randomTruth(random: ReturnType<typeof seededRandom>): Truth {
  const between = (from: number, to: number) => from + (to - from) * random.uniform()
  const angles = { fall: between(-2, 2), roll: between(-2, 2), output: between(2, 6), pinion: between(2, 6) }
  const points = {
    front: [between(800, 1200), between(-20, 20), between(20, 80)],
    rear: [between(2000, 2500), between(-40, 40), between(-90, -40)],
  }
  const build = (angle: (deg: number) => string[], length: (mm: number) => string[], isExact: boolean) => ({
    format: 'lurvan-build',
    version: 1,
    name: 'truth',
    tools: [
      { id: 'level', name: 'level', kind: 'level', accuracy: isExact ? 0 : LEVEL_ACCURACY },
      { id: 'tape', name: 'tape', kind: 'tape', accuracy: isExact ? 0 : TAPE_ACCURACY },
    ],
    setups: [{ id: 's', name: 's', standsOn: 'floor', loaded: true, settled: true, datum: 'read' }],
    points: [
      { id: 'front', name: 'front', body: 'powertrain' },
      { id: 'rear', name: 'rear', body: 'chassis' },
    ],
    axes: [
      { id: 'output', name: 'output', body: 'powertrain' },
      { id: 'pinion', name: 'pinion', body: 'chassis' },
    ],
    readings: [
      {
        id: 'r1',
        kind: 'chassis-fall',
        ...signedReading(angles.fall, angle, 'low', 'rear', 'front'),
        ...LEVEL,
      },
      {
        id: 'r2',
        kind: 'chassis-roll',
        ...signedReading(angles.roll, angle, 'low', 'left', 'right'),
        ...LEVEL,
      },
      {
        id: 'r3',
        kind: 'axis-level',
        axis: 'output',
        ...signedReading(angles.output, angle, 'low', 'rear', 'front'),
        ...LEVEL,
      },
      {
        id: 'r4',
        kind: 'axis-level',
        axis: 'pinion',
        ...signedReading(angles.pinion, angle, 'low', 'rear', 'front'),
        ...LEVEL,
      },
      ...(['front', 'rear'] as const).flatMap((point) => [
        { id: `${point}s`, kind: 'point-station', point, values: length(points[point][0]!), ...TAPE },
        {
          id: `${point}o`,
          kind: 'point-offset',
          point,
          ...signedReading(points[point][1]!, length, 'side', 'left', 'right'),
          ...TAPE,
        },
        {
          id: `${point}h`,
          kind: 'point-height',
          point,
          ...signedReading(points[point][2]!, length, 'way', 'above', 'below'),
          ...TAPE,
        },
      ]),
    ],
    lines: [
      {
        id: 'rear',
        name: 'rear',
        school: 'parallel',
        driving: 'output',
        driven: 'pinion',
        joints: [
          { id: 'a', kind: 'cross', point: 'front' },
          { id: 'b', kind: 'cross', point: 'rear' },
        ],
        shafts: [{}],
      },
    ],
  })
  const exactly = (value: number) => [String(value)]
  const noisy = (accuracy: number, scatter: number) => (value: number) => {
    const tool = accuracy * (2 * random.uniform() - 1)
    return Array.from({ length: REPEATS }, () => String(value + tool + scatter * random.normal()))
  }
  return {
    exact: build(exactly, exactly, true),
    measured: build(noisy(LEVEL_ACCURACY, 0.08), noisy(TAPE_ACCURACY, 0.8), false),
  }
}

const LEVEL_ACCURACY = 0.1
const TAPE_ACCURACY = 1
const REPEATS = 3
const LEVEL = { setup: 's', tool: 'level' }
const TAPE = { setup: 's', tool: 'tape', unit: 'mm' }

/** Magnitudes with the word for their sign; repeats on both sides of nought all take the word of the truth. */
function signedReading(
  value: number,
  text: (value: number) => string[],
  key: string,
  positive: string,
  negative: string,
) {
  const values = text(value).map((one) => String(Math.abs(Number(one))))
  return { values, [key]: value >= 0 ? positive : negative }
}

function figuresOf(build: Build) {
  const { lines, measured } = evaluateBuild(build, {})
  const ride = lines[0]!.ride
  const pinion = measured.axes.get('pinion')!
  if (!ride.known || !pinion.known) throw new Error('everything was read')
  return {
    angle1: ride.value.anglesDeg[0]!,
    angle2: ride.value.anglesDeg[1]!,
    length: ride.value.shafts[0]!.lengths.all[0]!.length,
    fall: (pinion.value.fall * 180) / Math.PI,
  }
}
