import { fixed } from '../../base/units/format'
import type { CsvTable } from '../../measure/csv/readingTable'
import { dayOf } from '../plan/crewOf'
import { lateTimes } from '../plan/lateTimes'
import { orderKey } from '../plan/nodes'
import type { WorkPlan } from '../plan/planned'
import { hurriedBy, priceOf } from '../tasks/hurry'
import type { Task } from '../tasks/task'
import { taskName } from '../tasks/taskName'

const HEADER = [
  ...(['task', 'sort', 'done', 'hours low', 'hours likely', 'hours high', 'usual hours'] as const),
  ...([
    'days on its way',
    'hands',
    'hot work',
    'begins',
    'ends',
    'may wait [h]',
    'order by',
    'cost',
    'hurried',
  ] as const),
]

/** All tasks of a build as a table, with their days where there is a plan; days as 2026-11-29. */
export function planTable(tasks: readonly Task[], plan: WorkPlan | null): CsvTable {
  const late = plan && lateTimes(plan)
  return { header: HEADER, rows: tasks.map(rowOf) }

  function rowOf(task: Task): string[] {
    const planned = plan?.planned.filter(({ node }) => node.task?.key === task.key) ?? []
    const day = (at: number | undefined) => (plan && at !== undefined ? dayOf(plan, at) : '')
    const { low, likely, high } = task.hours ?? {}
    const hours = [low, likely, high].map((one) => (one === undefined ? '' : fixed(one, 2)))
    const price = priceOf(task.entry)
    const slack = late?.get(task.key)?.floatH
    return [
      taskName(task),
      task.sort,
      yes(task.isDone),
      ...hours,
      yes(task.isUsual),
      task.leadDays ? fixed(task.leadDays.likely, 0) : '',
      fixed(task.hands, 0),
      yes(task.isHot),
      day(planned[0]?.startDay),
      day(planned.at(-1)?.endDay),
      slack === undefined ? '' : fixed(slack, 2),
      late?.get(orderKey(task.key))?.orderBy ?? '',
      price === undefined ? '' : fixed(price, 2),
      yes(hurriedBy(task.entry) !== null),
    ]
  }
}
const yes = (is: boolean): string => (is ? 'yes' : 'no')
