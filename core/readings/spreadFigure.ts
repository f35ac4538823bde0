import type { Known } from '../known'
import { deviationOf } from '../uncertainty/spread'
import type { ReadingContext } from './context'
import { meansOf, type Formula } from './formula'

/** A figure with its variance, in its own unit and that squared. */
export interface SpreadFigure {
  readonly value: number
  readonly variance: number
}

/**
 * A formula's value at the means of its readings, with its variance by first-order propagation: each input moved by its
 * standard deviation in turn.
 *
 * @returns null while the figure is unknown
 * @see docs/methods/uncertainty.md
 */
export function figureOf(context: ReadingContext, figure: Known<Formula<number>>): SpreadFigure | null {
  if (!figure.known) return null
  const means = meansOf(context.list.inputs)
  const value = figure.value(means)
  const variance = context.list.inputs.reduce((sum, input, i) => {
    const step = deviationOf(input)
    if (step === 0) return sum
    const moved = Float64Array.from(means)
    moved[i] = (moved[i] ?? 0) + step
    return sum + (figure.value(moved) - value) ** 2
  }, 0)
  return { value, variance }
}

/** Two standard deviations of a figure. */
export const plusMinusOf = ({ variance }: SpreadFigure): number => 2 * Math.sqrt(variance)
