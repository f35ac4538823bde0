import type { Build } from '../../file/build/build'
import { measureAgainAction, measureAgainSentence } from '../text/measureAgainText'
import { measureAgain } from '../../answers/uncertainty/measureAgain'
import type { FigureSpread, Sureness } from '../../answers/uncertainty/monteCarlo'
import { compile } from '../../model/compile'
import { namedFigures } from '../../model/namedFigures'
import type { Evaluation } from '../../model/evaluateBuild'

/** How sure the figures of a result are, as the command line and the server give it. */
export interface UncertaintyJson {
  readonly samples: number
  readonly seed: number
  /** Two standard deviations of a figure by its place in this result, such as `lines[0].ride.joints[1].angleDeg`, in its unit. */
  readonly plusMinus: Readonly<Record<string, number>>
  /** 95 % intervals of figures that may as well be nought, by the same places: there the ± is no answer. */
  readonly intervals: Readonly<Record<string, readonly [number, number]>>
  /** Share of the likely truths in which nothing is past a failing limit; null when nothing is limited. */
  readonly together: number | null
  readonly measureAgain: readonly {
    readonly check: string
    readonly reading: string
    readonly action: string
    readonly plusMinusNow: number
    readonly plusMinusThen: number
    readonly settles: boolean
    readonly sentence: string
  }[]
}

/** How sure the figures of a result are, each by its place in it. */
export function uncertaintyJson(build: Build, { checks }: Evaluation, sureness: Sureness): UncertaintyJson {
  const named = namedFigures(compile(build))
  const byPlace = <T>(of: (spread: FigureSpread) => T | null): Record<string, T> =>
    Object.fromEntries(
      named.flatMap(({ id, place }) => {
        const spread = sureness.figures[id]
        const value = spread ? of(spread) : null
        return place === null || value === null ? [] : [[place, value]]
      }),
    )
  return {
    samples: sureness.samples,
    seed: sureness.seed,
    plusMinus: byPlace(({ plusMinus }) => plusMinus),
    intervals: byPlace(({ interval }) => interval),
    together: sureness.together,
    measureAgain: measureAgain(build, checks, sureness).map((advice) => ({
      check: advice.check.id,
      reading: advice.input.readingId,
      action: measureAgainAction(build, advice),
      plusMinusNow: advice.from,
      plusMinusThen: advice.to,
      settles: advice.settles,
      sentence: measureAgainSentence(build, advice),
    })),
  }
}
