import type { LogEntry } from '../../file/kinds/logKinds'
import type { TaskSort } from '../../file/kinds/taskKinds'
import { priceOf } from '../tasks/hurry'
import type { Task } from '../tasks/task'

/** What something costs, by how far it is. */
export interface Sums {
  /** Done, and so paid. */
  readonly spent: number
  /** Ordered, not here yet. */
  readonly ordered: number
  readonly toCome: number
}

export interface Money {
  readonly bySort: Readonly<Record<TaskSort, Sums>>
  /** One's own hours at what one is worth; null where nobody said. */
  readonly ownHours: Sums | null
  /** Of entries in the log that are of no task. */
  readonly logged: Sums
  readonly all: Sums
}

const NOTHING: Sums = { spent: 0, ordered: 0, toCome: 0 }
const plus = (a: Sums, b: Sums): Sums => ({
  spent: a.spent + b.spent,
  ordered: a.ordered + b.ordered,
  toCome: a.toCome + b.toCome,
})

/** What a build costs: spent, ordered, to come. */
export function moneyOf(
  tasks: readonly Task[],
  rate: number | undefined,
  log: readonly LogEntry[] = [],
): Money {
  const own = log.filter(({ sort }) => sort === 'note')
  const logged = own.map(({ cost = 0 }) => ({ ...NOTHING, spent: cost })).reduce(plus, NOTHING)
  const loggedH = own.reduce((sum, { hours = 0 }) => sum + hours, 0)
  const of = (sort: TaskSort): Sums =>
    tasks
      .filter((task) => task.sort === sort)
      .map((task) => sums(task, priceOf(task.entry) ?? 0))
      .reduce(plus, NOTHING)
  const bySort = { buy: of('buy'), fabricate: of('fabricate'), fit: of('fit') }
  const ownHours =
    rate === undefined
      ? null
      : tasks
          .map((task) => sums(task, hoursOf(task) * task.hands * rate))
          .reduce(plus, { ...NOTHING, spent: loggedH * rate })
  const all = [...Object.values(bySort), logged].reduce(plus, ownHours ?? NOTHING)
  return { bySort, ownHours, logged, all }
}

function sums(task: Task, cost: number): Sums {
  if (task.isDone) return { ...NOTHING, spent: cost }
  return task.orderedAt === null ? { ...NOTHING, toCome: cost } : { ...NOTHING, ordered: cost }
}

/** As long as it took, or as it likely takes. */
const hoursOf = ({ entry, hours, isDone }: Task): number =>
  (isDone ? entry?.tookH : undefined) ?? hours?.likely ?? 0
