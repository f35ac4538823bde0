import type { Removal, TaskSort } from '../../file/kinds/taskKinds'
import { calendarOf } from '../../plan/hands/workCalendar'
import { decidingChain } from '../plan/decides'
import type { Planned, WorkPlan } from '../plan/planned'
import { barsOf, daysShown, spanOf, ticksOf, type WorkTick } from './timeRuler'

/** A stretch of a lane, in days of the plan. */
export interface LaneBar {
  readonly from: number
  readonly to: number
  /** What is done then; null for how the vehicle stands. */
  readonly planned: Planned | null
  readonly sort: TaskSort | 'move' | 'off'
  readonly isDeciding: boolean
}

/** What the hands do, what is on its way, what of the vehicle is off. */
export interface Lane {
  readonly of: 'hands' | 'way' | 'off'
  /** The task whose parts come, or what is off; empty for the hands. */
  readonly key: string
  readonly bars: readonly LaneBar[]
}

/** All that is to come, at a glance: one lane for the hands, one for each thing on its way and for each that is off. */
export interface LaneScene {
  readonly lanes: readonly Lane[]
  readonly ticks: readonly WorkTick[]
  readonly days: number
  readonly finish: number
}

/** The plan in lanes. */
export function laneScene(plan: WorkPlan, removals: readonly Removal[]): LaneScene {
  const deciding = new Set(decidingChain(plan).map(({ planned }) => planned.node.id))
  const calendar = calendarOf(plan.crew)
  const isDeciding = ({ node }: Planned) => deciding.has(node.id)
  const spans = plan.planned.map((planned) => ({ planned, ...spanOf(calendar, planned) }))
  const hands = spans.map(({ planned, from, to }): LaneBar => ({
    from,
    to,
    planned,
    sort: planned.node.task?.sort ?? 'move',
    isDeciding: isDeciding(planned),
  }))
  const ways = plan.planned.flatMap((planned): Lane[] => {
    const { task, part } = planned.node
    if (part !== 'work' || task?.sort !== 'buy') return []
    const all = plan.planned.filter(({ node }) => node.task?.key === task.key)
    const bars = barsOf(calendar, all).filter(({ kind }) => kind === 'way')
    return bars.map(({ from, to }) => ({
      of: 'way',
      key: task.key,
      bars: [{ from, to, planned, sort: 'buy', isDeciding: isDeciding(planned) }],
    }))
  })
  const days = daysShown(plan)
  return {
    lanes: [{ of: 'hands', key: '', bars: hands }, ...ways, ...removals.flatMap(offLane)],
    ticks: ticksOf(plan),
    days,
    finish: Math.max(...hands.map(({ to }) => to)),
  }

  /** Off from where it comes off to where it goes back on. */
  function offLane({ id, isOff }: Removal): Lane[] {
    const turns = spans.filter(({ planned: { node } }) => node.part === 'move' && id in node.stands)
    const bars: LaneBar[] = []
    let since = isOff === true ? 0 : null
    for (const { planned, from, to } of turns) {
      const isOn = planned.node.stands[id] === true
      if (isOn && since !== null) bars.push(offBar(since, from))
      since = isOn ? null : to
    }
    if (since !== null) bars.push(offBar(since, days))
    return bars.length > 0 ? [{ of: 'off', key: id, bars }] : []
  }
}

const offBar = (from: number, to: number): LaneBar => ({
  from,
  to,
  planned: null,
  sort: 'off',
  isDeciding: false,
})
