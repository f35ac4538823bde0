import { known, unknown, type Known } from '../../base/known'
import { add, cross, norm, scale, sub, unit, type Vec3 } from '../../base/linalg/vec3'
import { turnAt } from '../../base/outline/hull'
import type { Place2 } from '../../base/outline/polygon'

/** How a plate stands in the vehicle: the place of its origin, its right, its up, and toward whom one looks at its front; unit vectors. */
export interface PlateStand {
  readonly origin: Vec3
  readonly right: Vec3
  readonly up: Vec3
  readonly front: Vec3
}
export type Three<T> = readonly [T, T, T]

/** Three holes or points that lie as good as on a line tell no plane: twice the area of their triangle, in mm². */
const LEAST_AREA_MM2 = 100

/**
 * How a plate stands by three of its holes: the first at its point, the second toward its own, in the plane of all three.
 *
 * @param holes - right and up as one looks at the plate from its front, in mm
 * @param points - forward, left and up, in mm
 * @returns unknown where the three lie on a line
 */
export function standOf(holes: Three<Place2>, points: Three<Vec3>): Known<PlateStand> {
  const turn = turnAt(...holes)
  const [first, second, third] = points
  const across = cross(sub(second, first), sub(third, first))
  if (!(Math.abs(turn) >= LEAST_AREA_MM2) || !(norm(across) >= LEAST_AREA_MM2))
    return unknown('three holes that do not lie on a line')
  const along = unit(sub(second, first))
  const front = scale(unit(across), Math.sign(turn))
  const aside = cross(front, along)
  const [[x, y], [toX, toY]] = holes
  const long = Math.hypot(toX - x, toY - y)
  const [cosine, sine] = [(toX - x) / long, (toY - y) / long]
  const right = sub(scale(along, cosine), scale(aside, sine))
  const up = add(scale(along, sine), scale(aside, cosine))
  return known({ origin: sub(first, add(scale(right, x), scale(up, y))), right, up, front })
}

/** How far the second of three holes is from the first, and how far along and beside that line the third lies, in mm. */
export function triangleOf(holes: Three<Place2>): Three<number> {
  const [[x, y], [toX, toY], [farX, farY]] = holes
  const long = Math.hypot(toX - x, toY - y)
  const along = ((farX - x) * (toX - x) + (farY - y) * (toY - y)) / long
  return [long, along, Math.abs(turnAt(...holes)) / long]
}

/** A place of a plate in the vehicle, so far before the face that it lies on. */
export const placeOn = ({ origin, right, up, front }: PlateStand, [x, y]: Place2, before: number): Vec3 =>
  add(add(origin, scale(front, before)), add(scale(right, x), scale(up, y)))
