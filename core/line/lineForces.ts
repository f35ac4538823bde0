import { jointCouple } from '../joints/jointCouple'
import { planeNormal, type ChainJoint } from '../joints/jointMap'
import { add, cross, dot, norm, scale, sub, turnAbout, unit, type Vec3 } from '../linalg/vec3'
import { zeroArmOf } from './sampledChain'

/** Instants of half a turn; a joint stands the same again after it. */
const STEPS = 96

/** Torque and couples of one joint over a turn, in the unit of the torque. */
export interface JointLoad {
  /** Of its driving shaft, mean over a turn. */
  readonly meanTorque: number
  /** Greatest couple on the driving and on the driven shaft. */
  readonly onDriving: number
  readonly onDriven: number
}

/** Force of a centre bearing on its shaft over a turn, in N where torque is in Nm. */
export interface BearingLoad {
  /** Counted from 0 along the power flow. */
  readonly shaft: number
  readonly maxN: number
  readonly minN: number
  /** Swing upward, square to the shaft, and to the left, peak to peak. */
  readonly upwardSwingN: number
  readonly leftSwingN: number
  /** Size of the steady part. */
  readonly meanN: number
  /** Upward and leftward part at each instant of half a turn of the driving axis. */
  readonly curve: readonly (readonly [number, number])[]
}

export interface LineForces {
  readonly joints: readonly JointLoad[]
  readonly bearings: readonly BearingLoad[]
}

/** A line as it carries forces: joint centres in mm along the power flow, and how far behind the front joint each bearing stands. */
export interface ForceLine {
  readonly chain: readonly ChainJoint[]
  /** One between each two joints, in radians about the flow direction. */
  readonly phases: readonly number[]
  /** Of the shafts, joint to joint, in mm. */
  readonly lengths: readonly number[]
  /** From the front joint along the shaft to its bearing, in mm; null for a shaft without. */
  readonly bearings: readonly (number | null)[]
}

/**
 * Couples of every joint and forces of every centre bearing over a turn at a steady torque: each shaft is held at its front joint and at its
 * bearing, the last one at its two joints; what the next shaft needs hangs on the rear joint of the one before. No friction, no weight,
 * no unbalance, no inertia.
 *
 * @param torqueNm - of the driving axis; negative on overrun
 * @see docs/methods/couples.md (statics of a line of beams)
 */
export function lineForces(line: ForceLine, torqueNm: number): LineForces {
  const { chain, bearings } = line
  const first = chain[0]
  if (!first) return { joints: [], bearings: [] }
  const normals = chain.map(({ incoming, outgoing }) => planeNormal(incoming, outgoing))
  const zero = zeroArmOf(first.incoming)
  const torques = chain.map(() => new Float64Array(STEPS))
  const driving = chain.map(() => new Float64Array(STEPS))
  const driven = chain.map(() => new Float64Array(STEPS))
  const forces = bearings.map(() => [] as Vec3[])

  for (let step = 0; step < STEPS; step++) {
    let arm = turnAbout(zero, first.incoming, (Math.PI * step) / STEPS)
    let torque = torqueNm
    const couples = chain.map((joint, index) => {
      const couple = jointCouple(joint, normals[index] as Vec3, arm, torque)
      ;(torques[index] as Float64Array)[step] = torque
      ;(driving[index] as Float64Array)[step] = norm(couple.onDriving)
      ;(driven[index] as Float64Array)[step] = norm(couple.onDriven)
      torque = couple.torque
      arm = turnAbout(couple.drivenArm, joint.outgoing, line.phases[index] ?? 0)
      return couple
    })
    const bending = line.lengths.map((_, index) =>
      add(
        (couples[index] as { onDriven: Vec3 }).onDriven,
        (couples[index + 1] as { onDriving: Vec3 }).onDriving,
      ),
    )
    bearingForces(line, bending).forEach((force, shaft) => force && forces[shaft]?.push(force))
  }
  return {
    joints: chain.map((_, index) => ({
      meanTorque: meanOf(torques[index] as Float64Array),
      onDriving: peakOf(driving[index] as Float64Array),
      onDriven: peakOf(driven[index] as Float64Array),
    })),
    bearings: forces.flatMap((list, shaft) =>
      list.length > 0 ? [bearingLoad(shaft, list, (chain[shaft] as ChainJoint).outgoing)] : [],
    ),
  }
}

/**
 * Force of each bearing on its shaft in N, from the couples that bend the shafts in Nm; null for the last shaft, and for all of a line in
 * which one before it hangs on nothing.
 */
function bearingForces({ chain, lengths, bearings }: ForceLine, bending: readonly Vec3[]): (Vec3 | null)[] {
  const found: (Vec3 | null)[] = lengths.map(() => null)
  const last = lengths.length - 1
  if (bearings.slice(0, last).some((at) => at === null)) return found
  /** On the rear joint of the shaft at hand, from the shaft behind it. */
  let hanging: Vec3 = [0, 0, 0]
  for (let shaft = last; shaft >= 0; shaft--) {
    const axis = (chain[shaft] as ChainJoint).outgoing
    const length = lengths[shaft] as number
    const support = shaft === last ? length : (bearings[shaft] as number)
    const load = square(hanging, axis)
    // Moments about the front joint; a couple in Nm over a length in mm is a thousand times as many N.
    const turning = scale(cross(axis, bending[shaft] as Vec3), 1000 / support)
    const held = sub(turning, scale(load, length / support))
    if (shaft < last) found[shaft] = held
    // What the front joint does to this shaft, this shaft does to the one before.
    hanging = add(load, held)
  }
  return found
}

const square = (vector: Vec3, axis: Vec3): Vec3 => sub(vector, scale(axis, dot(vector, axis)))

function bearingLoad(shaft: number, forces: readonly Vec3[], axis: Vec3): BearingLoad {
  const up = unit(square([0, 0, 1], axis))
  const left = unit(square([0, 1, 0], axis))
  // Squared, for the size itself has a kink where it comes near nought.
  const sizes = Float64Array.from(forces, (force) => dot(force, force))
  const upward = Float64Array.from(forces, (force) => dot(force, up))
  const leftward = Float64Array.from(forces, (force) => dot(force, left))
  const mean = scale(forces.reduce(add), 1 / forces.length)
  return {
    shaft,
    maxN: Math.sqrt(peakOf(sizes)),
    minN: Math.sqrt(Math.max(0, -peakOf(sizes.map((size) => -size)))),
    upwardSwingN: peakOf(upward) + peakOf(upward.map((part) => -part)),
    leftSwingN: peakOf(leftward) + peakOf(leftward.map((part) => -part)),
    meanN: norm(mean),
    curve: forces.map((_, step) => [upward[step] as number, leftward[step] as number] as const),
  }
}

const meanOf = (values: Float64Array): number => values.reduce((sum, value) => sum + value, 0) / values.length

/** Greatest value of a periodic curve, by the parabola through its highest sample and the two beside it. */
function peakOf(values: Float64Array): number {
  let best = 0
  for (let i = 1; i < values.length; i++) if ((values[i] as number) > (values[best] as number)) best = i
  const at = (i: number) => values[(i + values.length) % values.length] as number
  const here = at(best)
  const bend = at(best - 1) - 2 * here + at(best + 1)
  const slope = at(best + 1) - at(best - 1)
  return bend < 0 ? here - (slope * slope) / (8 * bend) : here
}
