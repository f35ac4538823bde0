import { readyAt, taken, type Hands } from '../../plan/hands/begunPlan'
import { calendarOf } from '../../plan/hands/workCalendar'
import { linked, waitsFor } from '../../plan/network/network'
import { likeliest } from './nodes'
import type { Planned, WorkPlan } from './planned'

/**
 * A plan at once, as something of it is moved to another day: what is free goes on in the order of the plan, what is moved and all that waits for
 * it follows. No better order is looked for.
 *
 * @param fromDays - days of the plan before which a node does not begin, by its id
 */
export function replan(plan: WorkPlan, fromDays: ReadonlyMap<string, number>): WorkPlan {
  const { crew, planned } = plan
  const calendar = calendarOf(crew)
  const nodes = planned.map(({ node }) => {
    const day = fromDays.get(node.id)
    return day === undefined ? node : { ...node, notBefore: calendar.atDay(day) }
  })
  const { links } = linked(nodes.map(likeliest))
  const ends = new Float64Array(nodes.length).fill(NaN)
  const endAt = (at: number) => ends[at] ?? NaN
  const ready = new Float64Array(nodes.length).fill(NaN)
  const open = new Set(links.map(({ at }) => at))
  const moved: Planned[] = []
  let hands: Hands = { free: [0, 0], last: 0 }
  while (open.size > 0) {
    let next: { at: number; hands: Hands } | null = null
    for (const at of open) {
      const link = links[at]
      if (!link || waitsFor(link).some((one) => open.has(one))) continue
      if (Number.isNaN(ready[at])) ready[at] = readyAt({ calendar }, link, endAt)
      const then = taken({ crew, calendar }, hands, link.task, ready[at] ?? NaN)
      if (!next || then.last < next.hands.last) next = { at, hands: then }
      if (then.last <= hands.free[0]) break
    }
    const node = next && nodes[next.at]
    if (!next || !node) break
    open.delete(next.at)
    hands = next.hands
    const startH = hands.last
    const endH = startH + node.hours.likely
    ends[next.at] = endH
    moved.push({
      node,
      startH,
      endH,
      startDay: calendar.dayOfStart(startH),
      endDay: calendar.dayOfEnd(endH),
    })
  }
  const finishH = Math.max(...ends)
  return { ...plan, planned: moved, finishH, finishDay: calendar.dayOfEnd(finishH), isProven: false }
}
