import { shape2, type Mat2 } from '../linalg/mat2'
import { angularSpeed, asRadians, degrees, type Radians } from '../units/angle'

/** How unevenly a rotation comes through, for any chain: exactly that of one joint of `equivalentAngle`. */
export interface Uniformity {
  /** Exact angle of the one joint that behaves like the chain. */
  readonly equivalentAngle: Radians
  /** Output minus input rotation, peak to peak. */
  readonly errorPeakToPeak: Radians
  readonly ratioMin: number
  readonly ratioMax: number
}

/**
 * Uniformity of a chain from its map, in closed form.
 *
 * With the squeeze e = half/mean of the singular values, r = (1−e)/(1+e): the error is 2·asin e and the equivalent
 * angle 2·asin √(e/(1+e)) = acos r. Written in e these keep their digits when the line is nearly perfect.
 *
 * @see docs/methods/line.md
 */
export function uniformity(map: Mat2): Uniformity {
  const { mean, half } = shape2(map)
  const squeeze = Math.min(1, half / mean)
  const ratioMin = (1 - squeeze) / (1 + squeeze)
  return {
    equivalentAngle: asRadians(2 * Math.asin(Math.sqrt(squeeze / (1 + squeeze)))),
    errorPeakToPeak: asRadians(2 * Math.asin(squeeze)),
    ratioMin,
    ratioMax: 1 / ratioMin,
  }
}

/**
 * Largest angular acceleration behind a chain that is driven at steady speed, in rad/s².
 *
 * That of one joint of the equivalent angle: ω²·r·s²·sin 2θ/(1 − s²cos²θ)², s² = 1 − r², at the θ where it peaks.
 *
 * @param speedRpm - of the driving axis
 * @see docs/methods/joints.md
 */
export function peakAcceleration({ equivalentAngle, ratioMin }: Uniformity, speedRpm: number): number {
  const sine2 = Math.sin(equivalentAngle) ** 2
  const level = 1 - sine2 / 2
  const swing = sine2 / 2
  // cos 2θ at the peak solves swing·x² + level·x − 2·swing = 0; this form of the root does not cancel for small angles.
  const cosine = (4 * swing) / (level + Math.sqrt(level * level + 8 * swing * swing))
  const shape = Math.sqrt(1 - cosine * cosine) / (level - swing * cosine) ** 2
  return angularSpeed(speedRpm) ** 2 * ratioMin * sine2 * shape
}

/** Peak acceleration by the small-angle rule ω²·β², in rad/s²; the explanation beside the exact figure. */
export const smallAngleAcceleration = (angle: Radians, speedRpm: number): number =>
  (angularSpeed(speedRpm) * angle) ** 2

/** Halvings of a right angle that reach the last digit of a double. */
const HALVINGS = 52

/**
 * Working angle of a single universal joint at which the shaft behind it reaches a given peak acceleration, exactly.
 *
 * The small-angle rule √limit/ω allows too much where the angle is large: 38° at 450 rev/min are 1 127 rad/s², not 977.
 *
 * @param accelerationLimit - in rad/s²
 * @param speedRpm - of the driving axis, steady
 * @returns in degrees, below 90
 * @see docs/methods/joints.md
 */
export function permittedAngleDeg(accelerationLimit: number, speedRpm: number): number {
  let [low, high] = [0, Math.PI / 2]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (jointAcceleration(asRadians(middle), speedRpm) < accelerationLimit) low = middle
    else high = middle
  }
  return degrees(asRadians(low))
}

/** Peak acceleration behind one universal joint, in rad/s². */
export const jointAcceleration = (angle: Radians, speedRpm: number): number =>
  peakAcceleration(
    {
      equivalentAngle: angle,
      errorPeakToPeak: asRadians(0),
      ratioMin: Math.cos(angle),
      ratioMax: 1 / Math.cos(angle),
    },
    speedRpm,
  )

/**
 * How unevenly a rotation comes through a chain, as a vector: its length is the squeeze half/mean of `uniformity`, and it
 * vanishes just when the chain runs evenly.
 *
 * @param normal - angle about the first axis, in radians, from a fixed direction to the first joint's plane normal
 * @see docs/methods/uncertainty.md (with p and q of docs/methods/line.md it is q·p̄/|p|²·e^(2i·normal))
 */
export function unevenness(m: Mat2, normal: number): readonly [number, number] {
  const pReal = (m[0] + m[3]) / 2
  const pImaginary = (m[2] - m[1]) / 2
  const qReal = (m[0] - m[3]) / 2
  const qImaginary = (m[2] + m[1]) / 2
  const size2 = pReal * pReal + pImaginary * pImaginary
  const real = (qReal * pReal + qImaginary * pImaginary) / size2
  const imaginary = (qImaginary * pReal - qReal * pImaginary) / size2
  const [c, s] = [Math.cos(2 * normal), Math.sin(2 * normal)]
  return [real * c - imaginary * s, real * s + imaginary * c]
}
