import { dayAfter, daysBetween, type Day } from '../../base/days'
import type { Removal } from '../../file/kinds/taskKinds'
import type { Task } from '../tasks/task'
import { calendarOf } from '../../plan/hands/workCalendar'
import { nodesOf, type Node } from '../plan/nodes'
import type { WorkPlan } from '../plan/planned'

/** Who is here now, and for how long. */
export interface Here {
  readonly hands: 1 | 2
  readonly hours: number
}

/** Something that can be begun. */
export interface Ready {
  readonly node: Node
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

/** Of what it is said what can be done now. */
export interface ToDo {
  readonly tasks: readonly Task[]
  readonly removals: readonly Removal[]
  /** Null while nobody said who works when: what is to be done then stands in its own order. */
  readonly plan: WorkPlan | null
  /** Parts that come later are not there. */
  readonly today: Day
}

/** Any week does where only the order is asked. */
const ANY_WEEK = calendarOf({ hours: [1, 1, 1, 1, 1, 1, 1] })

/** What can be done now with the hands that are here, as the vehicle stands, and what of the rest waits for what. */
export function nextWork({ tasks, removals, plan, today }: ToDo, here: Here): NextWork {
  const first = plan?.first ?? today
  const nodes = plan?.planned.map(({ node }) => node) ?? nodesOf(tasks, { first, calendar: ANY_WEEK })
  const open = new Map(tasks.flatMap((task) => (task.isDone ? [] : [[task.key, task] as const])))
  const now: Ready[] = []
  const blocked: Blocked[] = []
  for (const node of nodes) {
    const { task, part } = node
    if (!task || (part === 'work' && task.sort === 'buy' && task.orderedAt === null)) continue
    const waits = waitsOf(node, task)
    if (isFree(waits)) now.push({ node, isPart: node.hours.likely > here.hours })
    else blocked.push(waits)
  }
  return { now, blocked: blocked.sort((a, b) => b.frees - a.frees) }

  function waitsOf(node: Node, task: Task): Blocked {
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
      partsOn: arrives ? dayAfter(first, leadDays) : null,
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
