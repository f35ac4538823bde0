import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { seededRandom } from '../../base/chance/random'
import type { LineFigures } from '../../line/lineFigures'
import { evaluateBuild, type Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import { runMonteCarlo } from './monteCarlo'
import { readOnce } from '../../testdata/readOnce'
import { sampleModel } from './sampleModel'
import { lineFigureId } from '../../model/lineSubject'
import { cases } from '../../../tests/support/cases'

const RUNS = cases(250)
const SAMPLES = 100

const raw = JSON.parse(readFileSync(join(__dirname, '../../../demo/tansy-wagon.lurvan.json'), 'utf8'))
const parsed = parseBuild(raw)
if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
const truth: Build = parsed.value

const DROOP = { state: 'ride', at: { id: 'travel-droop', name: '' } } as const
const CROSSED = { state: 'ride', at: { id: 'travel-left-up', name: '' } } as const
const FIGURES = {
  slip: lineFigureId('rear', DROOP, 'shafts[0].slipLeftMm'),
  pinion: lineFigureId('rear', DROOP, 'joints[1].angleDeg'),
  crossed: lineFigureId('rear', CROSSED, 'shafts[0].slipLeftMm'),
} as const
type Figure = keyof typeof FIGURES

const lengthOf = ({ shafts }: LineFigures): number => shafts()[0]!.lengths.all[0]!.length

function figuresOf({ lines }: Evaluation): Record<Figure, number> {
  const at = (id: string) => {
    const state = lines[0]!.states.find((one) => one.at?.id === id && one.state === 'ride')!
    if (!state.figures.known) throw new Error(JSON.stringify(state.figures.missing))
    return state.figures.value
  }
  const droop = at('travel-droop')
  const slip = truth.lines[0]!.shafts[0]!.slip!
  return {
    slip: lengthOf(droop) - slip.closedMm!,
    pinion: droop.anglesDeg[1]!,
    crossed: lengthOf(at('travel-left-up')) - slip.closedMm!,
  }
}

/** Nobody reads which way axes look from above: in truth they look a little aside. */
function askew(random: ReturnType<typeof seededRandom>): Build {
  const given = (axis: string, fall: number) => {
    const plan = 0.2 * random.normal()
    return {
      id: `given-${axis}`,
      kind: 'given-axis',
      axis,
      fall: String(fall),
      low: 'rear',
      plan: String(Math.abs(plan)),
      rearPoints: plan < 0 ? 'right' : 'left',
    }
  }
  const levels = truth.readings.filter(({ kind }) => kind !== 'axis-level')
  return { ...truth, readings: [...levels, given('pinion', 2), given('output', 3.5)] } as Build
}

describe('the ± at full droop and crossed, on links', () => {
  it('covers what is true in 93 to 97 of a hundred vehicles', () => {
    const random = seededRandom(81)
    const counts: Record<Figure, number> = { slip: 0, pinion: 0, crossed: 0 }
    const ids = new Set<string>(Object.values(FIGURES))
    for (let run = 0; run < RUNS; run++) {
      const real = figuresOf(evaluateBuild(askew(random), {}))
      const build = readOnce(truth, random)
      const evaluation = evaluateBuild(build, {})
      const whole = sampleModel(build, {}, evaluation)
      const figures = whole.figures.filter(({ id }) => ids.has(id))
      const wanted = figures.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])])
      const spreads = runMonteCarlo({ ...whole, figures, wanted }, { samples: SAMPLES, seed: run }).figures
      const got = figuresOf(evaluation)
      for (const key of Object.keys(FIGURES) as Figure[]) {
        const { plusMinus, interval } = spreads[FIGURES[key]]!
        const [low, high] = interval ?? [got[key] - plusMinus, got[key] + plusMinus]
        if (real[key] >= low && real[key] <= high) counts[key]++
      }
    }
    for (const key of Object.keys(FIGURES) as Figure[])
      expect([key, Math.abs(counts[key] / RUNS - 0.95) <= 0.02, counts[key] / RUNS]).toEqual([
        key,
        true,
        expect.any(Number),
      ])
  })
})
