import { cross, dot, unit, type Vec3 } from '../linalg/vec3'

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
export function offsetFromPlumb(floorOffset: number, aboveCentreline: number, up: Vec3): number {
  const forward: Vec3 = [1, 0, 0]
  const acrossFloor = unit(cross(up, forward))
  return (floorOffset - aboveCentreline * dot(acrossFloor, [0, 0, 1])) / dot(acrossFloor, [0, 1, 0])
}
