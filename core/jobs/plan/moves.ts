import type { Removal } from '../../file/kinds/taskKinds'
import { fewestLifts, liftsInOrder, type LiftOrder } from '../../plan/lifts/fewestLifts'
import type { StandingTask } from '../../plan/lifts/liftWays'
import type { VehicleStates } from '../../plan/lifts/standings'
import type { Node } from './nodes'

const word = (isOn: boolean) => (isOn ? 'on' : 'off')

/** What comes off and goes back on, with the hours of each change. */
export const statesOf = (removals: readonly Removal[]): VehicleStates =>
  Object.fromEntries(
    removals.map(({ id, isOff, endsOff, offH, onH, once = [] }) => {
      const there = new Set(removals.map((one) => one.id))
      const off = Object.fromEntries(
        once.filter((one) => one !== id && there.has(one)).map((one) => [one, 'off']),
      )
      return [
        id,
        {
          start: word(isOff !== true),
          end: word(endsOff !== true),
          moves: [
            { from: 'on', to: 'off', price: offH, with: off },
            { from: 'off', to: 'on', price: onH, with: off },
          ],
        },
      ]
    }),
  )

const standingTask = (node: Node, states: VehicleStates): StandingTask => ({
  id: node.id,
  after: node.after,
  in: Object.fromEntries(
    Object.entries(node.stands)
      .filter(([id]) => Object.hasOwn(states, id))
      .map(([id, isOn]) => [id, word(isOn)]),
  ),
})

/** Two orders of work with the changes of the vehicle that each asks for. */
export interface LiftOrders {
  /** With the least hours of changes. */
  readonly fewest: LiftOrder
  /** With as few hours of them, and all that waits for parts after all that does not: the wait is used. Null where that takes more. */
  readonly patient: LiftOrder | null
  /** As the hands would work without a thought for them. */
  readonly asPlanned: LiftOrder
}

/**
 * The changes of the vehicle in the order of a plan, and in the one that has least of them.
 *
 * @param order - ids of nodes as they begin
 * @param mostLooks - as of `fewestLifts`
 * @returns null where no work asks how the vehicle stands, and it stands as it is to end
 * @throws CoreError as `fewestLifts`
 */
export function liftOrders(
  removals: readonly Removal[],
  nodes: readonly Node[],
  order: readonly string[],
  mostLooks?: number,
): LiftOrders | null {
  const states = statesOf(removals)
  const tasks = nodes.map((node) => standingTask(node, states))
  const asks = tasks.some((task) => Object.keys(task.in ?? {}).length > 0)
  if (!asks && removals.every(({ isOff, endsOff }) => (isOff === true) === (endsOff === true))) return null
  const fewest = fewestLifts(states, tasks, mostLooks)
  const patient = fewestLifts(states, partsLast(nodes, tasks), mostLooks)
  return {
    fewest,
    patient: patient.price <= fewest.price + SAME_H ? patient : null,
    asPlanned: liftsInOrder(states, tasks, order),
  }
}

/** Prices that are no further apart are the same. */
const SAME_H = 1e-6

/** What asks how the vehicle stands and waits for parts, after all that asks and does not: nothing of that waits for it. */
function partsLast(nodes: readonly Node[], tasks: readonly StandingTask[]): StandingTask[] {
  const byId = new Map(nodes.map((node) => [node.id, node]))
  const known = new Map<string, boolean>()
  const waits = (id: string): boolean => {
    const there = known.get(id)
    if (there !== undefined) return there
    known.set(id, false)
    const node = byId.get(id)
    const is = node !== undefined && ((node.leadDays?.likely ?? 0) > 0 || node.after.some(waits))
    known.set(id, is)
    return is
  }
  const asks = ({ id }: StandingTask) => Object.keys(byId.get(id)?.stands ?? {}).length > 0
  const first = tasks.filter((task) => asks(task) && !waits(task.id)).map(({ id }) => id)
  return tasks.map((task) =>
    asks(task) && waits(task.id) ? { ...task, after: [...new Set([...task.after, ...first])] } : task,
  )
}

/**
 * Nodes with the changes between them as work of its own: what asks how the vehicle stands keeps to the order, all else is free.
 */
export function withMoves(
  removals: readonly Removal[],
  nodes: readonly Node[],
  { order, moves }: LiftOrder,
): Node[] {
  const asking = new Set(nodes.flatMap(({ id, stands }) => (Object.keys(stands).length > 0 ? [id] : [])))
  const made: Node[] = []
  const after = new Map<string, string[]>()
  /** What has been done since the last change, and that change. */
  let since: string[] = []
  let last: string[] = []
  for (const at of [...order, null]) {
    for (const [k, move] of moves.entries()) {
      if (move.before !== at) continue
      const node = moveNode(removals, `move/${k}`, move)
      made.push({ ...node, after: since.length > 0 ? since : last })
      since = []
      last = [node.id]
    }
    if (at === null || !asking.has(at)) continue
    after.set(at, last)
    since = [...since, at]
  }
  return [
    ...nodes.map((node) => ({ ...node, after: [...node.after, ...(after.get(node.id) ?? [])] })),
    ...made,
  ]
}

function moveNode(removals: readonly Removal[], id: string, { state, to }: LiftOrder['moves'][number]): Node {
  const removal = removals.find((one) => one.id === state)
  const likely = Math.max(1 / 60, (to === 'off' ? removal?.offH : removal?.onH) ?? 0)
  return {
    id,
    after: [],
    task: null,
    part: 'move',
    hands: 1,
    hours: { low: likely, likely, high: likely },
    stands: { [state]: to === 'on' },
  }
}
