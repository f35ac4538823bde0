import { norm, scale, type Vec3 } from '../linalg/vec3'
import { asRadians, type Radians } from '../units/angle'

/** How a line that runs along the vehicle lies in the chassis frame. */
export interface FallPlan {
  /** Positive when its rear end is lower than its front end. */
  readonly fall: Radians
  /** Positive when its rear end lies to the left of its front end. */
  readonly plan: Radians
}

/**
 * Rearward unit vector of an axis in the chassis frame.
 *
 * @see docs/methods/frame.md
 * @example axisDirection({ fall: radians(0), plan: radians(0) }) // [-1, 0, -0]
 */
export function axisDirection({ fall, plan }: FallPlan): Vec3 {
  const level = Math.cos(fall)
  return [-level * Math.cos(plan), level * Math.sin(plan), -Math.sin(fall)]
}

/**
 * Fall and plan of a direction that points rearward, of any length.
 *
 * @param rearward - chassis frame; for a vertical direction plan is 0 by custom
 */
export function fallPlan(rearward: Vec3): FallPlan {
  const [x, y, z] = scale(rearward, 1 / norm(rearward))
  return {
    fall: asRadians(Math.atan2(-z, Math.hypot(x, y))),
    plan: asRadians(x === 0 && y === 0 ? 0 : Math.atan2(y, -x)),
  }
}
