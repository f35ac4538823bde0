import type { Estimate, TaskEntry } from '../../file/kinds/taskKinds'
import type { Task } from './task'

/** What it takes to have something sooner. */
export interface HurryOffer {
  /** From ordering to arrival, hurried. */
  readonly leadDays: Estimate
  /** What hurrying costs besides the price. */
  readonly cost: number
}

/** How something could be hurried; null where either way, or what hurrying costs, was not said. */
export const hurryOffer = (entry: TaskEntry | null): HurryOffer | null => {
  const { leadDays, cost } = entry?.hurry ?? {}
  return entry?.leadDays && leadDays && cost !== undefined ? { leadDays, cost } : null
}

/** How something is hurried; null where it is not. */
export const hurriedBy = (entry: TaskEntry | null): HurryOffer | null =>
  entry?.hurry?.isPaid === true ? hurryOffer(entry) : null

/** How long it is on its way, hurried or not; null where nobody said. */
export const leadDaysOf = (entry: TaskEntry | null): Estimate | null =>
  hurriedBy(entry)?.leadDays ?? entry?.leadDays ?? null

/** What it costs, with what hurrying it costs; undefined where nobody said. */
export const priceOf = (entry: TaskEntry | null): number | undefined =>
  entry?.cost === undefined ? hurriedBy(entry)?.cost : entry.cost + (hurriedBy(entry)?.cost ?? 0)

/** The same task, hurried where it is not and not hurried where it is; null where it cannot be, or is ordered. */
export function otherwiseHurried(task: Task): Task | null {
  const { entry, orderedAt, isDone, sort } = task
  const offer = hurryOffer(entry)
  if (!offer || !entry?.hurry || sort !== 'buy' || orderedAt !== null || isDone) return null
  const other = { ...entry, hurry: { ...entry.hurry, isPaid: entry.hurry.isPaid !== true } }
  return { ...task, entry: other, leadDays: leadDaysOf(other) }
}
