import { runMonteCarlo } from '../answers/uncertainty/monteCarlo'
import { sampleModel } from '../answers/uncertainty/sampleModel'
import { seededRandom } from '../base/chance/random'
import type { Build } from '../file/build/build'
import { evaluateBuild, type Evaluation } from '../model/evaluateBuild'

/** Of so few the share itself is unsure by 2 %; of 1200 vehicles it is 95 to 96 %. */
const RUNS = 140
const SAMPLES = 250

interface Covered {
  readonly truth: Build
  readonly readOnce: (random: ReturnType<typeof seededRandom>) => Build
  /** Figures by their names in the sampling. */
  readonly figures: Readonly<Record<string, (evaluation: Evaluation) => number>>
}

/** In how many of a hundred vehicles the true figure lies within ±. */
export function coverage({ truth, readOnce: read, figures }: Covered): Record<string, number> {
  const random = seededRandom(17)
  const counts = Object.fromEntries(Object.keys(figures).map((key) => [key, 0]))
  const real = evaluateBuild(truth, {})
  for (let run = 0; run < RUNS; run++) {
    const build = read(random)
    const evaluation = evaluateBuild(build, {})
    const whole = sampleModel(build, {}, evaluation)
    const sampled = whole.figures.filter(({ id }) => id in figures)
    const wanted = sampled.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])])
    const spreads = runMonteCarlo(
      { ...whole, figures: sampled, wanted },
      { samples: SAMPLES, seed: run },
    ).figures
    for (const [key, of] of Object.entries(figures)) {
      const { plusMinus = NaN, interval = null } = spreads[key] ?? {}
      const [low, high] = interval ?? [of(evaluation) - plusMinus, of(evaluation) + plusMinus]
      if (of(real) >= low && of(real) <= high) counts[key] = (counts[key] ?? 0) + 1
    }
  }
  return Object.fromEntries(Object.entries(counts).map(([key, count]) => [key, count / RUNS]))
}

/** 95 of a hundred, as near as so few vehicles tell. */
export const within = { asymmetricMatch: (share: unknown) => Math.abs(Number(share) - 0.95) <= 0.045 }
