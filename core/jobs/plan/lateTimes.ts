import type { Day } from '../../base/days'
import { calendarOf } from '../../plan/hands/workCalendar'
import { dayOf } from './crewOf'
import type { Planned, WorkPlan } from './planned'

/** How late something planned may run before the end moves, with as many hands as are wanted. */
export interface Late {
  readonly floatH: number
  /** The last day to order it; null for what is not ordered any more. */
  readonly orderBy: Day | null
}

/** Late times of all that is planned, by the ids of nodes: the critical path method, backward, in working hours. */
export function lateTimes(plan: WorkPlan): ReadonlyMap<string, Late> {
  const { planned, crew, finishH } = plan
  const calendar = calendarOf(crew)
  const ends = new Map(planned.map(({ node }) => [node.id, finishH] as const))
  const sooner = (id: string, end: number): void => void ends.set(id, Math.min(ends.get(id) ?? finishH, end))
  const orderDays = new Map<string, number>()
  // What waits begins later than what it waits for.
  for (const { node } of planned.toReversed()) {
    const start = (ends.get(node.id) ?? finishH) - node.hours.likely
    for (const id of node.after) sooner(id, start)
    if (node.orderAfter == null) continue
    const day = calendar.dayOfStart(start) - Math.ceil(node.leadDays?.likely ?? 0)
    orderDays.set(node.orderAfter, day)
    sooner(node.orderAfter, calendar.atDay(day + 1))
  }
  return new Map(planned.map((one) => [one.node.id, late(one)] as const))

  function late({ node, endH }: Planned): Late {
    const day = orderDays.get(node.id)
    return {
      floatH: (ends.get(node.id) ?? finishH) - endH,
      orderBy: day === undefined ? null : dayOf(plan, day),
    }
  }
}
