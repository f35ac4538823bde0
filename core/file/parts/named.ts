import type { BodyId } from './body'
import type { Id } from './id'

/** A named point on a body; its place comes from readings. */
export interface NamedPoint {
  readonly id: Id
  readonly name: string
  readonly body: BodyId
  /** A stud, bolt or hole of the chassis that setups are registered by. */
  readonly datum?: boolean
}

export const AXIS_LIES = ['lengthwise', 'across'] as const

/** A named axis of a body; its fall and plan come from readings. */
export interface NamedAxis {
  readonly id: Id
  readonly name: string
  readonly body: BodyId
  /** `across`: it lies across the vehicle and is told by rise and sweep; lengthwise, by fall and plan, when absent. */
  readonly lies?: (typeof AXIS_LIES)[number]
  /** Points that lie on it; two with station and offset give its plan, with heights its fall too. */
  readonly through?: readonly Id[]
}

/** A pair of frame holes, left and right, whose middle lies on the chassis centreline. */
export interface CentrePair {
  readonly id: Id
  readonly name: string
  readonly left: Id
  readonly right: Id
}
