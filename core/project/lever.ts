import { BODY_KIND_NAMES, type BodyId, type BodyKind } from './body'
import type { Id } from './id'

/** What is known of a kind of lever, wherever it is asked. */
export interface LeverKindFacts {
  readonly unit: 'mm' | 'deg'
  /** Kinds of body that can have it. */
  readonly on: readonly BodyKind[]
  /** Least, most and step of a new one, in its unit. */
  readonly usual: readonly [number, number, number]
  /** What is drawn in the hand: a stack of spacers, something in its slots, a wedge under a spring, an adapter, a link, a strap. */
  readonly picture: 'stack' | 'slots' | 'wedge' | 'adapter' | 'link' | 'strap'
  /** Nothing of it comes off again: welded, or cut to length. */
  readonly isLasting?: true
  /** Takes the wheels to another place at ride height. */
  readonly movesRide?: true
}

/** Of a new lever that is packed or slotted, in mm. */
const PACKED = [-20, 20, 1] as const
/** Of what lets a vehicle stand higher or lower. */
const RAISED = [-60, 100, 5] as const

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
  'tail-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-left-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  'front-right-up': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'stack' },
  fore: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle', 'axle'], usual: PACKED, picture: 'slots' },
  sideways: { unit: 'mm', on: [...MOUNTED, ...SHIFTED, 'live-axle'], usual: PACKED, picture: 'slots' },
  'tail-sideways': { unit: 'mm', on: MOUNTED, usual: PACKED, picture: 'slots' },
  up: { unit: 'mm', on: [...SHIFTED, 'live-axle'], usual: PACKED, picture: 'stack' },
  adapter: { unit: 'mm', on: ['powertrain'], usual: PACKED, picture: 'adapter', isLasting: true },
  wedge: { unit: 'deg', on: ['axle'], usual: [-6, 6, 0.5], picture: 'wedge', isLasting: true },
  lift: { unit: 'mm', on: ['axle', 'hub'], usual: RAISED, picture: 'stack', movesRide: true },
  block: { unit: 'mm', on: ['axle'], usual: RAISED, picture: 'stack' },
  strap: { unit: 'mm', on: ['axle', 'hub'], usual: [0, 100, 5], picture: 'strap' },
  shackle: { unit: 'mm', on: ['axle'], usual: [-50, 80, 5], picture: 'stack', movesRide: true },
  'link-length': { unit: 'mm', on: ['axle'], usual: PACKED, picture: 'link' },
  'left-fore': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'right-fore': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'left-up': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  'right-up': { unit: 'mm', on: ['live-axle'], usual: PACKED, picture: 'stack' },
  spacer: { unit: 'mm', on: BODY_KIND_NAMES, usual: PACKED, picture: 'stack' },
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

/** What is known of a kind of lever. */
export const leverFacts = (kind: LeverKind): LeverKindFacts => LEVER_KIND_FACTS[kind]

/** Unit of a lever's amount. */
export const leverUnit = ({ kind }: Pick<Lever, 'kind'>): 'mm' | 'deg' => LEVER_KIND_FACTS[kind].unit

/** True for a lever that its kind of body can have. */
export const isLeverOn = (kind: LeverKind, body: BodyKind): boolean =>
  (LEVER_KIND_FACTS[kind].on as readonly BodyKind[]).includes(body)
