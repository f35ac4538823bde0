/** A couple in Nm over a length in mm, as a force in N. */
const NEWTON_METRES_OVER_MM = 1000

/**
 * A line under torque at one instant of its turn, in flat arrays that are used again and again: three numbers a vector, chassis frame.
 */
export interface TurnForces {
  readonly joints: number
  /** Unit vectors along the power flow: driving axis, each shaft, driven axis. */
  readonly axes: Float64Array
  /** Unit normals of the joints' planes. */
  readonly normals: Float64Array
  /** 1 for a cross joint, 0 for constant velocity. */
  readonly isCross: Uint8Array
  /** Phases of the shafts about the flow direction, in radians. */
  readonly phases: Float64Array
  /** Joint to joint in mm. */
  readonly lengths: Float64Array
  /** From the front joint to the bearing in mm; NaN for a shaft without, and for the last one. */
  readonly reaches: Float64Array
  /** Torque at the driving side of each joint, in the unit of the torque. */
  readonly torque: Float64Array
  /** Couples that bend the driving and the driven shaft of each joint, square to it. */
  readonly onDriving: Float64Array
  readonly onDriven: Float64Array
  /** Force of each shaft's bearing on it, in N where torque is in Nm. */
  readonly force: Float64Array
}

/** Room for a line of some joints. */
export const newTurnForces = (joints: number): TurnForces => ({
  joints,
  axes: new Float64Array(3 * (joints + 1)),
  normals: new Float64Array(3 * joints),
  isCross: new Uint8Array(joints),
  phases: new Float64Array(joints),
  lengths: new Float64Array(joints),
  reaches: new Float64Array(joints).fill(NaN),
  torque: new Float64Array(joints),
  onDriving: new Float64Array(3 * joints),
  onDriven: new Float64Array(3 * joints),
  force: new Float64Array(3 * joints),
})

/** The cell of an array that holds it; to the type checker there may be none. */
const at = (cells: Float64Array, index: number): number => cells[index] as number

/**
 * Works out torques, couples and bearing forces at one instant, without friction, weight, unbalance and inertia.
 *
 * The cross of a universal joint carries a moment along its own normal n = u × v only, u and v its arms: M = n·T/(n·a). A joint of constant
 * velocity carries it along the bisector of its axes. What is not torque bends the shaft. Each shaft is held at its front joint and at its
 * bearing, the last one at its two joints; what the next shaft needs hangs on the rear joint of the one before.
 *
 * @param torque - of the driving axis; negative on overrun
 * @param turn - of the driving yoke in radians, 0 with its arm along the first joint's normal
 * @see docs/methods/couples.md (statics of the cross and of a line of beams)
 */
export function workForces(line: TurnForces, torque: number, turn: number): void {
  const { joints, axes, normals, isCross, phases, onDriving, onDriven } = line
  let here = torque
  const ax = at(axes, 0)
  const ay = at(axes, 1)
  const az = at(axes, 2)
  const nx = at(normals, 0)
  const ny = at(normals, 1)
  const nz = at(normals, 2)
  const cosine = Math.cos(turn)
  const sine = Math.sin(turn)
  // The driving yoke's arm, square to the axis.
  let ux = cosine * nx + sine * (ay * nz - az * ny)
  let uy = cosine * ny + sine * (az * nx - ax * nz)
  let uz = cosine * nz + sine * (ax * ny - ay * nx)
  for (let joint = 0; joint < joints; joint++) {
    const i = 3 * joint
    const px = at(axes, i)
    const py = at(axes, i + 1)
    const pz = at(axes, i + 2)
    const qx = at(axes, i + 3)
    const qy = at(axes, i + 4)
    const qz = at(axes, i + 5)
    line.torque[joint] = here
    let vx = 0
    let vy = 0
    let vz = 0
    let mx = 0
    let my = 0
    let mz = 0
    if (isCross[joint] === 1) {
      vx = qy * uz - qz * uy
      vy = qz * ux - qx * uz
      vz = qx * uy - qy * ux
      const size = Math.sqrt(vx * vx + vy * vy + vz * vz)
      vx /= size
      vy /= size
      vz /= size
      mx = uy * vz - uz * vy
      my = uz * vx - ux * vz
      mz = ux * vy - uy * vx
    } else {
      // The arm is tipped together with the axis, about the normal of the joint's plane.
      const kx = at(normals, i)
      const ky = at(normals, i + 1)
      const kz = at(normals, i + 2)
      const along = ux * kx + uy * ky + uz * kz
      const inPlane = ux * (py * kz - pz * ky) + uy * (pz * kx - px * kz) + uz * (px * ky - py * kx)
      vx = along * kx + inPlane * (qy * kz - qz * ky)
      vy = along * ky + inPlane * (qz * kx - qx * kz)
      vz = along * kz + inPlane * (qx * ky - qy * kx)
      mx = px + qx
      my = py + qy
      mz = pz + qz
    }
    const factor = here / (mx * px + my * py + mz * pz)
    mx *= factor
    my *= factor
    mz *= factor
    onDriving[i] = here * px - mx
    onDriving[i + 1] = here * py - my
    onDriving[i + 2] = here * pz - mz
    const handed = mx * qx + my * qy + mz * qz
    onDriven[i] = mx - handed * qx
    onDriven[i + 1] = my - handed * qy
    onDriven[i + 2] = mz - handed * qz
    here = handed
    const c = Math.cos(at(phases, joint))
    const s = Math.sin(at(phases, joint))
    ux = c * vx + s * (qy * vz - qz * vy)
    uy = c * vy + s * (qz * vx - qx * vz)
    uz = c * vz + s * (qx * vy - qy * vx)
  }
  workBearings(line)
}

/** From the last shaft forward, moments about each front joint. */
function workBearings({ joints, axes, lengths, reaches, onDriving, onDriven, force }: TurnForces): void {
  const last = joints - 2
  // On the rear joint of the shaft at hand, from the shaft behind it.
  let hx = 0
  let hy = 0
  let hz = 0
  for (let shaft = last; shaft >= 0; shaft--) {
    const i = 3 * shaft
    const ax = at(axes, i + 3)
    const ay = at(axes, i + 4)
    const az = at(axes, i + 5)
    const along = hx * ax + hy * ay + hz * az
    const lx = hx - along * ax
    const ly = hy - along * ay
    const lz = hz - along * az
    const length = at(lengths, shaft)
    const support = shaft === last ? length : at(reaches, shaft)
    const mx = at(onDriven, i) + at(onDriving, i + 3)
    const my = at(onDriven, i + 1) + at(onDriving, i + 4)
    const mz = at(onDriven, i + 2) + at(onDriving, i + 5)
    const turning = NEWTON_METRES_OVER_MM / support
    const lever = length / support
    const fx = turning * (ay * mz - az * my) - lever * lx
    const fy = turning * (az * mx - ax * mz) - lever * ly
    const fz = turning * (ax * my - ay * mx) - lever * lz
    force[i] = fx
    force[i + 1] = fy
    force[i + 2] = fz
    // What the front joint does to this shaft, this shaft does to the one before.
    hx = lx + fx
    hy = ly + fy
    hz = lz + fz
  }
}
