import type { Day } from '../../base/days'
import { fixed } from '../../base/units/format'
import type { Removal } from '../../file/kinds/taskKinds'
import type { Blocked, Ready } from '../../jobs/next/nextWork'
import type { ChainLink } from '../../jobs/plan/decides'
import type { FinishChance } from '../../jobs/plan/finishChance'
import type { Node } from '../../jobs/plan/nodes'
import type { Planned, WorkPlan } from '../../jobs/plan/planned'
import { dayOf } from '../../jobs/plan/crewOf'
import type { Task } from '../../jobs/tasks/task'
import { taskName } from '../../jobs/tasks/taskName'
import { sentenceCase } from './checkText'
import { dayText, daysText } from './dayText'

const MINUTES = 60
/** Hours as one says them: minutes where there is less than one. */
export const hoursText = (hours: number): string =>
  hours < 1 ? `${fixed(hours * MINUTES, 0)} min` : `${fixed(hours, hours % 1 === 0 ? 0 : 1)} h`

/** What is planned of a task, or a change of the vehicle. */
export function nodeName({ task, part, stands }: Node, removals: readonly Removal[]): string {
  if (task) {
    if (part === 'order') return `order ${taskName(task)}`
    return task.sort === 'buy' ? `take in and measure ${taskName(task)}` : taskName(task)
  }
  return Object.entries(stands)
    .map(([id, isOn]) => `${removals.find((one) => one.id === id)?.name ?? id} ${isOn ? 'back on' : 'off'}`)
    .join(', ')
}

/** A row of the plan: its task, whatever of it is planned. */
export function rowName(planned: readonly Planned[], removals: readonly Removal[]): string {
  const [first] = planned
  if (!first) return ''
  return first.node.task ? taskName(first.node.task) : nodeName(first.node, removals)
}

/** How long what can be begun takes. */
export function readyText({ node, isPart }: Ready): string {
  if (node.task && node.part === 'work' && node.task.sort !== 'buy' && node.task.hours === null)
    return 'no time yet'
  const hours = hoursText(node.hours.likely)
  return isPart ? `begin it: ${hours} in all` : hours
}

/** When it drives. */
export function drivesText(plan: WorkPlan): string {
  const day = dayText(dayOf(plan, plan.finishDay), plan.first)
  const sooner = plan.untold.length > 0 ? 'no sooner than ' : 'on '
  const untold = plan.untold.map((task) => quoted(taskName(task)))
  const why = untold.length > 0 ? `: ${few(untold)} ${untold.length === 1 ? 'has' : 'have'} no time yet` : ''
  return `Drives ${sooner}${day}${why}.`
}

const WHY_NO_SOONER = 'with these hands no order ends sooner'

/** How far the plan is proven: its bound beside it. */
export function provenText(plan: WorkPlan): string {
  if (plan.isProven) return sentenceCase(`${WHY_NO_SOONER}.`)
  if (plan.boundDay >= plan.finishDay) return sentenceCase(`${WHY_NO_SOONER}.`)
  return `No order of this work ends before ${dayText(dayOf(plan, plan.boundDay), plan.first)}; this is the best that was found.`
}

/** How likely the end is. */
export function chanceText(
  { even, likely, byPlan, byWanted }: FinishChance,
  from: Day,
  wanted?: Day,
): string {
  const by =
    byWanted === null || wanted === undefined ? '' : ` By ${dayText(wanted, from)}: ${shareText(byWanted)}.`
  const half = even === likely ? '' : `Every other time by ${dayText(even, from)}. `
  return `By the day of the plan: ${shareText(byPlan)}. ${half}Four of five times by ${dayText(likely, from)}.${by}`
}
const shareText = (share: number): string => {
  const percent = Math.round(share * 100)
  if (percent >= 100 && share < 1) return 'more than 99 %'
  if (percent === 0 && share > 0) return 'less than 1 %'
  return `${percent} %`
}

/** Changes of the vehicle, and what thinking of them saves. */
export function movesText(moves: NonNullable<WorkPlan['moves']>): string {
  const { count, asItComes } = moves
  const changes = count === 1 ? '1 change of the vehicle' : `${count} changes of the vehicle`
  if (count === 0) return 'Nothing comes off the vehicle and nothing goes back on.'
  return asItComes > count
    ? `${changes}; taking the work as it comes it would be ${asItComes}.`
    : `${changes}${moves.isProven ? ', no order has fewer hours of them' : ''}.`
}

/** What decides the end, in one sentence. */
export function decidesText(chain: readonly ChainLink[], removals: readonly Removal[]): string {
  const parts = chain.filter(({ by }) => by === 'parts')
  const longest = parts.reduce<ChainLink | null>(
    (most, link) => (leadOf(link) > (most ? leadOf(most) : 0) ? link : most),
    null,
  )
  if (longest?.planned.node.task) {
    const name = taskName(longest.planned.node.task)
    return `The way of ${name} decides, ${daysText(leadOf(longest))}: a week later there is a week later here.`
  }
  const last = chain.findLast(({ by }) => by === 'helper')
  if (last && last === chain.at(-1))
    return `The day on which somebody helps decides: ${quoted(nodeName(last.planned.node, removals))} takes two.`
  const hands = chain.filter(({ by }) => by === 'hands').length
  if (hands >= chain.length / 2) return 'The hours decide: with a second pair of hands it drives sooner.'
  const names = chain.map(({ planned }) => nodeName(planned.node, removals))
  return `What decides, one after the other: ${few(names)}.`
}
const leadOf = ({ planned }: ChainLink): number => Math.ceil(planned.node.leadDays?.likely ?? 0)

/** What a task waits for. */
export function waitsText({ waitsFor, off, on, partsOn, from, wantsHelp }: Blocked, today: Day): string {
  return [
    ...(waitsFor.length > 0 ? [few(waitsFor.map((task) => quoted(taskName(task))))] : []),
    ...off.map(({ name }) => `${name} off`),
    ...on.map(({ name }) => `${name} back on`),
    ...(partsOn === null ? [] : [`parts, ${dayText(partsOn, today)}`]),
    ...(from === null ? [] : [`its day, ${dayText(from, today)}`]),
    ...(wantsHelp ? ['a second pair of hands'] : []),
  ].join('; ')
}

const quoted = (name: string): string => `“${name}”`
const MOST_NAMES = 3
const few = (names: readonly string[]): string =>
  names.length > MOST_NAMES
    ? `${names.slice(0, MOST_NAMES).join(', ')} and ${names.length - MOST_NAMES} more`
    : names.join(', ')

/** How many tasks stand in the plan by hours that such work usually takes. */
export function usualText(tasks: readonly Task[]): string | null {
  const usual = tasks.filter(({ isUsual, isDone }) => isUsual && !isDone).length
  if (usual === 0) return null
  return usual === 1 ? 'One task stands there by usual hours.' : `${usual} tasks stand there by usual hours.`
}
