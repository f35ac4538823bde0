import type { Day } from '../../base/days'
import { daysBetween } from '../../base/days'
import { chanceInOrder } from '../../plan/hands/chanceInOrder'
import { chanceBy, finishAt, type Draws } from '../../plan/network/chanceOfFinish'
import { dayOf } from './crewOf'
import type { WorkPlan } from './planned'

/** On which day all is done, by draws. */
export interface FinishChance {
  /** As likely before as after. */
  readonly even: Day
  /** Four of five times it is done by then. */
  readonly likely: Day
  /** That it is done by the day of the plan. */
  readonly byPlan: number
  /** That it is done by the day that is wished; null for none. */
  readonly byWanted: number | null
}

export const USUAL_DRAWS: Draws = { count: 2000, seed: 1 }

/** Draws a plan's times, its order kept. */
export function finishChance(plan: WorkPlan, wanted: Day | undefined, draws = USUAL_DRAWS): FinishChance {
  const nodes = plan.planned.map(({ node }) => node)
  const finishes = chanceInOrder(
    nodes,
    plan.crew,
    nodes.map((_, at) => at),
    draws,
  )
  const day = (part: number): Day => dayOf(plan, Math.ceil(finishAt({ finishes }, part)))
  return {
    even: day(0.5),
    likely: day(0.8),
    byPlan: chanceBy({ finishes }, plan.finishDay),
    byWanted: wanted === undefined ? null : chanceBy({ finishes }, daysBetween(plan.first, wanted)),
  }
}
