import type { Day } from '../../base/days'
import { mapKnown } from '../../base/known'
import type { Build } from '../../file/build/build'
import { chosenSettings, evaluateBuild } from '../../model/evaluateBuild'
import { calendarOf } from '../../plan/hands/workCalendar'
import { dayOf } from '../../jobs/plan/crewOf'
import { decidingChain } from '../../jobs/plan/decides'
import type { FinishChance } from '../../jobs/plan/finishChance'
import { hurriesOf, type Hurry } from '../../jobs/plan/hurries'
import { lateTimes } from '../../jobs/plan/lateTimes'
import { planAnswer, type PlanAnswer } from '../../jobs/plan/planAnswer'
import type { Planned, WorkPlan } from '../../jobs/plan/planned'
import { tasksOf } from '../../jobs/tasks/buildTasks'
import type { Task } from '../../jobs/tasks/task'
import { taskName } from '../../jobs/tasks/taskName'
import { nodeName } from '../text/workText'
import { answered, type Answered } from './answeredJson'

/** Something that is planned, in its place. */
interface PlannedJson {
  readonly id: string
  /** Null for a change of the vehicle. */
  readonly task: string | null
  readonly name: string
  readonly begins: Day
  readonly ends: Day
  /** Working hours from the beginning of the first day. */
  readonly startH: number
  readonly endH: number
  /** How long it may wait with as many hands as are wanted. */
  readonly floatH: number
  /** The last day to order it. */
  readonly orderBy: Day | null
}

type TaskJson = Omit<Task, 'entry' | 'made'> & { readonly name: string; readonly madeBy: string | null }

/** What is to be done on a build and when, as the command line gives it. */
export interface PlanJson {
  readonly format: 'lurvan-plan'
  readonly version: 1
  readonly build: { readonly id: string; readonly name: string }
  readonly today: Day
  readonly tasks: readonly TaskJson[]
  readonly plan: Answered<{
    readonly first: Day
    readonly finish: Day
    /** Working hours from the beginning of the first day. */
    readonly finishH: number
    /** No plan ends before this day. */
    readonly bound: Day
    readonly isProven: boolean
    readonly moves: WorkPlan['moves']
    readonly planned: readonly PlannedJson[]
    /** What decides the end, one after the other, each with why it begins when it does. */
    readonly decides: readonly { readonly id: string; readonly by: string }[]
    readonly chance: FinishChance
    /** Tasks that have no hours, or are bought with no way: the end is no sooner than told. */
    readonly untold: readonly string[]
  }>
  /** What hurrying each thing brings that is not ordered yet, by its task. */
  readonly hurries: readonly (Omit<Hurry, 'task'> & { readonly task: string })[]
}

/** The tasks of a build at its chosen position, and their plan from a day on. */
export function planJson(build: Build, today: Day): PlanJson {
  const { checks } = evaluateBuild(build, chosenSettings(build))
  const tasks = tasksOf(build, checks.filter(({ verdict }) => verdict === 'out').length)
  const { removals = [], crew } = build
  const toPlan = { tasks, removals, crew, today }
  return {
    format: 'lurvan-plan',
    version: 1,
    build: { id: build.id, name: build.name },
    today,
    tasks: tasks.map(taskJson),
    plan: answered(mapKnown(planAnswer(toPlan), (answer) => answerJson(build, answer))),
    hurries: hurriesOf(toPlan).map(({ task, ...hurry }) => ({ ...hurry, task: task.key })),
  }
}

/** All of a task but what stands in the file or under another name. */
function taskJson(task: Task): TaskJson {
  const { made } = task
  const told = Object.fromEntries(Object.entries(task).filter(([key]) => key !== 'entry' && key !== 'made'))
  return { ...(told as Omit<Task, 'entry' | 'made'>), name: taskName(task), madeBy: made?.by ?? null }
}

function answerJson({ removals = [] }: Build, { plan, chance }: PlanAnswer) {
  const late = lateTimes(plan)
  const calendar = calendarOf(plan.crew)
  const plannedJson = ({ node, startH, endH, startDay, endDay }: Planned): PlannedJson => ({
    id: node.id,
    task: node.task?.key ?? null,
    name: nodeName(node, removals),
    begins: dayOf(plan, startDay),
    ends: dayOf(plan, endDay),
    startH,
    endH,
    floatH: late.get(node.id)?.floatH ?? 0,
    orderBy: late.get(node.id)?.orderBy ?? null,
  })
  return {
    first: plan.first,
    finish: dayOf(plan, calendar.dayOfEnd(plan.finishH)),
    finishH: plan.finishH,
    bound: dayOf(plan, plan.boundDay),
    isProven: plan.isProven,
    moves: plan.moves,
    planned: plan.planned.map(plannedJson),
    decides: decidingChain(plan).map(({ planned, by }) => ({ id: planned.node.id, by })),
    chance,
    untold: plan.untold.map(({ key }) => key),
  }
}
