import { isSameState, stateKey, type Check, type StateOfVehicle } from '../check/check'
import { evaluate, type Evaluation } from '../model/evaluateBuild'
import type { PlannedCheck } from '../check/plannedCheck'
import type { Column } from '../columns/graph'
import type { Window } from '../project/limit'
import type { FigureColumn } from '../line/figureColumns'
import { compile, type CompiledBuild, type CompiledLine } from '../model/compile'
import { HALFSHAFT_FIGURES, type HalfshaftFigure } from '../model/compiledTravel'
import type { CompiledGap } from '../model/gaps'
import type { SetPlace } from '../model/travel'
import type { LeverSettings } from '../placement/settings'
import type { Build } from '../project/build'
import type { Id } from '../project/id'

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
/** Id under which a length of a plunging shaft is sampled. */
export const halfshaftFigureId = (
  { lineId, shaft }: { readonly lineId: Id; readonly shaft: number },
  name: HalfshaftFigure,
): string => `halfshaft/${lineId}/${shaft}/${name}`
/** Id under which a figure of a line is sampled. */
export const lineFigureId = (lineId: Id, state: StateOfVehicle, name: string): string =>
  `line/${lineId}/${stateKey(state)}/${name}`

/**
 * The figures of a build that have an answer at one setting, for sampling.
 *
 * @param evaluation - of the same build at the same setting, where the caller has it
 * @see docs/methods/uncertainty.md
 */
export function sampleModel(build: Build, settings: LeverSettings, evaluation?: Evaluation): SampleModel {
  const compiled = compile(build)
  const found = evaluation ?? evaluate(compiled, settings)
  const places = compiled.placeFigures.flatMap(({ of, id, name, column }): SampledFigure[] => {
    const place = of === 'point' ? found.placed.points.get(id) : found.placed.axes.get(id)
    return place?.known ? [{ id: `${of}/${id}/${name}`, window: null, column }] : []
  })
  const lines = compiled.lines.flatMap((line, index) => lineFigures(line, found.lines[index]))
  const gaps = compiled.gaps.flatMap((gap, index) => gapFigures(gap, found.gaps[index]))
  const chains = compiled.chains.flatMap((chain, index) => {
    const plans = chain.plans.map(({ planned }) => planned)
    return (found.chains[index]?.checks ?? []).flatMap((check) => sampledCheck(check, plans))
  })
  const halfshafts = (compiled.travel?.halfshafts ?? []).flatMap((one): SampledFigure[] =>
    found.halfshafts.some(({ lineId, shaft }) => lineId === one.lineId && shaft === one.shaft)
      ? HALFSHAFT_FIGURES.map((name) => ({
          id: halfshaftFigureId(one, name),
          window: null,
          column: one.figures[name],
        }))
      : [],
  )
  const figures = [...places, ...lines, ...gaps, ...chains, ...halfshafts]
  return {
    compiled,
    settings,
    set: found.set,
    figures,
    wanted: figures.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])]),
  }
}

function lineFigures(
  { line, states, checks }: CompiledLine,
  found: Evaluation['lines'][number] | undefined,
): SampledFigure[] {
  if (!found) return []
  const plans = checks.flatMap((plan) => ('certain' in plan ? [] : plan.inStates))
  return states.flatMap(({ state, figures }): SampledFigure[] => {
    const stands = found.states.find((one) => isSameState(one, state))
    // Beyond a right angle nothing can be sampled: ratios run away.
    if (!stands?.turning.known || !figures) return []
    return [
      ...figures.named.map(({ name, ...figure }) => ({
        id: lineFigureId(line.id, state, name),
        window: null,
        ...figure,
      })),
      ...found.checks.flatMap((check) => (isSameState(check, state) ? sampledCheck(check, plans) : [])),
    ]
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
