import { CoreError, requireFinite } from '../../base/errors'

/** A task by what it waits for. */
export interface Waiting {
  readonly id: string
  /** Tasks that are finished before it begins. */
  readonly after: readonly string[]
  /** The task at whose end its parts are ordered; at the start of all when absent. */
  readonly orderAfter?: string | null | undefined
}

/** A place of a task in its list, with those of what it waits for. */
export interface Linked<T> {
  readonly task: T
  readonly at: number
  readonly after: readonly number[]
  /** Null where nothing has to be done before its parts are ordered. */
  readonly orderAfter: number | null
}

/**
 * Tasks with their links as places of the list, and an order in which each follows all that it waits for.
 *
 * @throws CoreError `degenerate` for no tasks, for one that is named twice, and for a ring, which it names; `unknown` for a task that is not there
 */
export function linked<T extends Waiting>(
  tasks: readonly T[],
): { readonly links: readonly Linked<T>[]; readonly order: readonly number[] } {
  if (tasks.length === 0) throw new CoreError('degenerate', 'tasks', 'there are none')
  const places = new Map(tasks.map(({ id }, at) => [id, at] as const))
  const twice = tasks.find(({ id }, at) => places.get(id) !== at)
  if (twice) throw new CoreError('degenerate', twice.id, 'is there twice')
  const placeOf = (id: string, by: string): number => {
    const place = places.get(id)
    if (place === undefined) throw new CoreError('unknown', by, `waits for "${id}", which is no task`)
    return place
  }
  const links = tasks.map((task, at): Linked<T> => ({
    task,
    at,
    after: [...new Set(task.after)].map((id) => placeOf(id, task.id)),
    orderAfter: task.orderAfter == null ? null : placeOf(task.orderAfter, task.id),
  }))
  return { links, order: orderOf(links) }
}

/** All that a task waits for, its order too. */
export const waitsFor = ({ after, orderAfter }: Pick<Linked<unknown>, 'after' | 'orderAfter'>): number[] =>
  orderAfter === null ? [...after] : [...after, orderAfter]

function orderOf(links: readonly Linked<Waiting>[]): number[] {
  const order: number[] = []
  const state = links.map((): 'new' | 'open' | 'done' => 'new')
  const visit = (at: number, trail: readonly number[]): void => {
    const link = links[at]
    if (!link || state[at] === 'done') return
    if (state[at] === 'open') {
      const ring = [...trail.slice(trail.indexOf(at)), at].map((place) => links[place]?.task.id)
      throw new CoreError('degenerate', 'tasks', `wait for each other: ${ring.join(' after ')}`)
    }
    state[at] = 'open'
    for (const before of waitsFor(link)) visit(before, [...trail, at])
    state[at] = 'done'
    order.push(at)
  }
  links.forEach((_, at) => visit(at, []))
  return order
}

/**
 * Refuses a time that is none.
 *
 * @throws CoreError `not-finite`, `out-of-range` below nought
 */
export function requireTime(time: number, subject: string): void {
  requireFinite(time, subject)
  if (time < 0) throw new CoreError('out-of-range', subject, 'is below nought')
}
