import type { Build } from '../../file/build/build'
import type { Estimate, TaskEntry } from '../../file/kinds/taskKinds'
import type { Day } from '../../base/days'
import type { OrderWhen } from '../../file/kinds/orderKinds'
import { MAKER_FACTS, type Maker } from './makers'
import { madeKey, madeTasks, type MadeTask } from './madeTasks'
import { leadDaysOf } from './hurry'
import type { Task } from './task'

/**
 * All that is to be done on a build, what the build makes first: each with what the builder says of it, who goes before what it says.
 *
 * @param outCount - checks that are out as the build stands
 */
export function tasksOf(build: Build, outCount: number): Task[] {
  const entries = build.tasks ?? []
  const made = madeTasks(build, outCount)
  const own = entries.filter(({ of }) => of === undefined)
  const keys = new Set([...made.map(madeKey), ...own.map(({ id }) => id)])
  const there = (after: readonly string[], key: string) => [
    ...new Set(after.filter((one) => keys.has(one) && one !== key)),
  ]
  return [
    ...made.map((one): Task => {
      const key = madeKey(one)
      const entry = entries.find(({ of }) => of === key) ?? null
      const { sort, usualH, isHot } = MAKER_FACTS[one.by]
      return {
        key,
        made: one,
        ...told(entry, sort, one.ordering?.at),
        hours: entry?.hours ?? times(usualH, one.count),
        isUsual: entry?.hours === undefined,
        isHot: entry?.isHot ?? isHot,
        after: there([...madeBefore(made, one), ...(entry?.after ?? [])], key),
        isDone: one.isDone || (MAKER_FACTS[one.by].isDoneBy === 'builder' && entry?.doneAt !== undefined),
      }
    }),
    ...own.map((entry): Task => ({
      key: entry.id,
      made: null,
      ...told(entry, entry.sort),
      hours: entry.hours ?? null,
      isUsual: false,
      isHot: entry.isHot ?? false,
      after: there(entry.after ?? [], entry.id),
      isDone: entry.doneAt !== undefined,
    })),
  ]
}

const times = ({ low, likely, high }: Estimate, count: number): Estimate => ({
  low: low * count,
  likely: likely * count,
  high: high * count,
})

const told = (
  entry: TaskEntry | null,
  sort: Task['sort'],
  orderedAt: Day | null | undefined = undefined,
) => ({
  entry,
  sort,
  hands: entry?.hands === 2 ? (2 as const) : (1 as const),
  leadDays: sort === 'buy' ? leadDaysOf(entry) : null,
  present: entry?.present ?? [],
  absent: entry?.absent ?? [],
  from: entry?.from ?? null,
  orderedAt: orderedAt === undefined ? (entry?.orderedAt ?? null) : orderedAt,
})

/** What has to be done before a sheet goes out, by what its figures rest on. */
const BEFORE_ORDER: Readonly<Record<OrderWhen, readonly Maker[]>> = {
  now: [],
  mounts: ['measure', 'again', 'cure', 'make'],
  ride: ['measure', 'again', 'cure', 'make', 'weld', 'fit'],
}
/** A thing is fitted after it is made, or came. */
const HERE_BY: Readonly<Partial<Record<Maker, Maker>>> = { fit: 'make', install: 'order' }

function madeBefore(made: readonly MadeTask[], { by, thing, ordering }: MadeTask): string[] {
  const after = ordering ? BEFORE_ORDER[ordering.when] : MAKER_FACTS[by].after
  const own = made.filter((one) => one.by === HERE_BY[by] && one.thing?.id === thing?.id)
  return [...own, ...made.filter((one) => after.includes(one.by))].map(madeKey)
}
