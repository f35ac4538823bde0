import { daysBetween, type Day } from '../../base/days'
import { calendarOf } from '../../plan/hands/workCalendar'
import { decidingChain } from '../plan/decides'
import type { Planned, WorkPlan } from '../plan/planned'
import { barsOf, daysShown, ticksOf, type WorkBar, type WorkTick } from './timeRuler'

/** A task, or a change of the vehicle, on its row. */
export interface WorkRow {
  /** Of the task; of the node where it is a change of the vehicle. */
  readonly key: string
  /** What is planned of it: its ordering first, where it is bought. */
  readonly planned: readonly Planned[]
  readonly bars: readonly WorkBar[]
  /** It decides when all is done. */
  readonly isDeciding: boolean
}

/** From the end of one row's bars to the beginning of another's. */
export interface WorkLink {
  readonly from: number
  readonly to: number
  readonly isDeciding: boolean
}

/** All open work on the ruler of time. */
export interface WorkScene {
  readonly rows: readonly WorkRow[]
  readonly links: readonly WorkLink[]
  readonly ticks: readonly WorkTick[]
  /** Days shown. */
  readonly days: number
  /** The day that is wished; null where none is, or it lies beyond. */
  readonly wantedAt: number | null
}

/** The picture of a plan: a row a task, what is ordered with the way of its parts, and what waits for what. */
export function workScene(plan: WorkPlan, wanted?: Day): WorkScene {
  const chain = decidingChain(plan).map(({ planned }) => planned.node.id)
  const deciding = new Set(chain)
  const calendar = calendarOf(plan.crew)
  const keyOf = ({ node }: Planned) => node.task?.key ?? node.id
  const keys = [...new Set(plan.planned.map(keyOf))]
  const rows = keys.map((key): WorkRow => {
    const planned = plan.planned.filter((one) => keyOf(one) === key)
    return {
      key,
      planned,
      bars: barsOf(calendar, planned),
      isDeciding: planned.some(({ node }) => deciding.has(node.id)),
    }
  })
  const days = daysShown(plan)
  const wantedDay = wanted === undefined ? null : daysBetween(plan.first, wanted)
  return {
    rows,
    links: linksOf(rows, chain),
    ticks: ticksOf(plan),
    days,
    wantedAt: wantedDay !== null && wantedDay >= 0 && wantedDay < days ? wantedDay : null,
  }
}

/** A link decides where the chain goes from the one straight on to the other. */
function linksOf(rows: readonly WorkRow[], chain: readonly string[]): WorkLink[] {
  const rowOf = new Map(rows.flatMap(({ planned }, at) => planned.map(({ node }) => [node.id, at] as const)))
  return rows.flatMap(({ planned }, to) =>
    planned.flatMap(({ node }) =>
      node.after.flatMap((id) => {
        const from = rowOf.get(id)
        return from === undefined || from === to
          ? []
          : [{ from, to, isDeciding: chain.some((one, k) => one === id && chain[k + 1] === node.id) }]
      }),
    ),
  )
}
