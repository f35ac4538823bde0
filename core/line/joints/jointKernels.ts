import type { Kernel, Row } from '../../base/columns/kernel'
import { angleTo, degrees } from '../../base/units/angle'

/** Below this sine the two axes share no plane worth the name, and any one will do. */
const STRAIGHT_SINE = 1e-12

/**
 * A joint between two unit axes along the power flow: its working angle in radians, the cosine of it, the unit normal of its
 * plane (for a straight joint some direction square to its axis), and the angle in degrees.
 */
export const JOINT: Kernel = {
  name: 'working angle of a joint',
  page: 'joints',
  outputs: 6,
  run: (count, [ix, iy, iz, ox, oy, oz], [angle, cosine, nx, ny, nz, angleDeg]) => {
    for (let i: Row = 0; i < count; i++) {
      const ax = ix[i]
      const ay = iy[i]
      const az = iz[i]
      const x = ay * oz[i] - az * oy[i]
      const y = az * ox[i] - ax * oz[i]
      const z = ax * oy[i] - ay * ox[i]
      const sine = Math.sqrt(x * x + y * y + z * z)
      const dot = ax * ox[i] + ay * oy[i] + az * oz[i]
      // Of the two, the sine is exact for tiny angles, where the cosine alone would lose them.
      const turn = angleTo(sine, dot)
      angle[i] = turn
      angleDeg[i] = degrees(turn)
      cosine[i] = dot
      if (sine >= STRAIGHT_SINE) {
        const inverse = 1 / sine
        nx[i] = x * inverse
        ny[i] = y * inverse
        nz[i] = z * inverse
        continue
      }
      // Square to the axis and away from its largest part, for good conditioning.
      const isLow = Math.abs(az) <= Math.abs(ax) && Math.abs(az) <= Math.abs(ay)
      const isNarrow = !isLow && Math.abs(ay) <= Math.abs(ax)
      const u = isLow ? ay : isNarrow ? -az : 0
      const v = isLow ? -ax : isNarrow ? 0 : az
      const w = isLow ? 0 : isNarrow ? ax : -ay
      const size = Math.sqrt(u * u + v * v + w * w)
      nx[i] = u / size
      ny[i] = v / size
      nz[i] = w / size
    }
  },
}

/**
 * What the first joint of a train does to the direction of a yoke arm, in the frame whose first direction is its plane's
 * normal, as a 2×2 matrix by rows: from the cosine of its angle; parameter: 1 for a cross joint, 0 for constant velocity.
 *
 * A cross joint turns (cos a, sin a) into (−cos β·sin a, cos a); kinds of constant velocity hand it on unchanged.
 */
export const FIRST_MAP: Kernel = {
  name: 'how the first joint hands the turn on',
  page: 'line',
  outputs: 4,
  run: (count, [cosine], [a, b, c, d], [isCross]) => {
    for (let i: Row = 0; i < count; i++) {
      a[i] = isCross ? 0 : 1
      b[i] = isCross ? -cosine[i] : 0
      c[i] = isCross ? 1 : 0
      d[i] = isCross ? 0 : 1
    }
  },
}

/**
 * The map of a train up to a further joint: from the map before, the axis between the joints, the plane normals of the joint
 * before and of this one, and the cosine of this one's angle; parameters: cosine and sine of the phase of the shaft between,
 * then 1 for a cross joint.
 *
 * Before the joint the arm is seen from the new plane: turned by the phase less the twist of the planes about the shaft.
 */
export const NEXT_MAP: Kernel = {
  name: 'how a further joint hands the turn on',
  page: 'line',
  outputs: 4,
  run: (
    count,
    [m0, m1, m2, m3, ax, ay, az, bx, by, bz, hx, hy, hz, cosine],
    [a, b, c, d],
    [cosPhase, sinPhase, isCross],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const cosTwist = bx[i] * hx[i] + by[i] * hy[i] + bz[i] * hz[i]
      const sinTwist =
        ax[i] * (by[i] * hz[i] - bz[i] * hy[i]) +
        ay[i] * (bz[i] * hx[i] - bx[i] * hz[i]) +
        az[i] * (bx[i] * hy[i] - by[i] * hx[i])
      const cos = cosPhase * cosTwist + sinPhase * sinTwist
      const sin = sinPhase * cosTwist - cosPhase * sinTwist
      const t0 = cos * m0[i] - sin * m2[i]
      const t1 = cos * m1[i] - sin * m3[i]
      const t2 = sin * m0[i] + cos * m2[i]
      const t3 = sin * m1[i] + cos * m3[i]
      a[i] = isCross ? -cosine[i] * t2 : t0
      b[i] = isCross ? -cosine[i] * t3 : t1
      c[i] = isCross ? t0 : t2
      d[i] = isCross ? t1 : t3
    }
  },
}
