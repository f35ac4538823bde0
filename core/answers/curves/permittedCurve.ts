import type { LimitEntry, Verdict } from '../../file/build/limit'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { permittedAngleDeg } from '../../line/uniformity'

/** A joint on the chart of permitted angles. */
export interface JointOnCurve {
  readonly number: number
  readonly speedRpm: number
  readonly angleDeg: number
  readonly verdict: Verdict
}

/** The permitted joint angle against shaft speed, and where a line's joints stand. */
export interface PermittedCurve {
  /** [rev/min, degrees] */
  readonly limit: readonly (readonly [number, number])[]
  readonly accelerationLimit: number
  readonly joints: readonly JointOnCurve[]
}

const SLOWEST = 500
const STEP = 100

/**
 * Angle at which a shaft reaches its acceleration limit, from 500 rev/min to well past its highest speed.
 *
 * @returns null when no limit on shaft inertia is set or the highest speed is not known
 */
export function permittedCurve(
  evaluation: LineEvaluation,
  limits: readonly LimitEntry[],
): PermittedCurve | null {
  const bound = limits.find((limit) => limit.quantity === 'shaft-inertia')?.failAbove
  const { speed, ride, line } = evaluation
  if (bound === undefined || !speed.known || !ride.known) return null
  const { speedRpm } = speed.value
  const fastest = Math.max(6000, Math.ceil((speedRpm * 1.3) / 500) * 500)
  const speeds = Array.from(
    { length: Math.floor((fastest - SLOWEST) / STEP) + 1 },
    (_, i) => SLOWEST + i * STEP,
  )
  const verdictOf = (index: number) =>
    evaluation.checks.find((check) => check.subject.of === 'joint' && check.subject.index === index)
      ?.verdict ?? 'unknown'
  return {
    limit: speeds.map((rpm) => [rpm, permittedAngleDeg(bound, rpm)]),
    accelerationLimit: bound,
    joints: line.joints.map((_, index) => ({
      number: index + 1,
      speedRpm,
      angleDeg: ride.value.anglesDeg[index] ?? 0,
      verdict: verdictOf(index),
    })),
  }
}
