import type { Build } from '../project/build'
import { measureAgainAction, measureAgainSentence } from '../text/measureAgainText'
import { measureAgain } from '../uncertainty/measureAgain'
import type { FigureSpread, Sureness } from '../uncertainty/monteCarlo'
import { statePlace } from '../model/statePlace'
import type { Evaluation } from '../model/evaluateBuild'

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
  return {
    samples: sureness.samples,
    seed: sureness.seed,
    plusMinus: byPlace(build, sureness, ({ plusMinus }) => plusMinus),
    intervals: byPlace(build, sureness, ({ interval }) => interval),
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

function byPlace<T>(
  build: Build,
  { figures }: Sureness,
  of: (spread: FigureSpread) => T | null,
): Record<string, T> {
  return Object.fromEntries(
    Object.entries(figures).flatMap(([id, spread]) => {
      const [place, value] = [figurePlace(build, id), of(spread)]
      return place === null || value === null ? [] : [[place, value]]
    }),
  )
}

/** Where a sampled figure stands in the result; null for checks, which carry their own ±. */
function figurePlace(build: Build, figureId: string): string | null {
  const [of, id, ...rest] = figureId.split('/')
  const indexIn = (items: readonly { readonly id: string }[]) => items.findIndex((item) => item.id === id)
  if (of === 'point') return `points[${indexIn(build.points)}].${rest[0]}`
  if (of === 'axis') return `axes[${indexIn(build.axes)}].${rest[0]}`
  const place = of === 'line' ? statePlace(build, rest[0] ?? '') : null
  return place === null ? null : `lines[${indexIn(build.lines)}].${place}.${rest.slice(1).join('/')}`
}
