import { daysBetween, type Day } from '../../base/days'
import type { Estimate } from '../../file/kinds/taskKinds'
import type { UncertainTask } from '../../plan/hands/chanceInOrder'
import type { WorkCalendar } from '../../plan/hands/workCalendar'
import type { Task } from '../tasks/task'

/** What is planned of a task: its work, the ordering of what is bought, or a change of the vehicle. */
export interface Node extends UncertainTask {
  /** The task it is of; null for a change of the vehicle. */
  readonly task: Task | null
  readonly part: 'work' | 'order' | 'move'
  /** How the vehicle must stand for it: on by its removal. */
  readonly stands: Readonly<Record<string, boolean>>
}

const minutes = (low: number, likely: number, high: number): Estimate => ({
  low: low / 60,
  likely: likely / 60,
  high: high / 60,
})
/** What it usually takes to order something, and to take it in and measure it. */
export const ORDERING_H = minutes(5, 15, 45)
export const TAKING_IN_H = minutes(5, 15, 30)
/** A task of which nobody said how long it takes stands in a plan so long. */
export const UNTOLD_H = 1e-3
const UNTOLD: Estimate = { low: UNTOLD_H, likely: UNTOLD_H, high: UNTOLD_H }
/** Less is no time. */
const LEAST_H = 1 / 3600

export const orderKey = (key: string): string => `${key}/order`

/** Where a plan begins: what is done before is left out. */
export interface NodeSite {
  readonly first: Day
  readonly calendar: WorkCalendar
}

/** All that is still to be planned of tasks. */
export function nodesOf(tasks: readonly Task[], site: NodeSite): Node[] {
  const open = new Set(tasks.flatMap(({ key, isDone }) => (isDone ? [] : [key])))
  return tasks.filter(({ isDone }) => !isDone).flatMap((task) => nodesOfTask(task, open, site))
}

function nodesOfTask(task: Task, open: ReadonlySet<string>, { first, calendar }: NodeSite): Node[] {
  const after = task.after.filter((key) => open.has(key))
  const fromDay = task.from === null ? 0 : Math.max(0, daysBetween(first, task.from))
  const redo = (task.entry?.redoPercent ?? 0) / 100
  const common = { task, hands: task.hands, notBefore: calendar.atDay(fromDay), redo }
  const stands = Object.fromEntries([
    ...task.present.map((id) => [id, true] as const),
    ...task.absent.map((id) => [id, false] as const),
  ])
  if (task.sort !== 'buy')
    return [{ ...common, id: task.key, after, hours: workHours(task.hours), part: 'work', stands }]
  const leadDays = task.leadDays ?? { low: 0, likely: 0, high: 0 }
  const arrival = {
    ...common,
    id: task.key,
    hours: TAKING_IN_H,
    part: 'work',
    stands: {},
  } as const
  if (task.orderedAt !== null) {
    const passed = daysBetween(task.orderedAt, first)
    return [{ ...arrival, after: [], leadDays: later(leadDays, passed) }]
  }
  const ordering = orderKey(task.key)
  return [
    {
      ...common,
      redo: 0,
      id: ordering,
      after,
      hours: workHours(task.hours ?? ORDERING_H),
      part: 'order',
      stands: {},
    },
    { ...arrival, after: [ordering], orderAfter: ordering, leadDays, notBefore: 0 },
  ]
}

function workHours(hours: Estimate | null): Estimate {
  if (!hours) return UNTOLD
  const { low, likely, high } = hours
  return { low: Math.max(LEAST_H, low), likely: Math.max(LEAST_H, likely), high: Math.max(LEAST_H, high) }
}

/** What is left of a way of parts so many days after they were ordered. */
const later = ({ low, likely, high }: Estimate, passed: number): Estimate => ({
  low: Math.max(0, low - passed),
  likely: Math.max(0, likely - passed),
  high: Math.max(0, high - passed),
})

/** As the hands see it, with the likeliest times. */
export const likeliest = ({ hours, leadDays, ...node }: Node) => ({
  ...node,
  hours: hours.likely,
  leadDays: Math.ceil(leadDays?.likely ?? 0),
})
