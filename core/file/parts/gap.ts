import { boolean, object } from 'yup'
import { direction, figure, idField, maybe, requiredId, requiredName, wordField } from './fields'
import type { Told } from './told'

/** What a gap is for: each kind has its own limits. */
export const GAP_KINDS = ['static', 'hot', 'moving', 'lines', 'service', 'ground'] as const
export type GapKind = (typeof GAP_KINDS)[number]

/**
 * A gap between a named point of one body and what stands against it on another: a flat square to a direction, which is exact
 * for flat obstacles and the builder's own feeler, tape or clay for all others.
 */
export const gapShape = object({
  id: requiredId(),
  /** The pair in words: "head to firewall". */
  name: requiredName(),
  kind: wordField(GAP_KINDS).required(),
  /** The touch point; its place tells how the gap changes when its body turns. */
  point: requiredId(),
  /** The body that carries the obstacle; the chassis when absent. */
  obstacle: idField(),
  /** A turning shaft that stands against it, by its line and its number from the driving end; then no body carries the obstacle. */
  shaft: maybe({ line: requiredId(), index: figure(0, 20).integer().required() }),
  /** From the point to the obstacle, chassis frame (forward, left, up), any length; a gap to the ground goes down whatever is said, one to a shaft the nearest way. */
  toward: direction(),
  /** What this very pair needs, in mm, where it is not what its kind does. */
  failBelow: figure(-1000, 1000),
  warnBelow: figure(-1000, 1000),
  /** The gap on its other side, where the thing stands between two others. */
  opposite: idField(),
  /** What cutting or denting the obstacle would take; absent until somebody has said it. */
  cutting: maybe({
    /** In the builder's own effort. */
    cost: figure(0, 1e6),
    /** It carries load: a rail, a crossmember, a pillar. */
    structural: boolean(),
  }),
})
export type Gap = Told<typeof gapShape>
