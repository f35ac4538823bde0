import type { Build } from '../file/build/build'
import type { TaskEntry } from '../file/kinds/taskKinds'
import { tasksOf } from '../jobs/tasks/buildTasks'
import type { WorkPlan } from '../jobs/plan/planned'
import { planWork } from '../jobs/plan/workPlan'
import { changedDemo } from './builds'

/** A Monday. */
export const MONDAY = '2026-11-30'

const estimate = (likely: number) => ({ low: likely, likely, high: likely })

/** A task of the builder's own that takes just so long. */
export const ownTask = (id: string, hours: number, more: Partial<TaskEntry> = {}): TaskEntry => ({
  id,
  name: `task ${id}`,
  sort: 'fit',
  hours: estimate(hours),
  ...more,
})

/** Something bought that is on its way just so many days. */
export const bought = (id: string, leadDays: number, more: Partial<TaskEntry> = {}): TaskEntry => ({
  ...ownTask(id, 0.5),
  sort: 'buy',
  leadDays: estimate(leadDays),
  ...more,
})

/** A build with tasks of the builder's own alone; somebody works two hours on every evening. */
export const workBuild = (tasks: readonly TaskEntry[], more: Partial<Build> = {}): Build => ({
  ...changedDemo((raw) => {
    raw.crossmembers = raw.plates = raw.copedTubes = raw.pieces = raw.welds = raw.cutouts = raw.temporaries = []
    raw.tasks = tasks
    raw.crew = { hands: 1, hours: [2, 2, 2, 2, 2, 2, 2] }
  }),
  ...more,
})

/** Its plan from a Monday on. */
export function planOf(build: Build): WorkPlan {
  const { removals = [], crew } = build
  const plan = planWork({ tasks: tasksOf(build, 0), removals, crew, today: MONDAY })
  if (!plan.known) throw new Error(plan.missing.map(({ what }) => what).join('; '))
  return plan.value
}
