import type { Vec3 } from '../../base/linalg/vec3'
import { hull } from '../../base/outline/hull'
import type { Place2 } from '../../base/outline/polygon'
import { OUTLINE_VIEWS, type Outline } from '../../file/parts/outline'

/** A place as a view shows it: forward, left and up become stations toward the rear, offsets to the left and heights. */
export const IN_VIEW: Readonly<Record<Outline['view'], (place: Vec3) => Place2>> = {
  side: ([ahead, , up]) => [-ahead, up],
  top: ([ahead, left]) => [-ahead, left],
  front: ([, left, up]) => [left, up],
}
/** The way one looks in a view. */
export const SIGHT: Readonly<Record<Outline['view'], Vec3>> = {
  side: [0, 1, 0],
  top: [0, 0, 1],
  front: [1, 0, 0],
}

/** A convex body from the side, from above and from the front, by places of its surface. */
export const silhouettes = (places: readonly Vec3[]): Outline[] =>
  OUTLINE_VIEWS.map((view) => ({ view, corners: [...hull(places.map(IN_VIEW[view]))] }))
