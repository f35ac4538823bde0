import { stateKey, type Check, type StateOfVehicle } from '../../check/check'
import { evaluate, type Evaluation } from '../../model/evaluateBuild'
import type { PlannedCheck } from '../../check/plannedCheck'
import type { Column } from '../../base/columns/graph'
import type { Kind } from '../../base/columns/kept'
import type { Window } from '../../file/build/limit'
import type { FigureColumn } from '../../line/figureColumns'
import { compile, plannedChecks, type CompiledBuild } from '../../model/compile'
import { namedFigures } from '../../model/namedFigures'
import type { SetPlace } from '../../stand/travel'
import type { LeverSettings } from '../../vehicle/moves/settings'
import type { Build } from '../../file/build/build'

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
  const checks = found.checks.flatMap((check) => sampledCheck(check, planOf(compiled, check)))
  const figures = [...named, ...checks]
  return {
    compiled,
    settings,
    set: found.set,
    figures,
    wanted: figures.flatMap(({ column, vector }) => [column, ...(vector?.columns ?? [])]),
  }
}

const PLANS: Kind<ReadonlyMap<string, PlannedCheck>> = { name: 'the planned checks by their states' }

const planKey = ({ id, ...state }: StateOfVehicle & Pick<Check, 'id'>): string => `${stateKey(state)}/${id}`

/** A check as it was planned in the state in which it stands worst. */
const planOf = (compiled: CompiledBuild, check: Check): PlannedCheck | undefined =>
  compiled.graph.kept
    .the(PLANS, () => new Map(plannedChecks(compiled).map((plan) => [planKey(plan.head), plan])))
    .get(planKey(check))

/** A check as it stands; figures of the file, such as a set-in, are not sampled. */
function sampledCheck(check: Check, plan: PlannedCheck | undefined): SampledFigure[] {
  const value = plan?.value
  if (check.value === null || value == null || typeof value === 'number') return []
  return [{ id: checkFigureId(check), window: check.window, ...value }]
}
