import { daysBetween, type Day } from '../../base/days'
import { hurriedBy, hurryOffer, otherwiseHurried } from '../tasks/hurry'
import type { Task } from '../tasks/task'
import { dayOf } from './crewOf'
import { planWork, type Looks, type ToPlan } from './workPlan'

/** What hurrying one thing brings. */
export interface Hurry {
  readonly task: Task
  /** What it costs besides the price. */
  readonly cost: number
  /** It is hurried in the plan as it stands. */
  readonly isPaid: boolean
  /** When all is done with it hurried, and when without. */
  readonly hurried: Day
  readonly unhurried: Day
  /** Days that hurrying brings. */
  readonly sooner: number
}

/** What hurrying each thing that is not ordered yet brings, all else as it is; empty without a plan. */
export function hurriesOf(toPlan: ToPlan, looks?: Looks): Hurry[] {
  const offered = toPlan.tasks.flatMap((task) => {
    const other = otherwiseHurried(task)
    return other ? [{ task, other }] : []
  })
  const finishOf = (tasks: readonly Task[]): Day | null => {
    const plan = planWork({ ...toPlan, tasks }, looks)
    return plan.known ? dayOf(plan.value, plan.value.finishDay) : null
  }
  const asItIs = offered.length > 0 ? finishOf(toPlan.tasks) : null
  if (asItIs === null) return []
  return offered.flatMap(({ task, other }): Hurry[] => {
    const otherwise = finishOf(toPlan.tasks.map((one) => (one === task ? other : one)))
    if (otherwise === null) return []
    const isPaid = hurriedBy(task.entry) !== null
    const [hurried, unhurried] = isPaid ? [asItIs, otherwise] : [otherwise, asItIs]
    const cost = hurryOffer(task.entry)?.cost ?? NaN
    // What is only looked for, not proven, may be found worse with less to wait for: nothing is lost by hurrying.
    const sooner = Math.max(0, daysBetween(hurried, unhurried))
    return [{ task, cost, isPaid, hurried, unhurried, sooner }]
  })
}
