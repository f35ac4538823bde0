import { add, scale, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'
import { WAY_POINTS } from '../../file/parts/armWays'
import type { Bulkhead } from '../../file/parts/cable'

const { forward: FORWARD, left: LEFT, up: UP } = WAY_POINTS

/** Unit vectors of a bulkhead, chassis frame: its left and up (of one that faces aside its front and up, of a floor its left and front), and the way that a cable passes it. */
export interface BulkheadFrame {
  readonly left: Vec3
  readonly up: Vec3
  readonly through: Vec3
}

export function bulkheadFrame({ faces, leanDeg = 0 }: Pick<Bulkhead, 'faces' | 'leanDeg'>): BulkheadFrame {
  const isFloor = faces === 'up' || faces === 'down'
  const isAside = faces === 'left' || faces === 'right'
  const square = WAY_POINTS[faces]
  const upright = isFloor ? FORWARD : UP
  const [cosine, sine] = [Math.cos(radians(leanDeg)), Math.sin(radians(leanDeg))]
  return {
    left: isAside ? FORWARD : LEFT,
    up: add(scale(upright, cosine), scale(square, -sine)),
    through: add(scale(square, cosine), scale(upright, sine)),
  }
}
