import type { Column } from '../columns/graph'
import type { BodyId } from '../project/body'
import type { Build } from '../project/build'
import type { Tool } from '../project/tool'
import type { InputList } from '../readings/inputs'
import { usualFigures, usualTool } from '../readings/usualTool'

/** A figure that was read at one height of the wheels. */
export interface HeightFigure {
  readonly body: BodyId
  readonly field: string
  readonly label: string
  readonly unit: 'mm' | 'deg'
  readonly mean: number
}

/** Puts figures read at heights of the wheels among the inputs of a model, as sure as the builder's own tape and level are. */
export type HeightInputs = (figure: HeightFigure) => Column

/**
 * Inputs for what was read at heights of the wheels.
 *
 * Angles there count from what the same level showed at ride height, so its zero goes out and its display's step stays.
 */
export function heightInputs({ tools }: Build, list: InputList): HeightInputs {
  const own = (unit: HeightFigure['unit']): Tool =>
    tools.find(({ kind }) => kind === (unit === 'deg' ? 'level' : 'tape')) ?? usualTool(unit)
  return ({ body, field, label, unit, mean }) => {
    const { kind, resolution, accuracy, handScatter } = own(unit)
    const usual = usualFigures(kind, unit)
    const step = resolution === undefined ? usual.accuracy / 2 : resolution / 2
    return list.add({
      readingId: body,
      field,
      label,
      unit,
      mean,
      halfWidth: unit === 'deg' ? step : (accuracy ?? (resolution === undefined ? usual.accuracy : step)),
      scatter: handScatter ?? usual.handScatter,
      count: 1,
    })
  }
}
