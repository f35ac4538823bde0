import { workedOnce, type Kernel, type Row } from '../base/columns/kernel'
import type { Mat2 } from '../base/linalg/mat2'
import { angularSpeed, asRadians, degrees, type Radians } from '../base/units/angle'

/** How unevenly a rotation comes through, for any train: exactly that of one joint of `equivalentAngle`. */
export interface Uniformity {
  /** Half the difference of the map's two stretches over their mean: 0 runs evenly, 1 not at all. */
  readonly squeeze: number
  /** Exact angle of the one joint that behaves like the train. */
  readonly equivalentAngle: Radians
  /** Output minus input rotation, peak to peak. */
  readonly errorPeakToPeak: Radians
  readonly ratioMin: number
  readonly ratioMax: number
}

/**
 * The squeeze of a train's map: with p and q the turning and the mirroring part of the map over the complex plane, |q|/|p|.
 *
 * Written so, near-equal numbers are never subtracted and a nearly perfect line keeps its digits.
 */
export const SQUEEZE: Kernel = {
  name: 'how much the line squeezes the turn',
  page: 'line',
  outputs: 1,
  run: (count, [a, b, c, d], [squeeze]) => {
    for (let i: Row = 0; i < count; i++) {
      const p = a[i] + d[i]
      const q = c[i] - b[i]
      const r = a[i] - d[i]
      const s = c[i] + b[i]
      squeeze[i] = Math.min(1, Math.sqrt((r * r + s * s) / (p * p + q * q)))
    }
  },
}

const equivalentAngleOf = (squeeze: number): Radians =>
  asRadians(2 * Math.asin(Math.sqrt(squeeze / (1 + squeeze))))
const errorOf = (squeeze: number): Radians => asRadians(2 * Math.asin(squeeze))
const leastRatioOf = (squeeze: number): number => (1 - squeeze) / (1 + squeeze)

/** Exact angle of the one joint that behaves like a train, in degrees, from its squeeze e: 2·asin √(e/(1+e)). */
export const EQUIVALENT_ANGLE: Kernel = {
  name: 'equivalent angle',
  page: 'line',
  outputs: 1,
  run: (count, [squeeze], [angleDeg]) => {
    for (let i: Row = 0; i < count; i++) angleDeg[i] = degrees(equivalentAngleOf(squeeze[i]))
  },
}

/** Output minus input rotation, peak to peak in degrees, from the squeeze e: 2·asin e. */
export const ERROR_PEAK_TO_PEAK: Kernel = {
  name: 'angle error over a turn',
  page: 'line',
  outputs: 1,
  run: (count, [squeeze], [errorDeg]) => {
    for (let i: Row = 0; i < count; i++) errorDeg[i] = degrees(errorOf(squeeze[i]))
  },
}

/** Least and greatest output speed over input speed, from the squeeze e: (1 − e)/(1 + e) and its inverse. */
export const SPEED_RATIOS: Kernel = {
  name: 'speed ratio over a turn',
  page: 'line',
  outputs: 2,
  run: (count, [squeeze], [least, greatest]) => {
    for (let i: Row = 0; i < count; i++) {
      least[i] = leastRatioOf(squeeze[i])
      greatest[i] = 1 / least[i]
    }
  },
}

/**
 * Largest angular acceleration behind a train driven at steady speed, in rad/s², from its squeeze; parameter: rev/min of the
 * driving axis.
 */
export const PEAK_ACCELERATION: Kernel = {
  name: 'peak acceleration at the highest speed',
  page: 'joints',
  outputs: 1,
  run: (count, [squeeze], [acceleration], [speedRpm]) => {
    for (let i: Row = 0; i < count; i++) acceleration[i] = accelerationOf(squeeze[i], speedRpm)
  },
}

/**
 * That of one joint of the equivalent angle: ω²·r·s²·sin 2θ/(1 − s²cos²θ)², s² = 1 − r², at the θ where it peaks.
 *
 * @param squeeze - e, with r = (1 − e)/(1 + e) and so s² = 4e/(1 + e)²
 */
