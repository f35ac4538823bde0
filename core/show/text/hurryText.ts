import type { Day } from '../../base/days'
import { fixed } from '../../base/units/format'
import type { Hurry } from '../../jobs/plan/hurries'
import { taskName } from '../../jobs/tasks/taskName'
import { sentenceCase } from './checkText'
import { dayText, daysText } from './dayText'

/** What hurrying something brings, or has brought, in one sentence. */
export function hurryText(
  { task, cost, isPaid, hurried, unhurried, sooner }: Hurry,
  today: Day,
  money = '',
): string {
  const sum = `${fixed(cost, 0)} ${money}`.trim()
  const name = taskName(task)
  if (isPaid)
    return sentenceCase(
      sooner > 0
        ? `${name} is hurried for ${sum}; without that it would drive on ${dayText(unhurried, today)}, ${daysText(sooner)} later.`
        : `${name} is hurried for ${sum}, and it would drive no later without that.`,
    )
  return sentenceCase(
    sooner > 0
      ? `${name} can be hurried for ${sum}: it would drive on ${dayText(hurried, today)}, ${daysText(sooner)} sooner.`
      : `${name} can be hurried for ${sum}, but it would drive no sooner: something else decides.`,
  )
}
