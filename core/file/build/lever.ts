import { boolean, object } from 'yup'
import type { BodyKind } from '../parts/body'
import { figure, idField, maybe, nameField, pair, requiredId, wordField } from '../parts/fields'
import { spacersField } from '../parts/spacers'
import type { Told } from '../parts/told'
import { KINDS } from '../kinds/kinds'
import { merged, type Together } from '../parts/merged'
import type { LeverKindFacts } from '../kinds/leverRow'

export type LeverKind = keyof Together<(typeof KINDS)[number]['levers']>

/** Every kind of lever: one row each, and whoever needs to know reads it here. */
export const LEVER_KIND_FACTS: Readonly<Record<LeverKind, LeverKindFacts>> = merged(KINDS, 'levers')
export const LEVER_KINDS = Object.keys(LEVER_KIND_FACTS) as readonly LeverKind[]

/** What it costs to move a lever, in whatever the builder counts: minutes, money, swear words. */
const effort = maybe({
  /** For touching it at all. */
  fixed: figure(0, 1e6),
  /** For each mm or degree. */
  perUnit: figure(0, 1e6),
})
export type LeverEffort = NonNullable<Told<typeof effort>>

/** Thicknesses of spacers of one lever. */
export const MOST_LEVER_SPACERS = 30

/** What a builder can turn, pack, slot or cut; `range` and `step` in mm, or degrees for a wedge. */
export const leverShape = object({
  id: requiredId(),
  kind: wordField(LEVER_KINDS).required(),
  /** The body it moves. */
  body: requiredId(),
  /** The link that it makes longer or shorter, of those that hold its axle. */
  holding: idField(),
  /** The sprocket that it sets further to the left on its shaft. */
  sprocket: idField(),
  /** The mount that it sets elsewhere on its body. */
  mount: idField(),
  /** The shift linkage of which it makes the rod or an arm longer. */
  shift: idField(),
  /** What the builder calls it: “rear torque mount”. */
  name: nameField(),
  range: pair(-1000, 1000).required(),
  step: figure(0.01, 100).required(),
  /** Spacer thicknesses at hand, in mm. */
  stock: spacersField(MOST_LEVER_SPACERS),
  /** Stays where it stands when a setting is looked for. */
  locked: boolean(),
  /** Why it is locked: "rack 9 mm". */
  lockedBecause: nameField(),
  effort,
})
export type Lever = Told<typeof leverShape>

/** What is known of a kind of lever. */
export const leverFacts = (kind: LeverKind): LeverKindFacts => LEVER_KIND_FACTS[kind]

/** Unit of a lever's amount. */
export const leverUnit = ({ kind }: Pick<Lever, 'kind'>): 'mm' | 'deg' => LEVER_KIND_FACTS[kind].unit

/** Kinds of lever that move such a body itself: a link, a sprocket, a mount is made a lever where it is told. */
export const leversMoving = (body: BodyKind): LeverKind[] =>
  LEVER_KINDS.filter((kind) => LEVER_KIND_FACTS[kind].names === undefined && isLeverOn(kind, body))

/** True for a lever that its kind of body can have. */
export const isLeverOn = (kind: LeverKind, body: BodyKind): boolean =>
  LEVER_KIND_FACTS[kind].on.includes(body)
