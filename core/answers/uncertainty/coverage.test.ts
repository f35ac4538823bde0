import { evaluateBuild, type Evaluation } from '../../model/evaluateBuild'
import { parseBuild } from '../../file/open/parseBuild'
import type { Build } from '../../file/build/build'
import { anyTruth, exactTruth, readTruth, type LineTruth, type ReadingWay } from '../../testdata/randomTruth'
import { runMonteCarlo, type FigureSpread } from './monteCarlo'
import { seededRandom, type Random } from '../../base/chance/random'
import { sampleModel, type SampleModel } from './sampleModel'
import { lineFigureId } from '../../model/lineSubject'

/** Truths a condition is tried on; the share covered then has a standard error of 0.6 %. */
const RUNS = 1500
const SAMPLES = 150

const parsed = (raw: object): Build => {
  const result = parseBuild(raw)
  if (!result.ok) throw new Error(JSON.stringify(result.problems))
  return result.value
}

const FIGURES = {
  angle1: lineFigureId('rear', { state: 'ride', at: null }, 'joints[0].angleDeg'),
  angle2: lineFigureId('rear', { state: 'ride', at: null }, 'joints[1].angleDeg'),
  even: lineFigureId('rear', { state: 'ride', at: null }, 'equivalentAngleDeg'),
  length: lineFigureId('rear', { state: 'ride', at: null }, 'shafts[0].lengths[0].vehicleMm'),
  pinion: 'axis/pinion/fallDeg',
  output: 'axis/output/fallDeg',
} as const
type Figure = keyof typeof FIGURES

function figuresOf({ lines, measured }: Evaluation): Record<Figure, number> {
  const ride = lines[0]!.ride
  const [pinion, output] = ['pinion', 'output'].map((id) => measured.axes.get(id)!)
  if (!ride.known || !pinion!.known || !output!.known) throw new Error('everything was read')
  const deg = 180 / Math.PI
  return {
    angle1: ride.value.anglesDeg[0]!,
    angle2: ride.value.anglesDeg[1]!,
    even: ride.value.whole.equivalentAngle * deg,
    length: ride.value.shafts()[0]!.lengths.all[0]!.length,
    pinion: pinion!.value.fall * deg,
    output: output!.value.fall * deg,
  }
}

/** A model of some figures alone: the others would be worked for nobody. */
function only(model: SampleModel, wanted: readonly Figure[]): SampleModel {
  const ids = new Set<string>(wanted.map((figure) => FIGURES[figure]))
  const figures = model.figures.filter(({ id }) => ids.has(id))
  return {
    ...model,
    figures,
    wanted: figures.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])]),
  }
}

const covers = (spread: FigureSpread, got: number, truth: number): boolean => {
  const [low, high] = spread.interval ?? [got - spread.plusMinus, got + spread.plusMinus]
  // A figure that is exactly nought in truth comes out of the arithmetic as some 1e-7.
  return truth >= low - 1e-5 && truth <= high + 1e-5
}

type TruthOf = (random: Random) => LineTruth

interface KnownTruth {
  readonly truth: LineTruth
  readonly build: Build
  readonly figures: Record<Figure, number>
}

/** Random truths of a kind and the figures that are true of them: the same ones for every way of reading. */
function truthsOf(truthOf: TruthOf): readonly KnownTruth[] {
  const random = seededRandom(2026)
  const truths = Array.from({ length: RUNS }, () => truthOf(random))
  // The first is proved to be a build; the others differ from it in what was read, and by which tools.
  const first = parsed(exactTruth(truths[0]!))
  return truths.map((truth) => {
    const build = { ...first, ...(exactTruth(truth) as Partial<Build>) }
    // A copy is evaluated: what it was compiled to goes along with it.
    return { truth, build, figures: figuresOf(evaluateBuild({ ...build }, {})) }
  })
}
const usualTruths = truthsOf(anyTruth)

/** Share of random truths that what is said of a figure covers. */
function coverage(
  figures: readonly Figure[],
  way: ReadingWay,
  truths: readonly KnownTruth[] = usualTruths,
): number[] {
  const random = seededRandom(4620)
  const counts = figures.map(() => 0)
  truths.forEach(({ truth, build, figures: real }, run) => {
    const read: Build = { ...build, ...(readTruth(truth, way, random) as Partial<Build>) }
    const evaluation = evaluateBuild(read, {})
    const got = figuresOf(evaluation)
    const model = only(sampleModel(read, {}, evaluation), figures)
    const spreads = runMonteCarlo(model, { samples: SAMPLES, seed: run }).figures
    figures.forEach((figure, i) => {
      if (covers(spreads[FIGURES[figure]]!, got[figure], real[figure])) counts[i]!++
    })
  })
  return counts.map((count) => count / RUNS)
}

