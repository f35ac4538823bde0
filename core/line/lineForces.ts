import { JOINTS } from '../file/parts/joints'
import { planeNormal, type TrainJoint } from './joints/jointMap'
import { dot, norm, scale, sub, unit, type Vec3 } from '../base/linalg/vec3'
import { peakOf } from './peakOf'
import { newTurnForces, workForces, type TurnForces } from './turnForces'

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
  /** Empty where a shaft that is not the last hangs on no bearing. */
  readonly bearings: readonly BearingLoad[]
}

/** A line as it carries forces: joint centres in mm along the power flow, and how far behind the front joint each bearing stands. */
export interface ForceLine {
  readonly train: readonly TrainJoint[]
  /** One between each two joints, in radians about the flow direction. */
  readonly phases: readonly number[]
  /** Of the shafts, joint to joint, in mm. */
  readonly lengths: readonly number[]
  /** From the front joint along the shaft to its bearing, in mm; null for a shaft without. */
  readonly bearings: readonly (number | null)[]
}

/**
 * Couples of every joint and forces of every centre bearing over a turn at a steady torque.
 *
 * @param torqueNm - of the driving axis; negative on overrun
 * @see docs/methods/couples.md
 */
export function lineForces(line: ForceLine, torqueNm: number): LineForces {
  const { train, bearings } = line
  const held = bearings.slice(0, -1)
  const work = filled(line)
  const joints = train.map(() => ({
    torque: new Float64Array(STEPS),
    onDriving: new Float64Array(STEPS),
    onDriven: new Float64Array(STEPS),
  }))
  const forces = held.map(() => [] as Vec3[])
  for (let step = 0; step < STEPS; step++) {
    workForces(work, torqueNm, (Math.PI * step) / STEPS)
    joints.forEach((joint, index) => {
      joint.torque[step] = work.torque[index] ?? NaN
      joint.onDriving[step] = norm(vectorOf(work.onDriving, index))
      joint.onDriven[step] = norm(vectorOf(work.onDriven, index))
    })
    forces.forEach((list, shaft) => list.push(vectorOf(work.force, shaft)))
  }
  return {
    joints: joints.map(({ torque, onDriving, onDriven }) => ({
      meanTorque: torque.reduce((sum, value) => sum + value, 0) / STEPS,
      onDriving: peakOf(onDriving),
      onDriven: peakOf(onDriven),
    })),
    bearings: held.includes(null)
      ? []
      : forces.map((list, shaft) => bearingLoad(shaft, list, (train[shaft] as TrainJoint).outgoing)),
  }
}

function filled({ train, phases, lengths, bearings }: ForceLine): TurnForces {
  const work = newTurnForces(train.length)
  train.forEach(({ kind, incoming, outgoing }, joint) => {
    if (joint === 0) work.axes.set(incoming)
    work.axes.set(outgoing, 3 * (joint + 1))
    work.normals.set(planeNormal(incoming, outgoing), 3 * joint)
    work.isCross[joint] = JOINTS[kind].isConstant ? 0 : 1
  })
  work.phases.set(phases)
  work.lengths.set(lengths)
  work.reaches.set(bearings.map((reach) => reach ?? NaN))
  return work
}

const vectorOf = (cells: Float64Array, index: number): Vec3 =>
  [...cells.subarray(3 * index, 3 * index + 3)] as unknown as Vec3

const square = (vector: Vec3, axis: Vec3): Vec3 => sub(vector, scale(axis, dot(vector, axis)))

function bearingLoad(shaft: number, forces: readonly Vec3[], axis: Vec3): BearingLoad {
  const up = unit(square([0, 0, 1], axis))
  const left = unit(square([0, 1, 0], axis))
  // Squared, for the size itself has a kink where it comes near nought.
  const sizes = Float64Array.from(forces, (force) => dot(force, force))
  const upward = Float64Array.from(forces, (force) => dot(force, up))
  const leftward = Float64Array.from(forces, (force) => dot(force, left))
  const least = (values: Float64Array) => -peakOf(values.map((value) => -value))
  const mean = [0, 1, 2].map(
    (i) => forces.reduce((sum, force) => sum + (force[i] ?? 0), 0) / forces.length,
  ) as unknown as Vec3
  return {
    shaft,
    maxN: Math.sqrt(peakOf(sizes)),
    minN: Math.sqrt(Math.max(0, least(sizes))),
    upwardSwingN: peakOf(upward) - least(upward),
    leftSwingN: peakOf(leftward) - least(leftward),
    meanN: norm(mean),
    curve: forces.map((_, step) => [upward[step] as number, leftward[step] as number] as const),
  }
}
