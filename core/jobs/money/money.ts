import type { TaskSort } from '../../file/kinds/taskKinds'
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
  readonly all: Sums
}

const NOTHING: Sums = { spent: 0, ordered: 0, toCome: 0 }
const plus = (a: Sums, b: Sums): Sums => ({
  spent: a.spent + b.spent,
  ordered: a.ordered + b.ordered,
  toCome: a.toCome + b.toCome,
})

/** What a build costs: spent, ordered, to come. */
export function moneyOf(tasks: readonly Task[], rate: number | undefined): Money {
  const of = (sort: TaskSort): Sums =>
    tasks
      .filter((task) => task.sort === sort)
      .map((task) => sums(task, task.entry?.cost ?? 0))
      .reduce(plus, NOTHING)
  const bySort = { buy: of('buy'), fabricate: of('fabricate'), fit: of('fit') }
  const ownHours =
    rate === undefined
      ? null
      : tasks.map((task) => sums(task, hoursOf(task) * task.hands * rate)).reduce(plus, NOTHING)
  return { bySort, ownHours, all: Object.values(bySort).reduce(plus, ownHours ?? NOTHING) }
}

function sums(task: Task, cost: number): Sums {
  if (task.isDone) return { ...NOTHING, spent: cost }
  return task.orderedAt === null ? { ...NOTHING, toCome: cost } : { ...NOTHING, ordered: cost }
}

/** As long as it took, or as it likely takes. */
const hoursOf = ({ entry, hours, isDone }: Task): number =>
  (isDone ? entry?.tookH : undefined) ?? hours?.likely ?? 0
