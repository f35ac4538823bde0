import { workedOnce, type Kernel, type Row } from '../../base/columns/kernel'
import { rigidMoveOf, type RigidMove } from '../../base/linalg/mat3'
import { cross, norm, sub, type Vec3 } from '../../base/linalg/vec3'

/** The three points by which the powertrain sits on its mounts, chassis frame, mm. */
export interface MountPoints {
  readonly frontLeft: Vec3
  readonly frontRight: Vec3
  readonly tail: Vec3
}

/** What is done at the mounts, in mm: up is +Z, fore is +X, sideways is to the left. */
export interface MountMoves {
  readonly frontLeftUp: number
  readonly frontRightUp: number
  readonly tailUp: number
  readonly fore: number
  readonly sideways: number
  readonly tailSideways: number
}

/** What is done at the mounts, in the order in which the move takes it. */
export const MOUNT_MOVES = [
  'frontLeftUp',
  'frontRightUp',
  'tailUp',
  'fore',
  'sideways',
  'tailSideways',
] as const satisfies readonly (keyof MountMoves)[]

export const NO_MOUNT_MOVES: MountMoves = {
  frontLeftUp: 0,
  frontRightUp: 0,
  tailUp: 0,
  fore: 0,
  sideways: 0,
  tailSideways: 0,
}

/**
 * The one rigid move of the powertrain that six mount moves define, exactly: from its front left, front right and tail mount as
 * measured, and how far front left, front right and tail go up, and the powertrain forward, to the left, and its tail to the left.
 *
 * The three mount heights fix the height row of the rotation, the tail's sideways place its heading, and fore and sideways
 * the middle of the front mounts: six conditions for six freedoms. No move where the mounts are asked further apart in height
 * or sideways than they are.
 */
export const POWERTRAIN_MOVE: Kernel = {
  name: 'move of the powertrain on its mounts',
  page: 'placement',
  outputs: 12,
  run: (
    count,
    [lx, ly, lz, rx, ry, rz, tx, ty, tz, leftUp, rightUp, tailUp, fore, sideways, tailSideways],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      // From the tail to the two front mounts, and the plane of all three.
      const ax = lx[i] - tx[i]
      const ay = ly[i] - ty[i]
      const az = lz[i] - tz[i]
      const bx = rx[i] - tx[i]
      const by = ry[i] - ty[i]
      const bz = rz[i] - tz[i]
      const nx = ay * bz - az * by
      const ny = az * bx - ax * bz
      const nz = ax * by - ay * bx
      const area2 = nx * nx + ny * ny + nz * nz
      // World height as a direction in the body: two height differences give its part in the plane, its length of 1 the rest.
      const onLeft = (az + leftUp[i] - tailUp[i]) / area2
      const onRight = (bz + rightUp[i] - tailUp[i]) / area2
      let hx = onLeft * (by * nz - bz * ny) + onRight * (ny * az - nz * ay)
      let hy = onLeft * (bz * nx - bx * nz) + onRight * (nz * ax - nx * az)
      let hz = onLeft * (bx * ny - by * nx) + onRight * (nx * ay - ny * ax)
      // Of the two answers, the one with the powertrain the right way up; NaN where the rest is less than nothing.
      const rest = Math.sqrt((1 - hx * hx - hy * hy - hz * hz) / area2) * (nz < 0 ? -1 : 1)
      hx += rest * nx
      hy += rest * ny
      hz += rest * nz
      const fx = (lx[i] + rx[i]) / 2
      const fy = (ly[i] + ry[i]) / 2
      const fz = (lz[i] + rz[i]) / 2
      // From the front mounts to the tail: its part square to the height, and the third direction, span the level.
      const ux = tx[i] - fx
      const uy = ty[i] - fy
      const uz = tz[i] - fz
      const up = ux * hx + uy * hy + uz * hz
      const px = ux - up * hx
      const py = uy - up * hy
      const pz = uz - up * hz
      const reach2 = px * px + py * py + pz * pz
      const qx = hy * pz - hz * py
      const qy = hz * px - hx * pz
      const qz = hx * py - hy * px
      const across = uy + tailSideways[i]
      // The tail stays on the side of the front mounts where it was: rearward for the usual powertrain.
      const along = Math.sqrt(reach2 - across * across) * (ux < 0 ? -1 : 1)
      const c = along / reach2
      const s = across / reach2
      r00[i] = c * px - s * qx
      r01[i] = c * py - s * qy
      r02[i] = c * pz - s * qz
      r10[i] = s * px + c * qx
      r11[i] = s * py + c * qy
      r12[i] = s * pz + c * qz
      r20[i] = hx
      r21[i] = hy
      r22[i] = hz
      sx[i] = fx + fore[i] - (r00[i] * fx + r01[i] * fy + r02[i] * fz)
      sy[i] = fy + sideways[i] - (r10[i] * fx + r11[i] * fy + r12[i] * fz)
      sz[i] = fz + (leftUp[i] + rightUp[i]) / 2 - (hx * fx + hy * fy + hz * fz)
    }
  },
}

/**
 * The one rigid move of the powertrain that six mount moves define.
 *
 * @returns the move, or null when the mounts are asked further apart in height or sideways than they are
 * @see docs/methods/placement.md
 */
export function powertrainMove(mounts: MountPoints, moves: MountMoves): RigidMove | null {
  const places = [mounts.frontLeft, mounts.frontRight, mounts.tail].flatMap((place) => [...place])
  const amounts = MOUNT_MOVES.map((key) => moves[key])
  const move = workedOnce(POWERTRAIN_MOVE, [...places, ...amounts])
  return move.some(Number.isNaN) ? null : rigidMoveOf([...move])
}

/** Below this share of upright, mounts in one plane with the vertical leave a turn about it free: heights do not hold it. */
const HOLDING = 0.02

/**
 * Why heights at these mounts do not hold the powertrain, in words; null when they do.
 *
 * @param mounts - places in mm, chassis frame
 */
export function holdProblem(mounts: MountPoints): string | null {
  const normal = cross(sub(mounts.frontLeft, mounts.tail), sub(mounts.frontRight, mounts.tail))
  const size = norm(normal)
  if (size < 1) return 'its three mounts lie on one line, so lifting one has no hold: look at their readings'
  return Math.abs(normal[2]) < HOLDING * size
    ? 'its three mounts lie in one upright plane, so lifting one has no hold: look at their readings'
    : null
}
