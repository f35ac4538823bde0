import { calendarOf } from '../../plan/hands/workCalendar'
import type { Planned, WorkPlan } from './planned'

/** Why a node begins when it does. */
export type Decides = 'task' | 'parts' | 'day' | 'hands' | 'helper' | 'start'

export interface ChainLink {
  readonly planned: Planned
  readonly by: Decides
}

const SAME_H = 1e-6

/** What decides when all is done: each link begins when it does by the one before it; the last one ends the plan. */
export function decidingChain(plan: WorkPlan): ChainLink[] {
  const { planned, finishH } = plan
  const chain: ChainLink[] = []
  const byId = new Map(planned.map((one) => [one.node.id, one] as const))
  let at = planned.find(({ endH }) => endH >= finishH - SAME_H)
  while (at) {
    const { by, before } = whyThen(plan, at, byId)
    chain.unshift({ planned: at, by })
    at = before
  }
  return chain
}

function whyThen(
  { planned, crew }: WorkPlan,
  { node, startH }: Planned,
  byId: ReadonlyMap<string, Planned>,
): { readonly by: Decides; readonly before?: Planned | undefined } {
  const endsNow = ({ endH }: Planned) => Math.abs(endH - startH) < SAME_H
  const { orderAfter } = node
  const ordered = orderAfter == null ? undefined : byId.get(orderAfter)
  const leadDays = Math.ceil(node.leadDays?.likely ?? 0)
  const arrivalH = calendarOf(crew).atDay((ordered?.endDay ?? 0) + leadDays)
  if (leadDays > 0 && Math.abs(arrivalH - startH) < SAME_H) return { by: 'parts', before: ordered }
  const before = node.after.flatMap((id) => byId.get(id) ?? []).find(endsNow)
  if (before) return { by: 'task', before }
  if (startH < SAME_H) return { by: 'start' }
  if (Math.abs((node.notBefore ?? 0) - startH) < SAME_H) return { by: 'day' }
  const busy = planned.find((one) => one.node !== node && endsNow(one))
  if (busy) return { by: 'hands', before: busy }
  const last = planned.filter(({ endH }) => endH < startH).reduce<Planned | undefined>(later, undefined)
  return { by: 'helper', before: last }
}

const later = (one: Planned | undefined, other: Planned): Planned =>
  !one || other.endH > one.endH ? other : one
