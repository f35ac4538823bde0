import type { Check } from '../../check/check'
import type { Input } from '../../measure/figures/inputs'
import type { Sureness } from './monteCarlo'
import { checkFigureId } from './sampleModel'

/** A reading's part in the doubt about a check. */
export interface Doubt {
  readonly input: Input
  /** Share of the variance. */
  readonly share: number
}

/** Readings named at the most, and the least share worth naming. */
const NAMED = 3
const LEAST = 0.05

/** The readings that bring most of a check's variance, most first. */
export function doubtOf(check: Check, { figures, inputs }: Sureness): Doubt[] {
  const shares = figures[checkFigureId(check)]?.shares ?? []
  return shares
    .flatMap((share, i) => {
      const input = inputs[i]
      return input && share >= LEAST ? [{ input, share }] : []
    })
    .sort((a, b) => b.share - a.share)
    .slice(0, NAMED)
}
