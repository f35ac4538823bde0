import { BODY_KINDS, type BodyId, type BodyKind } from './body'
import type { Id } from './id'

/** What is known of a kind of lever, wherever it is asked. */
interface LeverKindFacts {
  readonly unit: 'mm' | 'deg'
  /** Kinds of body that can have it. */
  readonly on: readonly BodyKind[]
}

const MOUNTED: readonly BodyKind[] = ['powertrain', 'transfer-case']
const SHIFTED: readonly BodyKind[] = ['bearing-bracket', 'hub', 'item']

/**
 * Every kind of lever. Positive amounts are up, forward, left, nose up, a longer adapter, shackle or link; a lift takes the chassis up, a block
 * the axle, a strap takes so much of the droop; fore sets an axle forward in the slots of its arms.
 *
 * A body on three mounts is moved by them, an axle by turning it about its centre, a live axle by its two bearings, anything else is shifted as it is.
 * A spacer moves a sprocket along its shaft and leaves the body where it is.
 */
export const LEVER_KIND_FACTS = {
  'tail-up': { unit: 'mm', on: MOUNTED },
  'front-up': { unit: 'mm', on: MOUNTED },
  'front-left-up': { unit: 'mm', on: MOUNTED },
  'front-right-up': { unit: 'mm', on: MOUNTED },
  fore: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle', 'axle'] },
  sideways: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle'] },
  'tail-sideways': { unit: 'mm', on: MOUNTED },
  up: { unit: 'mm', on: [...SHIFTED, 'live-axle'] },
  adapter: { unit: 'mm', on: ['powertrain'] },
  wedge: { unit: 'deg', on: ['axle'] },
  lift: { unit: 'mm', on: ['axle', 'hub'] },
  block: { unit: 'mm', on: ['axle'] },
  strap: { unit: 'mm', on: ['axle', 'hub'] },
  shackle: { unit: 'mm', on: ['axle'] },
  'link-length': { unit: 'mm', on: ['axle'] },
  'left-fore': { unit: 'mm', on: ['live-axle'] },
  'right-fore': { unit: 'mm', on: ['live-axle'] },
  'left-up': { unit: 'mm', on: ['live-axle'] },
  'right-up': { unit: 'mm', on: ['live-axle'] },
  spacer: { unit: 'mm', on: BODY_KINDS },
} as const satisfies Readonly<Record<string, LeverKindFacts>>

export type LeverKind = keyof typeof LEVER_KIND_FACTS
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

/** Unit of a lever's amount. */
export const leverUnit = ({ kind }: Pick<Lever, 'kind'>): 'mm' | 'deg' => LEVER_KIND_FACTS[kind].unit

/** True for a lever that its kind of body can have. */
export const isLeverOn = (kind: LeverKind, body: BodyKind): boolean =>
  (LEVER_KIND_FACTS[kind].on as readonly BodyKind[]).includes(body)
