import { mapKnown, type Known } from '../../base/known'
import { finishChance, USUAL_DRAWS, type FinishChance } from './finishChance'
import type { WorkPlan } from './planned'
import { planWork, type ToPlan } from './workPlan'

/** A plan with how likely its end is. */
export interface PlanAnswer {
  readonly plan: WorkPlan
  readonly chance: FinishChance
}

/** The plan of all open work with its chances. */
export const planAnswer = (toPlan: ToPlan, draws = USUAL_DRAWS): Known<PlanAnswer> =>
  mapKnown(planWork(toPlan), (plan) => ({
    plan,
    chance: finishChance(plan, toPlan.crew?.wanted, draws),
  }))
