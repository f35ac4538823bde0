import type { Kernel, Row } from '../../base/columns/kernel'

/** Plan, in radians, of an axis from station and offset of a point on it in front and of one at the rear, in mm. */
export const PLAN_THROUGH_POINTS: Kernel = {
  name: 'direction in top view through two points',
  page: 'readings',
  outputs: 1,
  run: (count, [frontStation, frontOffset, rearStation, rearOffset], [plan]) => {
    for (let i: Row = 0; i < count; i++)
      plan[i] = Math.atan2(rearOffset[i] - frontOffset[i], rearStation[i] - frontStation[i])
  },
}

/** Fall, in radians, of an axis from station, offset and height of a point on it in front and of one at the rear, in mm. */
export const FALL_THROUGH_POINTS: Kernel = {
  name: 'fall through two points',
  page: 'readings',
  outputs: 1,
  run: (count, [frontStation, frontOffset, frontHeight, rearStation, rearOffset, rearHeight], [fall]) => {
    for (let i: Row = 0; i < count; i++) {
      const along = rearStation[i] - frontStation[i]
      const across = rearOffset[i] - frontOffset[i]
      // A front that is higher is a rear that falls.
      fall[i] = Math.atan2(frontHeight[i] - rearHeight[i], Math.sqrt(along * along + across * across))
    }
  },
}
