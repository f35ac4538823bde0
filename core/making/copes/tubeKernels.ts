import type { Kernel, Row } from '../../base/columns/kernel'
import { cutFrom, type TubeJoint } from './copeCut'

const DEGREES = 180 / Math.PI

/**
 * How the axis of a tube meets the axis of another: their angle (0–180°, from the tube's far end to the other's second point), the signed least distance, how
 * far along the tube from its near end the foot of the common perpendicular lies, and the way across the tube to that second point.
 *
 * From the near and far end of the tube, then both points of the other axis: forward, left, up each. The distance counts toward `d × u`, with `d` along the tube
 * from its near end and `u` the way across. Geometry of two skew lines.
 */
export const TUBE_END: Kernel = {
  name: 'how a tube meets another',
  page: 'tubes',
  outputs: 6,
  run: (count, from, [angle, offset, foot, acrossX, acrossY, acrossZ]) => {
    const [nearX, nearY, nearZ, farX, farY, farZ, ax, ay, az, bx, by] = from
    const bz = from[11]
    for (let i: Row = 0; i < count; i++) {
      let dx = farX[i] - nearX[i]
      let dy = farY[i] - nearY[i]
      let dz = farZ[i] - nearZ[i]
      const long = Math.sqrt(dx * dx + dy * dy + dz * dz)
      dx /= long
      dy /= long
      dz /= long
      let mx = bx[i] - ax[i]
      let my = by[i] - ay[i]
      let mz = bz[i] - az[i]
      const reach = Math.sqrt(mx * mx + my * my + mz * mz)
      mx /= reach
      my /= reach
      mz /= reach
      const cosine = dx * mx + dy * my + dz * mz
      const ux = mx - cosine * dx
      const uy = my - cosine * dy
      const uz = mz - cosine * dz
      const sine = Math.sqrt(ux * ux + uy * uy + uz * uz)
      const wx = nearX[i] - ax[i]
      const wy = nearY[i] - ay[i]
      const wz = nearZ[i] - az[i]
      const normal = wx * (dy * mz - dz * my) + wy * (dz * mx - dx * mz) + wz * (dx * my - dy * mx)
      angle[i] = Math.atan2(sine, cosine) * DEGREES
      offset[i] = normal / sine
      foot[i] = (cosine * (wx * mx + wy * my + wz * mz) - (wx * dx + wy * dy + wz * dz)) / (sine * sine)
      acrossX[i] = ux / sine
      acrossY[i] = uy / sine
      acrossZ[i] = uz / sine
    }
  },
}

/**
 * From the way across at one end of a tube to that at the other, turning right-handed about the tube from the first to the second end, in degrees.
 *
 * From both ends, then both ways across.
 */
export const TUBE_TWIST: Kernel = {
  name: 'turn between the ends of a tube',
  page: 'tubes',
  outputs: 1,
  run: (count, from, [twist]) => {
    const [nearX, nearY, nearZ, farX, farY, farZ, ux, uy, uz, vx, vy] = from
    const vz = from[11]
    for (let i: Row = 0; i < count; i++) {
      const dx = farX[i] - nearX[i]
      const dy = farY[i] - nearY[i]
      const dz = farZ[i] - nearZ[i]
      const long = Math.sqrt(dx * dx + dy * dy + dz * dz)
      const turned =
        dx * (uy[i] * vz[i] - uz[i] * vy[i]) +
        dy * (uz[i] * vx[i] - ux[i] * vz[i]) +
        dz * (ux[i] * vy[i] - uy[i] * vx[i])
      twist[i] = Math.atan2(turned / long, ux[i] * vx[i] + uy[i] * vy[i] + uz[i] * vz[i]) * DEGREES
    }
  },
}

/** From foot to foot of a tube: its two ends, less how far each foot lies inward of its end. */
export const TUBE_AXIS: Kernel = {
  name: 'a tube from axis to axis',
  page: 'tubes',
  outputs: 1,
  run: (count, [nearX, nearY, nearZ, farX, farY, farZ, first, second], [axis]) => {
    for (let i: Row = 0; i < count; i++) {
      const dx = farX[i] - nearX[i]
      const dy = farY[i] - nearY[i]
      const dz = farZ[i] - nearZ[i]
      axis[i] = Math.sqrt(dx * dx + dy * dy + dz * dz) - first[i] - second[i]
    }
  },
}

/** Nearer than the tops and bottoms of a cut stand to each other. */
const SAMPLE = Math.PI / 90
const GOLDEN = (Math.sqrt(5) - 1) / 2

/**
 * A cope as it is cut: from the foot of the common perpendicular to the cut at the match line, to its tip (the least all the way round) and to its root (the most);
 * and how far the main tube reaches beyond the branch at its sides.
 *
 * From the angle of the axes, their least distance, and where round the branch the match line lies, in degrees; parameters: outside diameter and wall of the branch, outside
 * diameter of the main tube. No number where the branch overhangs.
 */
export const TUBE_CUT: Kernel = {
  name: 'cope of a tube',
  page: 'tubes',
  outputs: 4,
  run: (
    count,
    [angle, offset, match],
    [atMatch, tip, root, room],
    [branchOuterMm, branchWallMm, mainOuterMm],
  ) => {
    const joint = { branchOuterMm, branchWallMm, mainOuterMm, angleDeg: 90, offsetMm: 0 }
    for (let i: Row = 0; i < count; i++) {
      joint.angleDeg = angle[i]
      joint.offsetMm = offset[i]
      room[i] = mainOuterMm / 2 - Math.abs(offset[i]) - branchOuterMm / 2
      const isWhole = room[i] >= 0
      atMatch[i] = isWhole ? cutFrom(joint, match[i] / DEGREES) : NaN
      tip[i] = isWhole ? furthest(joint, -1) : NaN
      root[i] = isWhole ? furthest(joint, 1) : NaN
    }
  },
}

/** The least or the most of a cut all the way round: sampled, then narrowed by the golden section. */
function furthest(joint: TubeJoint, sense: 1 | -1): number {
  let best = 0
  let most = -Infinity
  for (let phi = 0; phi < 2 * Math.PI; phi += SAMPLE) {
    const here = sense * cutFrom(joint, phi)
    if (here > most) {
      most = here
      best = phi
    }
  }
  let low = best - SAMPLE
  let high = best + SAMPLE
  for (let k = 0; k < 30; k++) {
    const left = high - GOLDEN * (high - low)
    const right = low + GOLDEN * (high - low)
    if (sense * cutFrom(joint, left) > sense * cutFrom(joint, right)) high = right
    else low = left
  }
  return cutFrom(joint, (low + high) / 2)
}

/** A length less what both ends take of it, with some left on; parameter: that. */
export const LESS_BOTH: Kernel = {
  name: 'length between two copes',
  page: 'tubes',
  outputs: 1,
  run: (count, [axis, first, second], [left], [spare]) => {
    for (let i: Row = 0; i < count; i++) left[i] = axis[i] - first[i] - second[i] + spare
  },
}
