import type { Day } from '../../base/days'
import type { Estimate, TaskEntry, TaskSort } from '../../file/kinds/taskKinds'
import type { Maker } from './makers'

/** Lists whose things make tasks. */
export type MakingList =
  'crossmembers' | 'plates' | 'copedTubes' | 'pieces' | 'cutouts' | 'welds' | 'orders' | 'temporaries'

/** What of a build makes a task. */
export interface MadeBy {
  readonly by: Maker
  /** The thing of the build; null where it is of all of it. */
  readonly thing: { readonly list: MakingList; readonly id: string; readonly name: string } | null
  /** How many readings, figures or checks it is about; 1 for a thing. */
  readonly count: number
}

/** Something that is to be done: made by what the build is, or the builder's own. */
export interface Task {
  /** By which other tasks name it. */
  readonly key: string
  readonly made: MadeBy | null
  /** What the builder wrote of it; null for a task of the build of which nothing was said. */
  readonly entry: TaskEntry | null
  readonly sort: TaskSort
  /** Null where nobody said how long it takes. */
  readonly hours: Estimate | null
  /** The hours are those that such work usually takes. */
  readonly isUsual: boolean
  readonly hands: 1 | 2
  /** From ordering to arrival; null for what is not bought, and where nobody said. */
  readonly leadDays: Estimate | null
  /** Keys of tasks that are done before it. */
  readonly after: readonly string[]
  /** What of the vehicle must be on for it, and what off. */
  readonly present: readonly string[]
  readonly absent: readonly string[]
  readonly isHot: boolean
  readonly from: Day | null
  readonly orderedAt: Day | null
  readonly isDone: boolean
}
