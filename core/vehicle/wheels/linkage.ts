import { CoreError } from '../../base/errors'
import type { Vec3 } from '../../base/linalg/vec3'

/** What holds an axle to the chassis; points in mm at ride height, chassis frame. */
export type Holding =
  /** A link with a rod end at either end; of another length than at ride height where that is told. */
  | { readonly kind: 'link'; readonly chassis: Vec3; readonly axle: Vec3; readonly lengthMm?: number }
  /** A point of the axle that stays where it is: the ball of a torque tube. */
  | { readonly kind: 'ball'; readonly axle: Vec3 }
  /** A point of the axle that stays in a plane: a slider, a drop pad. */
  | { readonly kind: 'plane'; readonly axle: Vec3; readonly normal: Vec3 }
  /** Two points that stay where they are: trailing arms of one piece with the axle. */
  | { readonly kind: 'hinge'; readonly axle: Vec3; readonly axle2: Vec3 }

/** A live axle as it is held, with the middles of its wheels, at ride height. */
export interface Linkage {
  readonly holdings: readonly Holding[]
  readonly wheelLeft: Vec3
  readonly wheelRight: Vec3
}

/** A distance that stays, or a plane that is not left: one condition on where the axle stands. */
export interface HoldingRow {
  readonly kind: 'link' | 'plane'
  /** Point of the axle at ride height. */
  readonly axle: Vec3
  /** Of a link: its other end. Of a plane: its unit normal. */
  readonly other: Vec3
  readonly lengthMm: number
}

const AXES: readonly Vec3[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]

/**
 * What holds an axle, condition by condition: a ball is three planes through its middle.
 *
 * @throws CoreError `degenerate` for a link without length or a plane without normal
 */
export function holdingRows(holdings: readonly Holding[]): HoldingRow[] {
  const ball = (axle: Vec3): HoldingRow[] =>
    AXES.map((other) => ({ kind: 'plane', axle, other, lengthMm: 0 }))
  return holdings.flatMap((one): HoldingRow[] => {
    switch (one.kind) {
      case 'link': {
        const { axle, chassis, lengthMm = Math.hypot(...apart(axle, chassis)) } = one
        if (!(lengthMm > 0)) throw new CoreError('degenerate', 'link', 'both its ends are at one place')
        return [{ kind: 'link', axle, other: chassis, lengthMm }]
      }
      case 'ball':
        return ball(one.axle)
      case 'hinge':
        return [...ball(one.axle), ...ball(one.axle2)]
      case 'plane': {
        const size = Math.hypot(...one.normal)
        if (!(size > 0)) throw new CoreError('degenerate', 'plane', 'its normal has no direction')
        const [x, y, z] = one.normal
        return [{ kind: 'plane', axle: one.axle, other: [x / size, y / size, z / size], lengthMm: 0 }]
      }
    }
  })
}

const apart = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
