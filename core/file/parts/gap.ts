import type { BodyId } from './body'
import type { Id } from './id'

/** What a gap is for: each kind has its own limits. */
export const GAP_KINDS = ['static', 'hot', 'moving', 'lines', 'service', 'ground'] as const
export type GapKind = (typeof GAP_KINDS)[number]

/**
 * A gap between a named point of one body and what stands against it on another: a flat square to a direction, which is exact
 * for flat obstacles and the builder's own feeler, tape or clay for all others.
 */
export interface Gap {
  readonly id: Id
  /** The pair in words: "head to firewall". */
  readonly name: string
  readonly kind: GapKind
  /** The touch point; its place tells how the gap changes when its body turns. */
  readonly point: Id
  /** The body that carries the obstacle; the chassis when absent. */
  readonly obstacle?: BodyId
  /** A turning shaft that stands against it, by its line and its number from the driving end; then no body carries the obstacle. */
  readonly shaft?: { readonly line: Id; readonly index: number }
  /** From the point to the obstacle, chassis frame (forward, left, up), any length; a gap to the ground goes down whatever is said, one to a shaft the nearest way. */
  readonly toward: readonly [number, number, number]
  /** What this very pair needs, in mm, where it is not what its kind does. */
  readonly failBelow?: number
  readonly warnBelow?: number
  /** The gap on its other side, where the thing stands between two others. */
  readonly opposite?: Id
  /** What cutting or denting the obstacle would take; absent until somebody has said it. */
  readonly cutting?: {
    /** In the builder's own effort. */
    readonly cost?: number
    /** It carries load: a rail, a crossmember, a pillar. */
    readonly structural?: boolean
  }
}
