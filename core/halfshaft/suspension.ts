import type { Vec3 } from '../linalg/vec3'

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

/** One condition on where a wheel carrier stands. */
export type CarrierCondition =
  | { readonly kind: 'link'; readonly own: Vec3; readonly other: Vec3; readonly lengthMm: number }
  /** A point of the carrier stays in a plane through where it is. */
  | { readonly kind: 'plane'; readonly own: Vec3; readonly normal: Vec3 }
  /** A point of the chassis stays in a plane of the carrier. */
  | { readonly kind: 'slides'; readonly own: Vec3; readonly point: Vec3; readonly normal: Vec3 }

const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const link = (own: Vec3, other: Vec3, moved = other): CarrierCondition => ({
  kind: 'link',
  own,
  other: moved,
  lengthMm: Math.hypot(...sub(own, other)),
})
const arm = ({ front, rear, ball }: Arm): CarrierCondition[] => [link(ball, front), link(ball, rear)]
const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]

/**
 * What holds a wheel carrier, condition by condition.
 *
 * @param rackMm - how far the rack has moved the inner end of the tie rod to the left
 */
export function carrierConditions(suspension: Suspension, rackMm: number): CarrierCondition[] {
  const tied = ({ inner, outer }: TieRod) => link(outer, inner, [inner[0], inner[1] + rackMm, inner[2]])
  switch (suspension.kind) {
    case 'double-wishbone':
      return [...arm(suspension.lower), ...arm(suspension.upper), tied(suspension.tie)]
    case 'strut': {
      const { lower, top, onStrut, tie } = suspension
      const [x, y, z] = sub(top, onStrut)
      // Two planes of the carrier that meet in the strut's line.
      const first: Vec3 = Math.abs(x) < Math.abs(y) ? [0, -z, y] : [-z, 0, x]
      const second: Vec3 = [
        y * first[2] - z * first[1],
        z * first[0] - x * first[2],
        x * first[1] - y * first[0],
      ]
      const slides = (normal: Vec3): CarrierCondition => {
        const size = Math.hypot(...normal)
        return {
          kind: 'slides',
          own: onStrut,
          point: top,
          normal: [normal[0] / size, normal[1] / size, normal[2] / size],
        }
      }
      return [...arm(lower), slides(first), slides(second), tied(tie)]
    }
    case 'arm':
      return suspension.pivots.flatMap((own) =>
        AXES.map((normal): CarrierCondition => ({ kind: 'plane', own, normal })),
      )
  }
}
