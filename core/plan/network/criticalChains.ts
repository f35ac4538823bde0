import { leadOf, SAME, type LongestPath, type PathTask, type TimedTask } from './longestPath'
import { linked, waitsFor, type Linked } from './network'

/** A link of a chain that decides the end: a task, or the way of its parts. */
export interface PathLink {
  readonly id: string
  readonly isParts: boolean
}

/** More chains than anybody reads. */
const MOST_CHAINS = 50

/** Every unbroken chain of what drives what, from the start to a task that ends last; the first fifty of them. */
export function criticalChains(
  tasks: readonly TimedTask[],
  { tasks: planned, finish }: LongestPath,
): PathLink[][] {
  const { links } = linked(tasks)
  const isLast = (at: number) => (planned[at]?.earlyFinish ?? NaN) >= finish - SAME
  const isDriving = (at: number) =>
    links.some(
      (link) =>
        waitsFor(link).includes(at) && planned[link.at]?.isCritical && drives(planned, links, at, link.at),
    )
  const chains: PathLink[][] = []
  const back = (at: number, rest: readonly PathLink[]): void => {
    const [task, link] = [planned[at], links[at]]
    if (!task || !link || !task.isCritical || chains.length === MOST_CHAINS) return
    const chain = [{ id: task.id, isParts: false }, ...rest]
    for (const driver of task.drivers) {
      if (driver.by === 'start') chains.push(chain)
      if (driver.by === 'task')
        back(
          links.findIndex((one) => one.task.id === driver.id),
          chain,
        )
      if (driver.by !== 'parts') continue
      const ordered = leadOf(link.task) > 0 ? [{ id: task.id, isParts: true }, ...chain] : chain
      if (link.orderAfter === null) chains.push(ordered)
      else back(link.orderAfter, ordered)
    }
  }
  planned.forEach((task, at) => task.isCritical && isLast(at) && !isDriving(at) && back(at, []))
  return chains
}

/** True where a task fixes the early start of another. */
function drives(
  planned: readonly PathTask[],
  links: readonly Linked<TimedTask>[],
  at: number,
  other: number,
): boolean {
  const id = planned[at]?.id
  return (planned[other]?.drivers ?? []).some((driver) =>
    driver.by === 'task' ? driver.id === id : driver.by === 'parts' && links[other]?.orderAfter === at,
  )
}
