import { seededRandom } from '../../base/chance/random'
import { evaluateBuild, type Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { demoFile } from '../../testdata/demoFile'
import { evenly, zeroShare } from '../../testdata/readOnce'
import { runMonteCarlo } from './monteCarlo'
import { checkFigureId, sampleModel } from './sampleModel'
import { cases } from '../../../tests/support/cases'

/** Of so few the share itself is unsure by 2 %. */
const RUNS = cases(160)
const SAMPLES = 250

/** The cart as a hand reads it: tape, level and laser each with its leaflet's error, and the scatter of the hand. */
function readOnce(truth: Build, random: ReturnType<typeof seededRandom>): Build {
  const even = evenly(random)
  const zero = even(0.1)
  const off = (reading: Reading): number => {
    if (!('tool' in reading)) return 0
    if (reading.tool === 'laser') return even(0.1) + 0.1 * random.normal()
    if (reading.tool === 'level') return zero * zeroShare(reading) + 0.08 * random.normal()
    return even(0.5) + 0.8 * random.normal()
  }
  return {
    ...truth,
    readings: truth.readings.map((reading) =>
      'values' in reading
        ? ({ ...reading, values: [String(Number(reading.values[0]) + off(reading))] } as Reading)
        : reading,
    ),
  }
}

/** Levels across are read without a sign: a truth near nought would turn its word, not its figure. */
const TRUTH = demoFile('burdock-cart', (raw) => {
  for (const reading of raw.readings) if (reading.kind === 'axis-level') reading.values = ['1.5']
})

describe('the ± of a chain', () => {
  it('covers the truth of line, slack and shafts in about 95 of 100 vehicles', () => {
    const random = seededRandom(23)
    const wanted = ['chain/drive/chain-offset/axle', 'chain/drive/chain-slack', 'chain/drive/chain-centre']
    const valueOf = ({ checks }: Evaluation, id: string) => checks.find((one) => one.id === id)?.value ?? NaN
    const real = evaluateBuild(TRUTH, {})
    const hits = new Map(wanted.map((id) => [id, 0]))
    for (let run = 0; run < RUNS; run++) {
      const build = readOnce(TRUTH, random)
      const evaluation = evaluateBuild(build, {})
      const whole = sampleModel(build, {}, evaluation)
      const figures = whole.figures.filter(({ id }) =>
        wanted.some((one) => id === checkFigureId({ id: one })),
      )
      const sureness = runMonteCarlo(
        { ...whole, figures, wanted: figures.map(({ column }) => column) },
        { samples: SAMPLES, seed: run + 1 },
      )
      for (const id of wanted) {
        const spread = sureness.figures[checkFigureId({ id })]
        const [read, truth] = [valueOf(evaluation, id), valueOf(real, id)]
        const span = spread?.interval ?? [read - (spread?.plusMinus ?? 0), read + (spread?.plusMinus ?? 0)]
        if (truth >= span[0] && truth <= span[1]) hits.set(id, (hits.get(id) ?? 0) + 1)
      }
    }
    for (const [id, count] of hits) {
      expect([id, count / RUNS > 0.9]).toEqual([id, true])
    }
  })

  it('rests on the laser for the line, and on the hand for the slack', () => {
    const whole = sampleModel(TRUTH, {})
    const sureness = runMonteCarlo(whole, { samples: 1000, seed: 1 })
    const offset = sureness.figures[checkFigureId({ id: 'chain/drive/chain-offset/axle' })]
    const slack = sureness.figures[checkFigureId({ id: 'chain/drive/chain-slack' })]
    // Two tenths of a millimetre at either face and a line of 630 mm laid along 190 mm of one of them.
    expect(offset?.plusMinus).toBeGreaterThan(0.05)
    expect(offset?.plusMinus).toBeLessThan(0.3)
    // A rule's half millimetre and a hand's, of 628 mm.
    expect(slack?.plusMinus).toBeGreaterThan(0.1)
    expect(slack?.plusMinus).toBeLessThan(0.5)
  })
})