const LEVEL = { accuracy: 0.1 }
const TAPE = { accuracy: 1 }
const SINGLE: ReadingWay = {
  zero: 0.1,
  tape: 1,
  hand: { deg: 0.08, mm: 0.8 },
  repeats: 1,
  tools: { level: LEVEL, tape: TAPE },
  displays: ['left', 'rear', 'left', 'left'],
}
/** A level whose zero may be far off. */
const COARSE = { zero: 0.3, tools: { level: { accuracy: 0.3 }, tape: TAPE } }
/** The output was read with the display to the other side. */
const TURNED = ['left', 'rear', 'right', 'left'] as const
const EASY = ['angle1', 'angle2', 'length', 'pinion'] as const

const expectTrue = (shares: readonly number[]) => {
  for (const share of shares) {
    expect(share).toBeGreaterThanOrEqual(0.93)
    expect(share).toBeLessThanOrEqual(0.97)
  }
}

describe('the ± over random truths, 93 to 97 times in a hundred', () => {
  it('for single readings by a usual hand', () => {
    expectTrue(coverage(EASY, SINGLE))
  })

  it('for readings that name no tool', () => {
    expectTrue(coverage(EASY, { ...SINGLE, tools: null, displays: undefined }))
  })

  it('for repeats by a hand that shakes far more than is usual', () => {
    expectTrue(coverage(EASY, { ...SINGLE, hand: { deg: 0.25, mm: 3 }, repeats: 3 }))
  })

  it('for pairs by a steady hand', () => {
    expectTrue(coverage(EASY, { ...SINGLE, hand: { deg: 0.04, mm: 0.4 }, repeats: 2 }))
  })

  it('for a hand whose scatter was entered', () => {
    const tools = { level: { ...LEVEL, handScatter: 0.2 }, tape: { ...TAPE, handScatter: 2 } }
    expectTrue(coverage(EASY, { ...SINGLE, hand: { deg: 0.2, mm: 2 }, tools }))
  })

  it('for one zero error in all readings of a level, one of them turned round', () => {
    const turned = { ...SINGLE, ...COARSE, displays: TURNED }
    // The output was read with the display to the other side, so that its error counts twice: σ·2, evenly spread.
    const [output, pinion] = coverage(['output', 'pinion'], turned)
    expect(output!).toBeGreaterThanOrEqual(0.93)
    expect(pinion!).toBeGreaterThanOrEqual(0.93)
    expect(pinion!).toBeLessThanOrEqual(0.97)
  })

  it('for one zero error in all readings of a level, one of them turned round, and nobody said which', () => {
    for (const repeats of [1, 2]) {
      const unsaid = { ...SINGLE, displays: TURNED, isSideUnsaid: true, repeats }
      const [output, ...joints] = coverage(['output', 'angle1', 'angle2'], unsaid)
      expectTrue([output!])
      // How a joint lies to the chassis rests on the same two readings, its shaft on the tape.
      for (const joint of joints) expect(joint).toBeGreaterThanOrEqual(0.93)
    }
  })

  it('for single readings by a steady hand that has shown itself by repeats elsewhere', () => {
    const hand = { deg: 0.03, mm: 0.8 }
    const tools = { level: { accuracy: 0.05 }, tape: TAPE }
    for (const practice of [4, 7])
      expectTrue(coverage(['pinion', 'output'], { ...SINGLE, zero: 0.05, tools, hand, practice }))
  })
})

describe('the interval of a figure that may be nought', () => {
  const parallel = (random: Random): LineTruth => {
    const truth = anyTruth(random)
    return { ...truth, pinion: truth.output }
  }
  /** A shaft that lies along both axes but for a few hundredths of a degree. */
  const straight = (random: Random): LineTruth => {
    const truth = parallel(random)
    const [station, , height] = truth.front
    const along = truth.rear[0] - station
    // Readings are to gravity and the truth is written as read; what matters is how the line lies to the chassis.
    const fall = ((truth.output - truth.fall) * Math.PI) / 180
    const offset = truth.front[1]
    return { ...truth, rear: [truth.rear[0], offset, height - along * Math.tan(fall)] }
  }

  it('covers equal angles of parallel axes', () => {
    const [even] = coverage(['even'], SINGLE, truthsOf(parallel))
    expect(even!).toBeGreaterThanOrEqual(0.93)
    expect(even!).toBeLessThanOrEqual(0.98)
  })

  it('covers the joints of a nearly straight line', () => {
    const [first, second] = coverage(['angle1', 'angle2'], SINGLE, truthsOf(straight))
    expect(first!).toBeGreaterThanOrEqual(0.93)
    expect(second!).toBeGreaterThanOrEqual(0.93)
  })
})
