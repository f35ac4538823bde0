import type { Column } from '../../base/columns/graph'
import type { BodyId } from '../../file/parts/body'
import type { Build } from '../../file/build/build'
import type { Tool } from '../../file/parts/tool'
import type { InputList } from '../../measure/figures/inputs'
import { usualFigures, usualTool } from '../../measure/figures/usualTool'

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
