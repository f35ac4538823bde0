import { workedOnce, type Kernel, type Row } from '../columns/kernel'
import { angleTo, degrees } from '../units/angle'
import type { Vec3 } from '../linalg/vec3'
import { asRadians, type Radians } from '../units/angle'

/** How a line that runs along the vehicle lies in the chassis frame. */
export interface FallPlan {
  /** Positive when its rear end is lower than its front end. */
  readonly fall: Radians
  /** Positive when its rear end lies to the left of its front end. */
  readonly plan: Radians
}

/** Rearward unit vector of an axis from its fall and plan, in radians. */
export const DIRECTION_OF_AXIS: Kernel = {
  name: 'direction from fall and plan',
  page: 'frame',
  outputs: 3,
  run: (count, [fall, plan], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const level = Math.cos(fall[i])
      // Rearward is against X; a fall leads down.
      x[i] = -level * Math.cos(plan[i])
      y[i] = level * Math.sin(plan[i])
      z[i] = -Math.sin(fall[i])
    }
  },
}

const fallOf = (x: number, y: number, z: number): number => Math.atan(-z / Math.sqrt(x * x + y * y))
const planOf = (x: number, y: number): number => (x === 0 && y === 0 ? 0 : angleTo(y, -x))

/** Fall and plan, in radians, of a direction that points rearward, of any length; a vertical one has plan 0 by custom. */
export const FALL_PLAN: Kernel = {
  name: 'fall and plan of a direction',
  page: 'frame',
  outputs: 2,
  run: (count, [x, y, z], [fall, plan]) => {
    for (let i: Row = 0; i < count; i++) {
      fall[i] = fallOf(x[i], y[i], z[i])
      plan[i] = planOf(x[i], y[i])
    }
  },
}

/** The same in degrees, for those who only look. */
export const FALL_PLAN_DEG: Kernel = {
  ...FALL_PLAN,
  run: (count, [x, y, z], [fall, plan]) => {
    for (let i: Row = 0; i < count; i++) {
      fall[i] = degrees(fallOf(x[i], y[i], z[i]))
      plan[i] = degrees(planOf(x[i], y[i]))
    }
  },
}

/** Rise and sweep, in degrees, of a direction that points to the left, of any length: left end higher, left end further forward. */
export const RISE_SWEEP_DEG: Kernel = {
  name: 'rise and sweep of a direction',
  page: 'frame',
  outputs: 2,
  run: (count, [x, y, z], [rise, sweep]) => {
    for (let i: Row = 0; i < count; i++) {
      rise[i] = -degrees(fallOf(x[i], y[i], z[i]))
      sweep[i] = degrees(planOf(-y[i], x[i]))
    }
  },
}

/**
 * Rearward unit vector of an axis in the chassis frame.
 *
 * @see docs/methods/frame.md
 * @example axisDirection({ fall: radians(0), plan: radians(0) }) // [-1, 0, -0]
 */
export function axisDirection({ fall, plan }: FallPlan): Vec3 {
  const [x = NaN, y = NaN, z = NaN] = workedOnce(DIRECTION_OF_AXIS, [fall, plan])
  return [x, y, z]
}

/**
 * Fall and plan of a direction that points rearward, of any length.
 *
 * @param rearward - chassis frame; for a vertical direction plan is 0 by custom
 */
export const fallPlan = ([x, y, z]: Vec3): FallPlan => ({
  fall: asRadians(fallOf(x, y, z)),
  plan: asRadians(planOf(x, y)),
})

/** How a line that lies across the vehicle lies in the chassis frame. */
export interface RiseSweep {
  /** Positive when its left end is higher than its right end. */
  readonly rise: Radians
  /** Positive when its left end lies further forward than its right end. */
  readonly sweep: Radians
}

/** Rise and sweep of a direction that points to the left, of any length; chassis frame. */
export const riseSweep = ([x, y, z]: Vec3): RiseSweep => ({
  rise: asRadians(-fallOf(x, y, z)),
  sweep: asRadians(planOf(-y, x)),
})