function accelerationOf(squeeze: number, speedRpm: number): number {
  const whole = 1 + squeeze
  const swing = (2 * squeeze) / (whole * whole)
  const level = 1 - swing
  // cos 2θ at the peak solves swing·x² + level·x − 2·swing = 0; this form of the root does not cancel for small angles.
  const cosine = (4 * swing) / (level + Math.sqrt(level * level + 8 * swing * swing))
  const rest = level - swing * cosine
  const omega = angularSpeed(speedRpm)
  return (
    (omega * omega * ((1 - squeeze) / whole) * 2 * swing * Math.sqrt(1 - cosine * cosine)) / (rest * rest)
  )
}

/**
 * Uniformity of a train from its map, in closed form.
 *
 * @see docs/methods/line.md
 */
export const uniformity = (map: Mat2): Uniformity => uniformityOf(workedOnce(SQUEEZE, map)[0] ?? NaN)

/** Uniformity of a train of a given squeeze. */
export function uniformityOf(squeeze: number): Uniformity {
  const ratioMin = leastRatioOf(squeeze)
  return {
    squeeze,
    equivalentAngle: equivalentAngleOf(squeeze),
    errorPeakToPeak: errorOf(squeeze),
    ratioMin,
    ratioMax: 1 / ratioMin,
  }
}

/**
 * Largest angular acceleration behind a train that is driven at steady speed, in rad/s².
 *
 * @param speedRpm - of the driving axis
 * @see docs/methods/joints.md
 */
export const peakAcceleration = ({ squeeze }: Pick<Uniformity, 'squeeze'>, speedRpm: number): number =>
  accelerationOf(squeeze, speedRpm)

/** Peak acceleration by the small-angle rule ω²·β², in rad/s²; the explanation beside the exact figure. */
export function smallAngleAcceleration(angle: Radians, speedRpm: number): number {
  // A product, because a power costs a call in loops over samples.
  const speed = angularSpeed(speedRpm) * angle
  return speed * speed
}

/** The same on columns: from a joint's angle in radians; parameter: rev/min. */
export const SMALL_ANGLE_ACCELERATION: Kernel = {
  name: 'acceleration by the small-angle rule',
  page: 'joints',
  outputs: 1,
  run: (count, [angle], [acceleration], [speedRpm]) => {
    for (let i: Row = 0; i < count; i++)
      acceleration[i] = smallAngleAcceleration(asRadians(angle[i]), speedRpm)
  },
}

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
  let low = 0
  let high = Math.PI / 2
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (jointAcceleration(asRadians(middle), speedRpm) < accelerationLimit) low = middle
    else high = middle
  }
  return degrees(asRadians(low))
}

/** Peak acceleration behind one universal joint, in rad/s²: its squeeze is tan² of half its angle. */
export const jointAcceleration = (angle: Radians, speedRpm: number): number =>
  accelerationOf(Math.tan(angle / 2) ** 2, speedRpm)

/**
 * How unevenly a rotation comes through a train, as a vector: its length is the squeeze of the map, and it vanishes just when
 * the train runs evenly.
 *
 * From the map, the first axis and the first joint's plane normal; parameters: a fixed direction square to the axis. With p and
 * q of the map it is q·p̄/|p|²·e^(2iν), ν the angle about the axis from the fixed direction to the normal.
 */
export const UNEVENNESS: Kernel = {
  name: 'unevenness with its direction',
  page: 'uncertainty',
  outputs: 2,
  run: (count, [a, b, c, d, ax, ay, az, nx, ny, nz], [real, imaginary], [fx, fy, fz]) => {
    for (let i: Row = 0; i < count; i++) {
      const p = a[i] + d[i]
      const q = c[i] - b[i]
      const r = a[i] - d[i]
      const s = c[i] + b[i]
      const size2 = p * p + q * q
      const x = (r * p + s * q) / size2
      const y = (s * p - r * q) / size2
      const cosine = fx * nx[i] + fy * ny[i] + fz * nz[i]
      const sine =
        ax[i] * (fy * nz[i] - fz * ny[i]) +
        ay[i] * (fz * nx[i] - fx * nz[i]) +
        az[i] * (fx * ny[i] - fy * nx[i])
      const reach2 = cosine * cosine + sine * sine
      const cos2 = (cosine * cosine - sine * sine) / reach2
      const sin2 = (2 * cosine * sine) / reach2
      real[i] = x * cos2 - y * sin2
      imaginary[i] = x * sin2 + y * cos2
    }
  },
}
