import { evaluate } from '../../model/evaluateBuild'
import { compile } from '../../model/compile'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'
import { figureColumn, figureNames } from './figureColumn'
import { originOf, type FigureOrigin } from './origin'

/** Where a figure comes from, or the names of those that can be asked for. */
export type Why =
  | { readonly ok: true; readonly origin: FigureOrigin }
  | { readonly ok: false; readonly names: readonly string[] }

/**
 * Where a figure of a build comes from: readings, corrections, what is taken for granted, formulas, shares of its doubt.
 *
 * @param name - id of a check, or a place in the published result
 */
export function whyFigure(build: Build, settings: LeverSettings, name: string): Why {
  const compiled = compile(build)
  const evaluation = evaluate(compiled, settings)
  const column = figureColumn(compiled, evaluation, name)
  return column === null
    ? { ok: false, names: figureNames(compiled, evaluation) }
    : { ok: true, origin: originOf(compiled, column, settings) }
}
