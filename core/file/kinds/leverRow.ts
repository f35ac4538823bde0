import type { BodyKind } from '../parts/body'

/** What is known of a kind of lever, wherever it is asked. */
export interface LeverKindFacts {
  readonly unit: 'mm' | 'deg'
  /** Kinds of body that can have it. */
  readonly on: readonly BodyKind[]
  /** Least, most and step of a new one, in its unit. */
  readonly usual: readonly [number, number, number]
  /** What is drawn in the hand: a stack of spacers, something in its slots, a wedge under a spring, an adapter, a link, a strap. */
  readonly picture: 'stack' | 'slots' | 'wedge' | 'adapter' | 'link' | 'strap'
  /** What it moves on its body, by the field of a lever that names it; absent for one that moves the body itself. */
  readonly names?: 'holding' | 'sprocket' | 'mount' | 'shift'
  /** Nothing of it comes off again: welded, or cut to length. */
  readonly isLasting?: true
  /** Takes the wheels to another place at ride height. */
  readonly movesRide?: true
}

/** Of a new lever that is packed or slotted, in mm. */
export const PACKED = [-20, 20, 1] as const
