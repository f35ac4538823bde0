import type { Column, Graph } from '../../base/columns/graph'
import type { CheckSubject } from '../../check/check'
import type { LeverStep } from '../../vehicle/moves/leverGrid'
import type { Id } from '../../file/parts/id'

/** A lever that may be moved: a source of the graph, and the steps it can stand at by rising effort. */
export interface SearchLever {
  readonly column: Column
  readonly steps: readonly LeverStep[]
}

/** A limit on a figure: it may stand from `least` to `most`, where they are given. */
export interface SearchLimit {
  readonly id: string
  readonly column: Column
  readonly least: number | null
  readonly most: number | null
  /** What a miss of one in its own unit is measured by. */
  readonly scale: number
  /** The check it belongs to, in one of its states; absent for what is no check, such as a goal. */
  readonly check?: Id
  /** What the check is about. */
  readonly subject?: CheckSubject['of']
}

/** Levers to set and limits to keep. */
export interface SearchProblem {
  readonly graph: Graph
  readonly levers: readonly SearchLever[]
  readonly limits: readonly SearchLimit[]
  /** Sources that are not searched over, with the figures they stand at. */
  readonly fixed: ReadonlyMap<Column, number>
}

/** A setting and how it keeps its limits. */
export interface SearchedSetting {
  /** One a lever, in mm or degrees. */
  readonly amounts: readonly number[]
  readonly effort: number
  /** Least room to any limit, in its scale; negative: how far past the worst one. NaN where the levers cannot go there. */
  readonly room: number
}

/** What was found so far. */
export interface SearchReport {
  /** Settings looked at, or ruled out by what some of their levers do alone. */
  readonly looked: number
  /** Settings that keep every limit: all of one effort, the roomiest first; dearer ones in later reports. */
  readonly found: readonly SearchedSetting[]
  /** Every setting of less effort was looked at; Infinity once all were. */
  readonly lookedTo: number
}

/** Efforts closer than this are the same: they are sums. */
export const SAME_EFFORT = 1e-9
