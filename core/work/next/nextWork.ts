import { dayAfter, daysBetween, type Day } from '../../base/days'
import type { Removal } from '../../file/kinds/taskKinds'
import type { Task } from '../tasks/task'
import type { Planned, WorkPlan } from '../plan/planned'

/** Who is here now, and for how long. */
export interface Here {
  readonly hands: 1 | 2
  readonly hours: number
}

/** Something that can be begun. */
export interface Ready {
  readonly planned: Planned
  /** It takes longer than there is time now: part of it is done. */
  readonly isPart: boolean
}

/** Something that cannot be begun, and all that it waits for. */
export interface Blocked {
  readonly task: Task
  readonly waitsFor: readonly Task[]
  /** What of the vehicle has to come off, or go on. */
  readonly off: readonly Removal[]
  readonly on: readonly Removal[]
  /** Its parts come then. */
  readonly partsOn: Day | null
  /** It is put off until then. */
  readonly from: Day | null
  /** A second pair of hands is wanted. */
  readonly wantsHelp: boolean
  /** How many tasks wait for it, straight or through others. */
  readonly frees: number
}

export interface NextWork {
  /** What can be done here and now, what the plan begins first first. */
  readonly now: readonly Ready[]
  readonly blocked: readonly Blocked[]
}

/**
 * What can be done now with the hands that are here, as the vehicle stands, and what of the rest waits for what.
 *
 * @param today - parts that come later are not there
 */
export function nextWork(
  plan: WorkPlan,
  tasks: readonly Task[],
  removals: readonly Removal[],
  here: Here,
  today: Day,
): NextWork {
  const open = new Map(tasks.flatMap((task) => (task.isDone ? [] : [[task.key, task] as const])))
  const now: Ready[] = []
  const blocked: Blocked[] = []
  for (const planned of plan.planned) {
    const { task, part } = planned.node
    if (!task || (part === 'work' && task.sort === 'buy' && task.orderedAt === null)) continue
    const waits = waitsOf(planned, task)
    if (isFree(waits)) now.push({ planned, isPart: planned.node.hours.likely > here.hours })
    else blocked.push(waits)
  }
  return { now, blocked: blocked.sort((a, b) => b.frees - a.frees) }

  function waitsOf({ node }: Planned, task: Task): Blocked {
    const stands = (isOn: boolean) =>
      removals.filter(({ id, isOff }) => node.stands[id] === isOn && (isOff === true) === isOn)
    const isOnItsWay = node.part === 'work' && task.sort === 'buy'
    const leadDays = Math.ceil(node.leadDays?.likely ?? 0)
    const arrives = isOnItsWay && task.orderedAt !== null && leadDays > 0
    return {
      task,
      waitsFor: isOnItsWay ? [] : task.after.flatMap((key) => open.get(key) ?? []),
      off: stands(false),
      on: stands(true),
      partsOn: arrives ? dayAfter(plan.first, leadDays) : null,
      from: task.from !== null && daysBetween(today, task.from) > 0 ? task.from : null,
      wantsHelp: task.hands > here.hands,
      frees: freedBy(task.key, tasks),
    }
  }
}

const isFree = ({ waitsFor, off, on, partsOn, from, wantsHelp }: Blocked): boolean =>
  waitsFor.length + off.length + on.length === 0 && partsOn === null && from === null && !wantsHelp

/** How many open tasks wait for one, straight or through others. */
function freedBy(key: string, tasks: readonly Task[]): number {
  const freed = new Set<string>()
  const follow = (one: string): void => {
    for (const task of tasks)
      if (!task.isDone && task.after.includes(one) && !freed.has(task.key)) {
        freed.add(task.key)
        follow(task.key)
      }
  }
  follow(key)
  return freed.size
}
