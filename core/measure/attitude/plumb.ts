import { workedOnce, type Kernel, type Row } from '../../base/columns/kernel'
import type { Vec3 } from '../../base/linalg/vec3'

/**
 * True offset of a point, square to the chassis, from one that was measured on the floor between plumb drops: from the floor
 * offset, the height above the centreline points that were dropped, both in mm, and world up.
 */
export const OFFSET_FROM_PLUMB: Kernel = {
  name: 'offset square to the chassis from plumb drops',
  page: 'readings',
  outputs: 1,
  run: (count, [floorOffset, above, , upY, upZ], [offset]) => {
    for (let i: Row = 0; i < count; i++) {
      // Across the floor is up × forward = (0, up_z, −up_y) over its length.
      const size = Math.sqrt(upY[i] * upY[i] + upZ[i] * upZ[i])
      offset[i] = (floorOffset[i] * size + above[i] * upY[i]) / upZ[i]
    }
  },
}

/**
 * True offset of a point, square to the chassis, from an offset that was measured on the floor between plumb drops of
 * the point and of the chassis centreline.
 *
 * @param floorOffset - in mm, positive to the left
 * @param aboveCentreline - height of the point above the centreline points that were dropped, in mm, square to the chassis
 * @param up - world up in the chassis frame
 * @returns the offset left of the chassis centre plane, in mm
 * @see docs/methods/readings.md (a rolled chassis fakes an offset of height·sin roll)
 */
export const offsetFromPlumb = (floorOffset: number, aboveCentreline: number, up: Vec3): number =>
  workedOnce(OFFSET_FROM_PLUMB, [floorOffset, aboveCentreline, ...up])[0] ?? NaN
