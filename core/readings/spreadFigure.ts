import type { Column } from '../columns/graph'
import { newRun, sourcesOf } from '../columns/run'
import type { Known } from '../known'
import { deviationOf } from '../chance/spread'
import type { ReadingContext } from './context'

/** A figure with its variance, in its own unit and that squared. */
export interface SpreadFigure {
  readonly value: number
  readonly variance: number
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
  inputs.forEach(({ input, column }, row) => {
    const cells = run.fill(column).fill(input.mean)
    cells[row] = input.mean + deviationOf(input)
  })
  run.bring([figure.value], inputs.length)
  const variance = run.cells(figure.value).reduce((sum, moved) => sum + (moved - value) ** 2, 0)
  return { value, variance }
}

/** Two standard deviations of a figure. */
export const plusMinusOf = ({ variance }: SpreadFigure): number => 2 * Math.sqrt(variance)
