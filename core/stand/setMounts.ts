import { PLUS_TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { Build } from '../file/build/build'
import type { LeverKind } from '../file/build/lever'
import type { Id } from '../file/parts/id'
import type { LeverColumns } from '../vehicle/moves/bodyMove'

/** Which of forward, left and up a lever sets a mount along. */
const WAYS: Readonly<Partial<Record<LeverKind, 0 | 1 | 2>>> = {
  'mount-fore': 0,
  'mount-aside': 1,
  'mount-up': 2,
}

/**
 * Points of mounts where levers set them on their body, all others as read: whatever stands on such a point is carried there, and packed
 * there.
 */
export function setMounts(
  graph: Graph,
  { levers: all, mounts = [] }: Build,
  levers: LeverColumns,
  point: (id: Id) => Known<VectorColumns>,
): (id: Id) => Known<VectorColumns> {
  const set = new Map<Id, [0 | 1 | 2, Column][]>()
  for (const { id, kind, mount } of all) {
    const [way, amount] = [WAYS[kind], levers.get(id)]
    const at = mounts.find((one) => one.id === mount)?.point
    if (way !== undefined && amount !== undefined && at !== undefined)
      set.set(at, [...(set.get(at) ?? []), [way, amount]])
  }
  const made = new Map<Id, Known<VectorColumns>>()
  for (const [id, amounts] of set)
    made.set(
      id,
      mapKnown(point(id), (place) => {
        const to: [Column, Column, Column] = [...place]
        for (const [way, amount] of amounts) to[way] = scalarStep(graph, PLUS_TIMES, [to[way], amount], [1])
        return to
      }),
    )
  return (id) => made.get(id) ?? point(id)
}
