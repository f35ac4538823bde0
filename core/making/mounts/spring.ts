import { CoreError } from '../../base/errors'
import { IDENTITY_3, type Mat3 } from '../../base/linalg/mat3'
import { dot, norm, scale, unit, type Vec3 } from '../../base/linalg/vec3'

/** How a mount holds a powertrain, in N/mm. */
export type MountSpring =
  /** Along forward, left and up. */
  | { readonly kind: 'axes'; readonly perMm: Vec3 }
  /** Any: symmetric. */
  | { readonly kind: 'matrix'; readonly perMm: Mat3 }
  /** Round about an axis, along which an eye bush is soft. */
  | { readonly kind: 'bush'; readonly axis: Vec3; readonly axial: number; readonly radial: number }
  /** Presses along its normal and cannot pull; holds sideways whether or not it presses. */
  | { readonly kind: 'pad'; readonly normal: Vec3; readonly press: number; readonly shear: number }
  /** Presses along its normal once its gap is used up. */
  | { readonly kind: 'stop'; readonly normal: Vec3; readonly gapMm: number; readonly press: number }

/** What presses one way only. The normal is the way in which it pushes the body. */
export interface Contact {
  readonly normal: Vec3
  readonly gapMm: number
  readonly press: number
}

/** A spring as it is reckoned with: what always holds, and what holds only while it presses. */
export interface SpringParts {
  readonly always: Mat3
  readonly contact: Contact | null
}

const NONE: Mat3 = [
  [0, 0, 0],
  [0, 0, 0],
  [0, 0, 0],
]

/** `a·I + b·nnᵀ`. */
export function alongNormal(a: number, b: number, [x, y, z]: Vec3): Mat3 {
  return [
    [a + b * x * x, b * x * y, b * x * z],
    [b * x * y, a + b * y * y, b * y * z],
    [b * x * z, b * y * z, a + b * z * z],
  ]
}

function directionOf(vector: Vec3, what: string): Vec3 {
  if (!(norm(vector) > 0)) throw new CoreError('degenerate', what, 'has no direction')
  return unit(vector)
}

function notNegative(values: readonly number[]): void {
  if (values.some((value) => !(value >= 0)))
    throw new CoreError('out-of-range', 'stiffness', 'must not be negative')
}

/** A symmetric matrix gives no energy away when none of its principal minors is negative. */
function requireHolding(matrix: Mat3): void {
  const [[a, b, c], [d, e, f], [g, h, i]] = matrix
  const size = Math.max(...matrix.flat().map(Math.abs), 1e-300)
  const near = 1e-9 * size
  if (Math.max(Math.abs(b - d), Math.abs(c - g), Math.abs(f - h)) > near)
    throw new CoreError('out-of-range', 'stiffness', 'must be the same both ways')
  const pairs = [a * e - b * d, a * i - c * g, e * i - f * h]
  const whole = dot(matrix[0], [e * i - f * h, f * g - d * i, d * h - e * g])
  notNegative([a, e, i].map((one) => one + near))
  notNegative([...pairs.map((one) => one + near * size), whole + near * size * size])
}

/**
 * A mount's spring, turned to where it points.
 *
 * @throws CoreError `degenerate` for an axis without direction, `out-of-range` for a stiffness or gap below nought
 */
export function springParts(spring: MountSpring): SpringParts {
  switch (spring.kind) {
    case 'axes': {
      const [x, y, z] = spring.perMm
      notNegative(spring.perMm)
      const always: Mat3 = [scale(IDENTITY_3[0], x), scale(IDENTITY_3[1], y), scale(IDENTITY_3[2], z)]
      return { always, contact: null }
    }
    case 'matrix':
      requireHolding(spring.perMm)
      return { always: spring.perMm, contact: null }
    case 'bush': {
      notNegative([spring.axial, spring.radial])
      const axis = directionOf(spring.axis, 'axis')
      return { always: alongNormal(spring.radial, spring.axial - spring.radial, axis), contact: null }
    }
    case 'pad': {
      notNegative([spring.press, spring.shear])
      const normal = directionOf(spring.normal, 'normal')
      const always = alongNormal(spring.shear, -spring.shear, normal)
      return { always, contact: { normal, gapMm: 0, press: spring.press } }
    }
    case 'stop': {
      notNegative([spring.press, spring.gapMm])
      const normal = directionOf(spring.normal, 'normal')
      return { always: NONE, contact: { normal, gapMm: spring.gapMm, press: spring.press } }
    }
  }
}
