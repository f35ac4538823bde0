/** A 2×2 matrix, row-major: [[a, b], [c, d]] as [a, b, c, d]. */
export type Mat2 = readonly [number, number, number, number]

export const IDENTITY_2: Mat2 = [1, 0, 0, 1]

/** Matrix product: first `right`, then `left`. */
export const multiply2 = (left: Mat2, right: Mat2): Mat2 => [
  left[0] * right[0] + left[1] * right[2],
  left[0] * right[1] + left[1] * right[3],
  left[2] * right[0] + left[3] * right[2],
  left[2] * right[1] + left[3] * right[3],
]

/** Rotation by an angle in radians, counter-clockwise. */
export function rotation2(angle: number): Mat2 {
  const cosine = Math.cos(angle)
  const sine = Math.sin(angle)
  return [cosine, -sine, sine, cosine]
}

/** The singular value decomposition of a 2×2 matrix, told by its circles. */
export interface Mat2Shape {
  /** Mean of the singular values (the rotating part). */
  readonly mean: number
  /** Half their difference (the squeezing part); its ratio to `mean` is exact even when tiny. */
  readonly half: number
  /** Direction in the input plane, in radians, that is stretched most. */
  readonly inputAngle: number
  /** Direction in the output plane, in radians, into which it is stretched. */
  readonly outputAngle: number
}

/**
 * Splits a matrix of positive determinant into rotation, stretch and rotation without subtracting near-equal numbers.
 *
 * @see docs/methods/line.md (any 2×2 map is p·z + q·z̄ over the complex plane; singular values |p| ± |q|)
 */
export function shape2(m: Mat2): Mat2Shape {
  const pReal = (m[0] + m[3]) / 2
  const pImaginary = (m[2] - m[1]) / 2
  const qReal = (m[0] - m[3]) / 2
  const qImaginary = (m[2] + m[1]) / 2
  const turnOfP = Math.atan2(pImaginary, pReal)
  const turnOfQ = Math.atan2(qImaginary, qReal)
  return {
    mean: Math.hypot(pReal, pImaginary),
    half: Math.hypot(qReal, qImaginary),
    inputAngle: (turnOfQ - turnOfP) / 2,
    outputAngle: (turnOfQ + turnOfP) / 2,
  }
}
