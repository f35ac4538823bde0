import type { Task } from '../tasks/task'
import type { CrewFrom } from './crewOf'
import type { Node } from './nodes'

/** A node in its place: working hours from the beginning of the first day. */
export interface Planned {
  readonly node: Node
  readonly startH: number
  readonly endH: number
  /** Days of the plan, the first is 0. */
  readonly startDay: number
  readonly endDay: number
}

/** All open work of a build, one after the other for the hands that there are; plain data, which a worker can hand over. */
export interface WorkPlan extends CrewFrom {
  /** In the order in which they begin. */
  readonly planned: readonly Planned[]
  readonly finishH: number
  readonly finishDay: number
  /** No plan ends sooner: the longest path, the hours of all hands, whichever is larger. */
  readonly boundDay: number
  readonly isProven: boolean
  /** Changes of the vehicle, and those that the work would ask for as it comes. */
  readonly moves: { readonly count: number; readonly asItComes: number; readonly isProven: boolean } | null
  /** Tasks of which nobody said how long they take: the end is no sooner than told. */
  readonly untold: readonly Task[]
}
