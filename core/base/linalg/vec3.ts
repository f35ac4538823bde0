/** A point in mm or a direction without unit, in the chassis frame: X forward, Y left, Z up. */
export type Vec3 = readonly [number, number, number]

/** Sum of two vectors. */
export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]

/** Vector from `b` to `a`. */
export const sub = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]

/** Vector stretched by a factor. */
export const scale = (a: Vec3, factor: number): Vec3 => [a[0] * factor, a[1] * factor, a[2] * factor]

/** Scalar product. */
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]

/** Right-handed vector product. */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
]

/**
 * Length of a vector, in its own unit. Vehicles stay far from overflow, and `Math.hypot` costs the sampling a third.
 */
export const norm = (a: Vec3): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2])

/** Direction of a vector; a zero vector gives NaN, so callers look at `norm` first where that can happen. */
export const unit = (a: Vec3): Vec3 => scale(a, 1 / norm(a))

/** Midpoint of two points. */
export const middle = (a: Vec3, b: Vec3): Vec3 => scale(add(a, b), 0.5)

/** Some direction square to a unit vector, chosen away from its largest component for good conditioning. */
export function anyPerpendicular(direction: Vec3): Vec3 {
  const [x, y, z] = direction.map(Math.abs) as [number, number, number]
  const helper: Vec3 = z <= x && z <= y ? [0, 0, 1] : y <= x ? [0, 1, 0] : [1, 0, 0]
  return unit(cross(direction, helper))
}

/**
 * A vector turned right-handedly about a unit axis through the origin (Rodrigues' formula).
 *
 * @param angle - in radians
 */
export function turnAbout(vector: Vec3, axis: Vec3, angle: number): Vec3 {
  const sine = Math.sin(angle)
  const cosine = Math.cos(angle)
  const along = scale(axis, dot(axis, vector) * (1 - cosine))
  return add(add(scale(vector, cosine), scale(cross(axis, vector), sine)), along)
}
