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

/** Working angle, in degrees, at which a shaft reaches a given acceleration by the small-angle rule. */
export const permittedAngleDeg = (accelerationLimit: number, speedRpm: number): number =>
  degrees(Math.sqrt(accelerationLimit) / angularSpeed(speedRpm))
