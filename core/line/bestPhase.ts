import { multiply2, rotation2, shape2, IDENTITY_2, type Mat2 } from '../base/linalg/mat2'
import { trainMaps, planeTwist, type TrainJoint, type TrainMaps } from './joints/jointMap'
import { degrees, radians } from '../base/units/angle'
import { uniformity, type Uniformity } from './uniformity'

/** The phase of one shaft that evens the line out best, the other shafts left as they are. */
export interface BestPhase {
  /** Between −90 (excluded) and 90, positive turns the rear yoke right-handedly about the rearward axis. */
  readonly phaseDeg: number
  readonly before: Uniformity
  readonly after: Uniformity
  /** Nearest phase the spline allows, counted in teeth from yokes in phase; null without a tooth count. */
  readonly tooth: { readonly steps: number; readonly phaseDeg: number; readonly after: Uniformity } | null
}

/** A map squeezed less than this is a plain turn, to which every phase is the same. */
const ROUND = 1e-11

/**
 * Best phase of the shaft between joints `shaft` and `shaft + 1`, in closed form.
 *
 * The line is B·R(phase)·A; its squeeze is least when what A stretches most, B stretches least: a right angle between
 * the long axis A leaves behind and the long axis B takes in.
 *
 * @returns null when the phase makes no difference, as with a straight joint on one side
 * @see docs/methods/line.md
 */
export function bestPhase(
  joints: readonly TrainJoint[],
  maps: TrainMaps,
  phases: readonly number[],
  shaft: number,
  splineTeeth?: number,
): BestPhase | null {
  const front = maps.upTo[shaft] ?? IDENTITY_2
  const rear = mapBehind(joints, phases, shaft + 1)
  const frontShape = shape2(front)
  const rearShape = shape2(rear)
  if (frontShape.half / frontShape.mean < ROUND || rearShape.half / rearShape.mean < ROUND) return null

  const twist = planeTwist(joints, maps.normals, shaft + 1)
  const lineAt = (phase: number): Uniformity =>
    uniformity(multiply2(rear, multiply2(rotation2(phase - twist), front)))
  const best = halfTurn(rearShape.inputAngle + Math.PI / 2 - frontShape.outputAngle + twist)
  return {
    phaseDeg: degrees(best),
    before: lineAt(phases[shaft] ?? 0),
    after: lineAt(best),
    tooth: splineTeeth ? bestTooth(lineAt, best, splineTeeth) : null,
  }
}

function bestTooth(lineAt: (phase: number) => Uniformity, best: number, teeth: number): BestPhase['tooth'] {
  const pitch = (2 * Math.PI) / teeth
  const near = Math.round(best / pitch)
  const steps = [near - 1, near, near + 1].reduce((a, b) =>
    lineAt(b * pitch).equivalentAngle < lineAt(a * pitch).equivalentAngle ? b : a,
  )
  return { steps, phaseDeg: (steps * 360) / teeth, after: lineAt(steps * pitch) }
}

/** Map of joint `from` and all that follow, in the frame in front of joint `from`. */
export const mapBehind = (joints: readonly TrainJoint[], phases: readonly number[], from: number): Mat2 =>
  trainMaps(joints.slice(from), phases.slice(from)).upTo.at(-1) ?? IDENTITY_2

/** Rounding must not turn +90° into −90°. */
const EDGE = radians(1e-9)

/** An angle brought into (−90°, 90°]; yokes are the same after half a turn. */
function halfTurn(angle: number): number {
  const within = angle - Math.PI * Math.round(angle / Math.PI)
  return within <= -Math.PI / 2 + EDGE ? Math.min(Math.PI / 2, within + Math.PI) : within
}
