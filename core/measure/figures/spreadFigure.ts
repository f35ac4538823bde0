import type { Column } from '../../base/columns/graph'
import type { Known } from '../../base/known'
import type { ReadingContext } from './context'
import { inputKey, type Input } from './inputs'
import { oneByOne, varianceOf } from './oneByOne'

/** What one standard deviation of an input makes of a figure, in the figure's unit. */
interface Moved {
  readonly input: Input
  readonly change: number
}

/** A figure with its variance, in its own unit and that squared; null where an input may not be moved either way. */
export interface SpreadFigure {
  readonly value: number
  readonly variance: number | null
  readonly moved: readonly Moved[]
}

/**
 * A figure at the means of its readings, with its variance by first-order propagation.
 *
 * @returns null while the figure is unknown
 * @see docs/methods/uncertainty.md
 */
export function figureOf(context: ReadingContext, figure: Known<Column>): SpreadFigure | null {
  if (!figure.known) return null
  const column = figure.value
  const { inputs, change } = oneByOne(context, [column])
  const moved = inputs.map((input, index) => ({ input, change: change(column, index) }))
  return spreadOf(context.graph.at(column), moved)
}

/** The second figure less the first: what both rest on, such as one level's zero error, is in it but once. */
export function differenceOf(first: SpreadFigure, second: SpreadFigure): SpreadFigure {
  const moved = new Map(second.moved.map((one) => [inputKey(one.input), one] as const))
  for (const { input, change } of first.moved) {
    const key = inputKey(input)
    moved.set(key, { input, change: (moved.get(key)?.change ?? 0) - change })
  }
  return spreadOf(second.value - first.value, [...moved.values()])
}

function spreadOf(value: number, moved: readonly Moved[]): SpreadFigure {
  const variance = varianceOf(
    moved.map(({ input }) => input),
    (index) => moved[index]?.change ?? 0,
  )
  return { value, moved, variance: Number.isFinite(variance) ? variance : null }
}

/** Two standard deviations of a figure; null where they are not known. */
export const plusMinusOf = ({ variance }: SpreadFigure): number | null =>
  variance === null ? null : 2 * Math.sqrt(variance)
