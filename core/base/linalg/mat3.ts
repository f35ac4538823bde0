import { add, dot, sub, type Vec3 } from './vec3'

/** A 3×3 matrix by its rows. */
export type Mat3 = readonly [Vec3, Vec3, Vec3]

/** A proper rigid move of space: p -> rotation·p + shift, in mm. */
export interface RigidMove {
  readonly rotation: Mat3
  readonly shift: Vec3
}

export const IDENTITY_3: Mat3 = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
]

/** The move that leaves everything where it is. */
export const NO_MOVE: RigidMove = { rotation: IDENTITY_3, shift: [0, 0, 0] }

/** A rigid move from its twelve figures: the rotation by rows, then the shift. */
export function rigidMoveOf(figures: readonly number[]): RigidMove {
  const [a = NaN, b = NaN, c = NaN, d = NaN, e = NaN, f = NaN, g = NaN, h = NaN, i = NaN, ...shift] = figures
  const [x = NaN, y = NaN, z = NaN] = shift
  return {
    rotation: [
      [a, b, c],
      [d, e, f],
      [g, h, i],
    ],
    shift: [x, y, z],
  }
}

/** Matrix times vector. */
export const apply3 = (m: Mat3, v: Vec3): Vec3 => [dot(m[0], v), dot(m[1], v), dot(m[2], v)]

/** Rows and columns exchanged; for a rotation, its inverse. */
export const transpose3 = (m: Mat3): Mat3 => [
  [m[0][0], m[1][0], m[2][0]],
  [m[0][1], m[1][1], m[2][1]],
  [m[0][2], m[1][2], m[2][2]],
]

/** Where a point goes under a rigid move. */
export const movePoint = (move: RigidMove, point: Vec3): Vec3 => add(apply3(move.rotation, point), move.shift)

/** How a direction turns under a rigid move. */
export const moveDirection = (move: RigidMove, direction: Vec3): Vec3 => apply3(move.rotation, direction)

/** Two rigid moves in one, the first made first. */
export function composed(first: RigidMove, second: RigidMove): RigidMove {
  const columns = transpose3(first.rotation)
  const row = (of: Vec3): Vec3 => [dot(of, columns[0]), dot(of, columns[1]), dot(of, columns[2])]
  const [x, y, z] = second.rotation
  return { rotation: [row(x), row(y), row(z)], shift: movePoint(second, first.shift) }
}

/** A turn about the line through `pivot` along the unit vector `axis`, right-handed, in radians. */
export function turnMove(pivot: Vec3, axis: Vec3, angle: number): RigidMove {
  const sine = Math.sin(angle)
  const cosine = Math.cos(angle)
  const rest = 1 - cosine
  const [x, y, z] = axis
  const rotation: Mat3 = [
    [cosine + x * x * rest, x * y * rest - z * sine, x * z * rest + y * sine],
    [y * x * rest + z * sine, cosine + y * y * rest, y * z * rest - x * sine],
    [z * x * rest - y * sine, z * y * rest + x * sine, cosine + z * z * rest],
  ]
  return { rotation, shift: sub(pivot, apply3(rotation, pivot)) }
}
