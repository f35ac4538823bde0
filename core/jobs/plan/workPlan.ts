import type { Day } from '../../base/days'
import { andThen, unknown, type Known } from '../../base/known'
import type { CrewEntry } from '../../file/parts/crew'
import type { Removal } from '../../file/kinds/taskKinds'
import { handsPlan, type HandsPlan } from '../../plan/hands/handsPlan'
import { calendarOf } from '../../plan/hands/workCalendar'
import type { LiftOrder } from '../../plan/lifts/fewestLifts'
import type { Task } from '../tasks/task'
import { crewFrom } from './crewOf'
import { finishChance } from './finishChance'
import { lateTimes } from './lateTimes'
import { liftOrders, withMoves } from './moves'
import { likeliest, nodesOf, UNTOLD_H, type Node } from './nodes'
import type { Planned, WorkPlan } from './planned'
import { replan } from './replan'
import { toldBy } from './told'

export interface ToPlan {
  readonly tasks: readonly Task[]
  readonly removals: readonly Removal[]
  readonly crew: CrewEntry | undefined
  readonly today: Day
}

/** How long a plan is looked for: orders of work that are tried, ways to change the vehicle. */
export interface Looks {
  readonly plans: number
  readonly lifts: number
}
/** Enough to prove a dozen tasks; of more the best that was found, in a second. */
export const THOROUGH: Looks = { plans: 20_000, lifts: 60_000 }

/**
 * The plan of all open work; unknown without hands, without work, and where the work cannot be done as it is told.
 */
export function planWork({ tasks, removals, crew, today }: ToPlan, looks = THOROUGH): Known<WorkPlan> {
  const told = toldBy(tasks)
  const hands = andThen(crewFrom(crew, today), (from) =>
    told(() => ({ ...from, calendar: calendarOf(from.crew) })),
  )
  return andThen(hands, ({ calendar, ...from }) => {
    const nodes = nodesOf(tasks, { first: from.first, calendar })
    if (nodes.length === 0) return unknown('something that is still to be done', 'tasks')
    return told(() => planNodes({ ...from, untold: tasks.filter(isUntold) }, nodes, removals, looks))
  })
}

/** Of the orders with and without a thought for what comes off the vehicle, and for the wait for parts, the one that ends soonest. */
function planNodes(base: Base, nodes: readonly Node[], removals: readonly Removal[], looks: Looks): WorkPlan {
  const free = handsPlan(nodes.map(likeliest), base.crew, looks.plans)
  const orders = liftOrders(removals, nodes, inOrder(nodes, free.starts), looks.lifts)
  if (!orders) return early(planOf(base, nodes, free, null))
  const planned = ({
    order,
    isProven,
  }: {
    readonly order: LiftOrder
    readonly isProven: boolean
  }): WorkPlan => {
    const all = withMoves(removals, nodes, order)
    const moves = { count: order.moves.length, asItComes: orders.asPlanned.moves.length, isProven }
    return early(planOf(base, all, handsPlan(all.map(likeliest), base.crew, looks.plans), moves))
  }
  const { fewest, patient, asPlanned } = orders
  const isProven = fewest.bound >= fewest.price - UNTOLD_H
  return [
    planned({ order: fewest, isProven }),
    ...(patient ? [planned({ order: patient, isProven })] : []),
    planned({ order: asPlanned, isProven: false }),
  ].reduce(sooner)
}

/** Few draws tell which of two plans is more often late. */
const DRAWS = { count: 200, seed: 1 }

/** The plan that ends sooner; of two that end on the same day the one that four of five times does, and the first of two alike. */
function sooner(best: WorkPlan, one: WorkPlan): WorkPlan {
  if (one.finishDay !== best.finishDay) return one.finishH < best.finishH - UNTOLD_H ? one : best
  const [likely, other] = [best, one].map((plan) => finishChance(plan, undefined, DRAWS).likely)
  return other !== undefined && likely !== undefined && other < likely ? one : best
}

/** What a plan says besides its nodes. */
type Base = Pick<WorkPlan, 'first' | 'crew' | 'untold'>

const isUntold = ({ hours, sort, leadDays, isDone }: Task): boolean =>
  !isDone && (sort === 'buy' ? leadDays === null : hours === null)

/**
 * A plan of no idle hands, where it ends no later: what ends all says nothing of what may be done while parts are on their way. What can wait least is
 * begun first, as far as the end lets it.
 */
function early(plan: WorkPlan): WorkPlan {
  const late = lateTimes(plan)
  const latest = ({ node, endH }: Planned) => endH + (late.get(node.id)?.floatH ?? 0) - node.hours.likely
  const urgent = { ...plan, planned: plan.planned.toSorted((a, b) => latest(a) - latest(b)) }
  return [urgent, plan].map(packed).find(({ finishH }) => finishH <= plan.finishH + UNTOLD_H) ?? plan
}

function packed(plan: WorkPlan): WorkPlan {
  const { planned, finishH, finishDay } = replan(plan, new Map())
  return { ...plan, planned, finishH, finishDay }
}

const inOrder = (nodes: readonly Node[], starts: readonly number[]): string[] =>
  nodes
    .map(({ id }, at) => ({ id, start: starts[at] ?? NaN, at }))
    .sort((a, b) => a.start - b.start || a.at - b.at)
    .map(({ id }) => id)

function planOf(base: Base, nodes: readonly Node[], plan: HandsPlan, moves: WorkPlan['moves']): WorkPlan {
  const calendar = calendarOf(base.crew)
  const planned = nodes
    .map((node, at): Planned => {
      const startH = plan.starts[at] ?? NaN
      const endH = startH + node.hours.likely
      return { node, startH, endH, startDay: calendar.dayOfStart(startH), endDay: calendar.dayOfEnd(endH) }
    })
    .sort((a, b) => a.startH - b.startH)
  return {
    ...base,
    planned,
    finishH: plan.finish,
    finishDay: plan.finishDay,
    boundDay: calendar.dayOfEnd(Math.max(plan.path, plan.work)),
    isProven: plan.isProven && moves === null,
    moves,
  }
}
