import type { BodyId, BodyKind } from '../parts/body'
import type { Id } from '../parts/id'
import { KINDS } from '../kinds/kinds'
import { merged, type Together } from '../parts/merged'
import type { LeverKindFacts } from '../kinds/leverRow'

export type LeverKind = keyof Together<(typeof KINDS)[number]['levers']>

/** Every kind of lever: one row each, and whoever needs to know reads it here. */
export const LEVER_KIND_FACTS: Readonly<Record<LeverKind, LeverKindFacts>> = merged(KINDS, 'levers')
export const LEVER_KINDS = Object.keys(LEVER_KIND_FACTS) as readonly LeverKind[]

/** What it costs to move a lever, in whatever the builder counts: minutes, money, swear words. */
export interface LeverEffort {
  /** For touching it at all. */
  readonly fixed?: number
  /** For each mm or degree. */
  readonly perUnit?: number
}

/** What a builder can turn, pack, slot or cut; `range` and `step` in mm, or degrees for a wedge. */
export interface Lever {
  readonly id: Id
  readonly kind: LeverKind
  /** The body it moves. */
  readonly body: BodyId
  /** The link that it makes longer or shorter, of those that hold its axle. */
  readonly holding?: Id
  /** The sprocket that it sets further to the left on its shaft. */
  readonly sprocket?: Id
  /** What the builder calls it: “rear torque mount”. */
  readonly name?: string
  readonly range: readonly [number, number]
  readonly step: number
  /** Spacer thicknesses at hand, in mm. */
  readonly stock?: readonly number[]
  /** Stays where it stands when a setting is looked for. */
  readonly locked?: boolean
  /** Why it is locked: "rack 9 mm". */
  readonly lockedBecause?: string
  readonly effort?: LeverEffort
}

/** What is known of a kind of lever. */
export const leverFacts = (kind: LeverKind): LeverKindFacts => LEVER_KIND_FACTS[kind]

/** Unit of a lever's amount. */
export const leverUnit = ({ kind }: Pick<Lever, 'kind'>): 'mm' | 'deg' => LEVER_KIND_FACTS[kind].unit

/** True for a lever that its kind of body can have. */
export const isLeverOn = (kind: LeverKind, body: BodyKind): boolean =>
  LEVER_KIND_FACTS[kind].on.includes(body)
