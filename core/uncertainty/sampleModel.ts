import { isSameState, type Check } from '../check/check'
import { evaluate, type Evaluation } from '../model/evaluateBuild'
import type { PlannedCheck } from '../check/plannedCheck'
import type { Column } from '../columns/graph'
import type { Window } from '../project/limit'
import type { FigureColumn } from '../line/figureColumns'
import { compile, type CompiledBuild, type CompiledLine } from '../model/compile'
import type { CompiledGap } from '../model/gaps'
import { namedFigures } from '../model/namedFigures'
import type { SetPlace } from '../model/travel'
import type { LeverSettings } from '../placement/settings'
import type { Build } from '../project/build'

/** One figure that is sampled. */
export interface SampledFigure extends FigureColumn {
  readonly id: string
  /** Where a check may stand; null for figures that are not judged. */
  readonly window: Window | null
}

/** A compiled build at one setting of its levers, and the figures of it that are sampled. */
export interface SampleModel {
  readonly compiled: CompiledBuild
  readonly settings: LeverSettings
  /** Places of the wheels between the named ones, as they are set. */
  readonly set: readonly SetPlace[]
  readonly figures: readonly SampledFigure[]
  /** Every column that the figures and the vectors behind them stand in. */
  readonly wanted: readonly Column[]
}

/** Id under which a check's value is sampled. */
export const checkFigureId = (check: Pick<Check, 'id'>): string => `check/${check.id}`
/**
 * The figures of a build that have an answer at one setting, for sampling.
 *
 * @param evaluation - of the same build at the same setting, where the caller has it
 * @see docs/methods/uncertainty.md
 */
export function sampleModel(build: Build, settings: LeverSettings, evaluation?: Evaluation): SampleModel {
  const compiled = compile(build)
  const found = evaluation ?? evaluate(compiled, settings)
  const named = namedFigures(compiled).flatMap((one): SampledFigure[] =>
    one.stands(found) ? [{ id: one.id, window: null, column: one.column, vector: one.vector }] : [],
  )
  const lines = compiled.lines.flatMap((line, index) => lineChecks(line, found.lines[index]))
  const gaps = compiled.gaps.flatMap((gap, index) => gapFigures(gap, found.gaps[index]))
  const chains = compiled.chains.flatMap((chain, index) => {
    const plans = chain.plans.map(({ planned }) => planned)
    return (found.chains[index]?.checks ?? []).flatMap((check) => sampledCheck(check, plans))
  })
  const figures = [...named, ...lines, ...gaps, ...chains]
  return {
    compiled,
    settings,
    set: found.set,
    figures,
    wanted: figures.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])]),
  }
}

/** The checks of a line in the states in which it turns. */
function lineChecks(
  { states, checks }: CompiledLine,
  found: Evaluation['lines'][number] | undefined,
): SampledFigure[] {
  if (!found) return []
  const plans = checks.flatMap((plan) => ('certain' in plan ? [] : plan.inStates))
  return states.flatMap(({ state, figures }): SampledFigure[] => {
    const stands = found.states.find((one) => isSameState(one, state))
    if (!stands?.turning.known || !figures) return []
    return found.checks.flatMap((check) => (isSameState(check, state) ? sampledCheck(check, plans) : []))
  })
}

/** A gap, where its check is made: the worst of its places. */
function gapFigures({ plans }: CompiledGap, found: Evaluation['gaps'][number] | undefined): SampledFigure[] {
  const check = found?.check
  return check && check.value !== null
    ? sampledCheck(
        check,
        plans.map(({ planned }) => planned),
      )
    : []
}

/** A check as it stands; figures of the file, such as a set-in, are not sampled. */
function sampledCheck(check: Check, plans: readonly PlannedCheck[]): SampledFigure[] {
  const value = plans.find(({ head }) => head.id === check.id && isSameState(head, check))?.value
  if (check.value === null || value == null || typeof value === 'number') return []
  return [{ id: checkFigureId(check), window: check.window, ...value }]
}
