import type { Build } from '../../file/build/build'
import type { Estimate, TaskEntry } from '../../file/kinds/taskKinds'
import { MAKER_FACTS } from './makers'
import { madeKey, madeTasks, type MadeTask } from './madeTasks'
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
        ...told(entry, sort),
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

const told = (entry: TaskEntry | null, sort: Task['sort']) => ({
  entry,
  sort,
  hands: entry?.hands === 2 ? (2 as const) : (1 as const),
  leadDays: sort === 'buy' ? (entry?.leadDays ?? null) : null,
  present: entry?.present ?? [],
  absent: entry?.absent ?? [],
  from: entry?.from ?? null,
  orderedAt: entry?.orderedAt ?? null,
})

/** A part is fitted after it is made; else after all that its maker waits for. */
function madeBefore(made: readonly MadeTask[], { by, thing }: MadeTask): string[] {
  const { after } = MAKER_FACTS[by]
  const own = by === 'fit' ? made.filter((one) => one.by === 'make' && one.thing?.id === thing?.id) : []
  return [...own, ...made.filter((one) => after.includes(one.by))].map(madeKey)
}
