import type { Build } from '../project/build'
import { isRepeatable, repeatFigures } from '../readings/scatter'
import { bodyName } from '../readings/target'
import type { Mistake } from './mistake'

/** A repeat this many robust standard deviations from the middle one is an outlier. */
const FAR = 5
/** Median absolute deviation to standard deviation, for a normal scatter. */
const MAD_TO_DEVIATION = 1.4826
/** The scatter is never taken for less than this, in degrees and mm: half a step of a common level, a tape's line. */
const LEAST_SCATTER = { deg: 0.05, mm: 0.5 } as const

/**
 * Repeats that stand far off the others of their reading. They still count until somebody takes them out.
 *
 * @see docs/methods/uncertainty.md (median absolute deviation)
 */
export function outliers(build: Build): Mistake[] {
  return build.readings.flatMap((reading): Mistake[] => {
    if (!isRepeatable(reading) || reading.values.length < 3) return []
    const figures = repeatFigures(build, reading)
    if (figures.length < reading.values.length) return []
    const middle = median(figures)
    const unit = reading.kind.startsWith('point') ? 'mm' : 'deg'
    const scatter = Math.max(
      LEAST_SCATTER[unit],
      MAD_TO_DEVIATION * median(figures.map((figure) => Math.abs(figure - middle))),
    )
    const far = figures.findIndex((figure) => Math.abs(figure - middle) > FAR * scatter)
    if (far < 0) return []
    const text = reading.values[far] ?? ''
    return [
      {
        kind: 'outlier',
        readingIds: [reading.id],
        sentence: `${bodyName(build, reading)}: the repeat ${text} stands far off the others. It still counts in the mean.`,
        corrections: [
          {
            label: `Take out the repeat ${text}`,
            edits: [
              {
                of: 'reading',
                id: reading.id,
                set: { values: reading.values.filter((_, i) => i !== far) },
              },
            ],
          },
        ],
      },
    ]
  })
}

function median(figures: readonly number[]): number {
  const sorted = [...figures].sort((a, b) => a - b)
  const half = sorted.length / 2
  const upper = sorted[Math.floor(half)] ?? NaN
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] ?? NaN)) / 2
}
