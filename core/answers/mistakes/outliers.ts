import { farRepeat } from '../../measure/figures/farRepeat'
import { isRepeatable, repeatFigures } from '../../measure/figures/scatter'
import { bodyName } from '../../measure/targets/target'
import { unitOfReading } from '../../measure/figures/usualTool'
import type { Correction, Detector, Mistake } from './mistake'

/**
 * Repeats that stand far off the others of their reading. They still count until somebody takes them out.
 *
 * @see docs/methods/uncertainty.md (median absolute deviation)
 */
export const outliers: Detector = (build, isAsked) =>
  build.readings.flatMap((reading): Mistake[] => {
    if (!isAsked(reading) || !isRepeatable(reading)) return []
    const figures = repeatFigures(build, reading)
    if (figures.length < reading.values.length) return []
    const far = farRepeat(figures, unitOfReading(reading))
    if (far === null) return []
    const text = reading.values[far] ?? ''
    const name = bodyName(build, reading)
    const without = (index: number): Correction => ({
      label: `Take out the repeat ${reading.values[index] ?? ''}`,
      edits: [
        { of: 'reading', id: reading.id, set: { values: reading.values.filter((_, i) => i !== index) } },
      ],
    })
    const isPair = figures.length === 2
    return [
      {
        kind: 'outlier',
        readingIds: [reading.id],
        sentence: isPair
          ? `${name}: the repeats ${reading.values.join(' and ')} contradict each other. Both still count in the mean.`
          : `${name}: the repeat ${text} stands far off the others. It still counts in the mean.`,
        corrections: isPair ? [without(1), without(0)] : [without(far)],
      },
    ]
  })
