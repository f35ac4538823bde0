import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { CrewEntry } from '~~/core/file/parts/crew'
import {
  TASK_SORTS,
  type Estimate,
  type Removal,
  type TaskEntry,
  type TaskSort,
} from '~~/core/file/kinds/taskKinds'
import { MADE_LISTS } from '~~/core/file/kinds/madePart'
import { moneyOf } from '~~/core/jobs/money/money'
import { tasksOf } from '~~/core/jobs/tasks/buildTasks'
import type { Task } from '~~/core/jobs/tasks/task'
import { MAKER_FACTS } from '~~/core/jobs/tasks/makers'
import { otherwiseHurried } from '~~/core/jobs/tasks/hurry'
import { taskName } from '~~/core/jobs/tasks/taskName'
import { newId } from '../storage/newId'
import { today } from '../storage/today'
import { tasks as words } from '../texts/tasks'
import { assign } from './assign'
import { buildBy, WORK_PARTS } from './buildParts'
import { useEvaluation } from './evaluation'
import { useWorkbench } from './workbench'

type Changed<T> = { readonly [K in keyof T]?: T[K] | undefined }

const isPartList = (list: string): list is (typeof MADE_LISTS)[number] =>
  (MADE_LISTS as readonly string[]).includes(list)

/** What is to be done on the open build, by whom and when. */
export const useTasks = defineStore('tasks', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const build = buildBy(() => workbench.build, WORK_PARTS)
  const outCount = computed(
    () => evaluation.current?.checks.filter(({ verdict }) => verdict === 'out').length ?? 0,
  )
  const all = computed<readonly Task[]>(() => (build.value ? tasksOf(build.value, outCount.value) : []))
  const open = computed(() => all.value.filter(({ isDone }) => !isDone))
  const done = computed(() => all.value.filter(({ isDone }) => isDone))
  const removals = computed<readonly Removal[]>(() => build.value?.removals ?? [])
  const crew = computed(() => build.value?.crew)
  const money = computed(() => moneyOf(all.value, crew.value?.rate, workbench.build?.log))
  const taskOf = (key: string): Task | null => all.value.find((task) => task.key === key) ?? null

  function add(name: string, sort: TaskSort, hours?: Estimate, leadDays?: Estimate): string {
    const id = newId()
    workbench.change('Add a task', (draft) => {
      const entry = { id, name, sort, ...(hours && { hours }), ...(leadDays && { leadDays }) }
      draft.tasks = [...(draft.tasks ?? []), structuredClone(entry)]
    })
    return id
  }

  /** Says more of a task; of one that the build makes an entry is begun. */
  function change(
    key: string,
    changed: Changed<Omit<TaskEntry, 'id' | 'of'>>,
    label = 'Change a task',
  ): void {
    const task = taskOf(key)
    if (!task) return
    const fresh = { id: newId(), name: taskName(task).slice(0, 200), sort: task.sort, of: key }
    workbench.change(label, (draft) => {
      const list = (draft.tasks ??= [])
      if (task.made && !list.some(({ of }) => of === key)) list.push({ ...fresh })
      assign(
        list.find((entry) => (task.made ? entry.of === key : entry.id === key)),
        changed,
      )
    })
  }

  /** Takes a task of the builder's own away, and from those that wait for it. */
  function remove(key: string): void {
    workbench.change('Delete a task', (draft) => {
      draft.tasks = (draft.tasks ?? []).filter(({ id, of }) => of !== undefined || id !== key)
      for (const entry of draft.tasks) if (entry.after) entry.after = entry.after.filter((one) => one !== key)
    })
  }

  /** Says that a task is done: what the build keeps of its thing says so, all else its own entry. */
  function markDone(key: string, isDone = true): void {
    const task = taskOf(key)
    const { by, thing } = task?.made ?? {}
    const day = isDone ? today() : undefined
    if (thing && isPartList(thing.list) && (by === 'make' || by === 'fit')) {
      const { list, id } = thing
      const state = by === 'make' ? (isDone ? 'welded' : 'tacked') : isDone ? 'fitted' : 'painted'
      workbench.change(isDone ? 'Say a task is done' : 'Say a task is not done', (draft) => {
        const part = (draft[list] as { id: string; state?: string }[] | undefined)?.find(
          (one) => one.id === id,
        )
        if (part) part.state = state
      })
    } else if (thing?.list === 'temporaries')
      workbench.change(isDone ? 'Say a task is done' : 'Say a task is not done', (draft) => {
        assign(
          draft.temporaries?.find(({ id }) => id === thing.id),
          { closedAt: day },
        )
      })
    else if (mayTick(task))
      change(key, { doneAt: day }, isDone ? 'Say a task is done' : 'Say a task is not done')
  }
  /** Whether the builder says that it is done; else the build tells by itself. */
  const mayTick = (task: Task | null): boolean =>
    task !== null && (task.made === null || MAKER_FACTS[task.made.by].isDoneBy === 'builder')

  const order = (key: string): void => change(key, { orderedAt: today() }, 'Order something')

  /** What may be hurried: both ways are told and it is not ordered yet. */
  const canHurry = (task: Task): boolean => otherwiseHurried(task) !== null
  /** Pays for having it sooner, or not. */
  function hurry(key: string, isPaid: boolean): void {
    const told = taskOf(key)?.entry?.hurry
    if (told)
      change(
        key,
        { hurry: { ...told, isPaid: isPaid || undefined } },
        isPaid ? 'Hurry an order' : 'Do not hurry an order',
      )
  }

  function addRemoval(): void {
    const id = newId()
    workbench.change('Add something that comes off', (draft) => {
      draft.removals = [...(draft.removals ?? []), { id, name: words.newRemoval, offH: 1, onH: 1 }]
    })
  }
  function changeRemoval(id: string, changed: Changed<Omit<Removal, 'id'>>): void {
    workbench.change('Change something that comes off', (draft) => {
      assign(
        draft.removals?.find((one) => one.id === id),
        changed,
      )
    })
  }
  function removeRemoval(id: string): void {
    workbench.change('Delete something that comes off', (draft) => {
      draft.removals = (draft.removals ?? []).filter((one) => one.id !== id)
      for (const one of draft.removals) if (one.once) one.once = one.once.filter((other) => other !== id)
      for (const task of draft.tasks ?? []) {
        if (task.present) task.present = task.present.filter((other) => other !== id)
        if (task.absent) task.absent = task.absent.filter((other) => other !== id)
      }
    })
  }

  /** Says who works when; an evening of two hours and a Saturday is where one begins. */
  function beginCrew(): void {
    workbench.change('Say who works when', (draft) => {
      draft.crew ??= { hands: 1, hours: [...words.firstHours] }
    })
  }
  function changeCrew(changed: Changed<CrewEntry>): void {
    workbench.change('Change who works when', (draft) => {
      if (draft.crew) assign(draft.crew, changed)
    })
  }

  return {
    all,
    open,
    done,
    removals,
    crew,
    money,
    sorts: TASK_SORTS,
    taskOf,
    mayTick,
    add,
    change,
    remove,
    markDone,
    order,
    canHurry,
    hurry,
    addRemoval,
    changeRemoval,
    removeRemoval,
    beginCrew,
    changeCrew,
  }
})
