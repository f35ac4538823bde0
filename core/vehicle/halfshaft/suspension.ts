import type { Vec3 } from '../../base/linalg/vec3'
import type { SuspensionKind } from '../../file/parts/hubMotion'

/** Two inner ends of an arm and its ball at the wheel carrier, in mm at ride height, chassis frame. */
export interface Arm {
  readonly front: Vec3
  readonly rear: Vec3
  readonly ball: Vec3
}

/** A rod that keeps the wheel carrier from steering by itself, or steers it. */
export interface TieRod {
  readonly inner: Vec3
  readonly outer: Vec3
}

/** How a wheel carrier is held. */
export type Suspension =
  | { readonly kind: 'double-wishbone'; readonly lower: Arm; readonly upper: Arm; readonly tie: TieRod }
  | {
      readonly kind: 'strut'
      readonly lower: Arm
      /** Top mount, and a point of the carrier on the strut's line. */
      readonly top: Vec3
      readonly onStrut: Vec3
      readonly tie: TieRod
    }
  /** A trailing or semi-trailing arm, or a swing axle: carrier and arm are one, on two pivots. */
  | { readonly kind: 'arm'; readonly pivots: readonly [Vec3, Vec3] }

/** One condition on where a wheel carrier stands; its points by their numbers. */
export type CarrierHold =
  | { readonly kind: 'link'; readonly own: number; readonly other: number; readonly isSteered?: true }
  /** A point of the carrier does not go along, aside or up. */
  | { readonly kind: 'plane'; readonly own: number; readonly other: number; readonly way: number }
  /** A point of the chassis stays in one of two planes of the carrier that meet in the strut's line. */
  | { readonly kind: 'slides'; readonly own: number; readonly other: number; readonly way: number }

const link = (own: number, other: number): CarrierHold => ({ kind: 'link', own, other })
const steered = (own: number, other: number): CarrierHold =>
  ({ ...link(own, other), isSteered: true }) as CarrierHold
const fixed = (own: number): CarrierHold[] =>
  [0, 1, 2].map((way) => ({ kind: 'plane', own, other: own, way }))

/** What holds a wheel carrier, condition by condition. */
export const CARRIER_HOLDS: Readonly<Record<SuspensionKind, readonly CarrierHold[]>> = {
  'double-wishbone': [link(2, 0), link(2, 1), link(5, 3), link(5, 4), steered(7, 6)],
  strut: [
    link(2, 0),
    link(2, 1),
    { kind: 'slides', own: 4, other: 3, way: 0 },
    { kind: 'slides', own: 4, other: 3, way: 1 },
    steered(6, 5),
  ],
  arm: [...fixed(0), ...fixed(1)],
}

/** The points of a suspension in the order of `SUSPENSION_POINTS`. */
export function pointsOf(suspension: Suspension): readonly Vec3[] {
  const arm = ({ front, rear, ball }: Arm) => [front, rear, ball]
  switch (suspension.kind) {
    case 'double-wishbone': {
      const { lower, upper, tie } = suspension
      return [...arm(lower), ...arm(upper), tie.inner, tie.outer]
    }
    case 'strut': {
      const { lower, top, onStrut, tie } = suspension
      return [...arm(lower), top, onStrut, tie.inner, tie.outer]
    }
    case 'arm':
      return suspension.pivots
  }
}
