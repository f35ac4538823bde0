import type { Column } from '../columns/graph'
import { newRun, sourcesOf } from '../columns/run'
import type { Known } from '../known'
import { deviationOf } from '../chance/spread'
import type { ReadingContext } from './context'

/** A figure with its variance, in its own unit and that squared; null where an input may not be moved either way. */
export interface SpreadFigure {
  readonly value: number
  readonly variance: number | null
}

/**
 * A figure at the means of its readings, with its variance by first-order propagation: each input moved by its standard
 * deviation in turn, one row an input.
 *
 * @returns null while the figure is unknown
 * @see docs/methods/uncertainty.md
 */
export function figureOf({ graph, list }: ReadingContext, figure: Known<Column>): SpreadFigure | null {
  if (!figure.known) return null
  const value = graph.at(figure.value)
  const sources = sourcesOf(graph, [figure.value])
  const inputs = list.inputs.flatMap((input, index) => {
    const column = list.columns[index]
    return column !== undefined && sources.has(column) ? [{ input, column }] : []
  })
  if (inputs.length === 0) return { value, variance: 0 }
  const run = newRun(graph, inputs.length)
  const moved = (sense: 1 | -1): Float64Array => {
    inputs.forEach(({ input, column }, row) => {
      const cells = run.fill(column).fill(input.mean)
      cells[row] = input.mean + sense * deviationOf(input)
    })
    run.bring([figure.value], inputs.length)
    return run.cells(figure.value).slice(0, inputs.length)
  }
  let figures = moved(1)
  // A level at its end, as at 90°, can only have shown less.
  if (figures.some(Number.isNaN)) {
    const less = moved(-1)
    figures = figures.map((one, row) => (Number.isNaN(one) ? (less[row] ?? NaN) : one))
  }
  const variance = figures.reduce((sum, one) => sum + (one - value) ** 2, 0)
  return { value, variance: Number.isFinite(variance) ? variance : null }
}

/** Two standard deviations of a figure; null where they are not known. */
export const plusMinusOf = ({ variance }: SpreadFigure): number | null =>
  variance === null ? null : 2 * Math.sqrt(variance)
