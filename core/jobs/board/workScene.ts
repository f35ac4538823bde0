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

/**
 * The picture of a plan: a row a task, what is ordered with the way of its parts, and what waits for what.
 *
 * @param like - a picture of the same tasks, whose order and scale are kept while one of them is in the hand
 */
export function workScene(plan: WorkPlan, wanted?: Day, like?: WorkScene): WorkScene {
  const chain = decidingChain(plan).map(({ planned }) => planned.node.id)
  const follows = new Map(chain.map((id, k) => [id, chain[k + 1]] as const))
  const calendar = calendarOf(plan.crew)
  const byKey = new Map<string, Planned[]>()
  for (const key of like?.rows.map((row) => row.key) ?? []) byKey.set(key, [])
  for (const one of plan.planned) {
    const key = one.node.task?.key ?? one.node.id
    byKey.set(key, [...(byKey.get(key) ?? []), one])
  }
  const rows = [...byKey].map(([key, planned]): WorkRow => ({
    key,
    planned,
    bars: barsOf(calendar, planned),
    isDeciding: planned.some(({ node }) => follows.has(node.id)),
  }))
  const days = Math.max(daysShown(plan), like?.days ?? 0)
  const wantedDay = wanted === undefined ? null : daysBetween(plan.first, wanted)
  return {
    rows,
    links: linksOf(rows, follows),
    ticks: like?.days === days ? like.ticks : ticksOf(plan),
    days,
    wantedAt: wantedDay !== null && wantedDay >= 0 && wantedDay < days ? wantedDay : null,
  }
}

/** A link decides where the chain goes from the one straight on to the other. */
function linksOf(rows: readonly WorkRow[], follows: ReadonlyMap<string, string | undefined>): WorkLink[] {
  const rowOf = new Map(rows.flatMap(({ planned }, at) => planned.map(({ node }) => [node.id, at] as const)))
  return rows.flatMap(({ planned }, to) =>
    planned.flatMap(({ node }) =>
      node.after.flatMap((id) => {
        const from = rowOf.get(id)
        return from === undefined || from === to
          ? []
          : [{ from, to, isDeciding: follows.get(id) === node.id }]
      }),
    ),
  )
}
