import type { FigureUnit } from './usualTool'

/** A repeat this many robust standard deviations from the middle one is far off. */
const FAR = 5
/** Median absolute deviation to standard deviation, for a normal scatter. */
const MAD_TO_DEVIATION = 1.4826
/** The scatter is never taken for less than this: half a step of a common level, a tape's line. */
const LEAST_SCATTER = { deg: 0.05, mm: 0.5 } as const
/** Two figures further apart than this were not read off the same thing; which of them is right nobody can say. */
const PAIR_APART = { deg: 2, mm: 30 } as const

/**
 * The repeat that stands far off the others of its reading.
 *
 * @param figures - repeats of one reading, in degrees or mm
 * @returns its index; of two that contradict each other the second; null when they belong together
 * @see docs/methods/uncertainty.md (median absolute deviation)
 */
export function farRepeat(figures: readonly number[], unit: FigureUnit): number | null {
  const [first, second] = figures
  if (figures.length === 2 && first !== undefined && second !== undefined)
    return Math.abs(second - first) > PAIR_APART[unit] ? 1 : null
  if (figures.length < 3) return null
  const middle = median(figures)
  const scatter = Math.max(
    LEAST_SCATTER[unit],
    MAD_TO_DEVIATION * median(figures.map((figure) => Math.abs(figure - middle))),
  )
  const far = figures.findIndex((figure) => Math.abs(figure - middle) > FAR * scatter)
  return far < 0 ? null : far
}

function median(figures: readonly number[]): number {
  const sorted = [...figures].sort((a, b) => a - b)
  const half = sorted.length / 2
  const upper = sorted[Math.floor(half)] ?? NaN
  return sorted.length % 2 === 1 ? upper : (upper + (sorted[half - 1] ?? NaN)) / 2
}
