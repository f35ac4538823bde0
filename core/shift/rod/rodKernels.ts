import type { Kernel, Row } from '../../base/columns/kernel'

const DEGREES = 180 / Math.PI
const TURN = 2 * Math.PI

/** The pin of an arm: from its pivot, both ways of its plane, its angle in it and its length. */
export const PIN_AT: Kernel = {
  name: 'the pin of an arm',
  page: 'shift',
  outputs: 3,
  run: (count, [px, py, pz, fx, fy, fz, tx, ty, tz, angle, armMm], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const along = armMm[i] * Math.cos(angle[i])
      const up = armMm[i] * Math.sin(angle[i])
      x[i] = px[i] + along * fx[i] + up * tx[i]
      y[i] = py[i] + along * fy[i] + up * ty[i]
      z[i] = pz[i] + along * fz[i] + up * tz[i]
    }
  },
}

/** Where the pin of an arm goes to for each radian: from both ways of its plane, its angle and its length. */
export const PIN_SWAY: Kernel = {
  name: 'the way of a pin',
  page: 'shift',
  outputs: 3,
  run: (count, [fx, fy, fz, tx, ty, tz, angle, armMm], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const along = -armMm[i] * Math.sin(angle[i])
      const up = armMm[i] * Math.cos(angle[i])
      x[i] = along * fx[i] + up * tx[i]
      y[i] = along * fy[i] + up * ty[i]
      z[i] = along * fz[i] + up * tz[i]
    }
  },
}

/**
 * The angles of an arm at which its pin lies a rod away from a place, as `reachOf` tells them: middle, half, and how much the rod is too short. From the place, the
 * arm's pivot, both ways of its plane, the rod and the arm.
 */
export const ROD_REACH: Kernel = {
  name: 'where a rod lets an arm stand',
  page: 'shift',
  outputs: 3,
  run: (count, [x, y, z, px, py, pz, fx, fy, fz, tx, ty, tz, rod, arm], [middle, half, short]) => {
    for (let i: Row = 0; i < count; i++) {
      const rodMm = rod[i]
      const armMm = arm[i]
      const wx = x[i] - px[i]
      const wy = y[i] - py[i]
      const wz = z[i] - pz[i]
      const along = wx * fx[i] + wy * fy[i] + wz * fz[i]
      const up = wx * tx[i] + wy * ty[i] + wz * tz[i]
      const across = 2 * armMm * Math.sqrt(along * along + up * up)
      const squares = wx * wx + wy * wy + wz * wz + armMm * armMm
      const cosine = (squares - rodMm * rodMm) / across
      middle[i] = Math.atan2(up, along)
      half[i] = Math.acos(cosine)
      const nearest = Math.sqrt(Math.max(0, squares - across))
      const farthest = Math.sqrt(squares + across)
      short[i] = rodMm < nearest ? nearest - rodMm : rodMm > farthest ? farthest - rodMm : 0
    }
  },
}

/** From pin to pin: the rod that puts the gearbox just into a detent. From both pins. */
export const ROD_BETWEEN: Kernel = {
  name: 'the rod between two pins',
  page: 'shift',
  outputs: 1,
  run: (count, [ax, ay, az, bx, by, bz], [rod]) => {
    for (let i: Row = 0; i < count; i++) {
      const x = bx[i] - ax[i]
      const y = by[i] - ay[i]
      const z = bz[i] - az[i]
      rod[i] = Math.sqrt(x * x + y * y + z * z)
    }
  },
}

/** 1 or −1, whichever of `middle ± half` stands nearest a detent: from both, and the detent. */
export const ROD_BRANCH: Kernel = {
  name: 'the way a linkage is put together',
  page: 'shift',
  outputs: 1,
  run: (count, [middle, half, detent], [branch]) => {
    for (let i: Row = 0; i < count; i++) {
      const over = middle[i] - detent[i]
      const ahead = over + half[i] - TURN * Math.round((over + half[i]) / TURN)
      const behind = over - half[i] - TURN * Math.round((over - half[i]) / TURN)
      branch[i] = Math.abs(behind) < Math.abs(ahead) ? -1 : 1
    }
  },
}

/** Where the gearbox's arm comes to, and how far beyond its detent in degrees: from middle and half, the branch and the detent. */
export const ARM_REACHED: Kernel = {
  name: 'where the rod puts the gearbox',
  page: 'shift',
  outputs: 2,
  run: (count, [middle, half, branch, detent], [angle, error]) => {
    for (let i: Row = 0; i < count; i++) {
      angle[i] = middle[i] + branch[i] * half[i]
      const over = angle[i] - detent[i]
      error[i] = (over - TURN * Math.round(over / TURN)) * DEGREES
    }
  },
}

/** The way of a rod from pin to pin, by which its lever pulls it. */
export const ROD_PULLS: Kernel = {
  name: 'the way of a rod',
  page: 'shift',
  outputs: 3,
  run: (count, [lx, ly, lz, bx, by, bz], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      x[i] = bx[i] - lx[i]
      y[i] = by[i] - ly[i]
      z[i] = bz[i] - lz[i]
    }
  },
}

/** How a lever pulls a cable, told as a rod's way would be: from the outer fixing, its pin, and what is left outside at the gearbox. */
export const CABLE_PULLS: Kernel = {
  name: 'the pull of a lever at its cable',
  page: 'shift',
  outputs: 3,
  run: (count, [fx, fy, fz, px, py, pz, held], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const a = px[i] - fx[i]
      const b = py[i] - fy[i]
      const c = pz[i] - fz[i]
      // What goes out here comes in there.
      const share = -held[i] / Math.sqrt(a * a + b * b + c * c)
      x[i] = a * share
      y[i] = b * share
      z[i] = c * share
    }
  },
}

/**
 * How what holds the gearbox's arm stands to it, in degrees of which 90 are best, and what that arm turns for each of the lever: from where it is held, its pin, the
 * way in which the lever pulls, the way of each pin, how far it is held and the arm.
 */
export const ROD_ON_ARM: Kernel = {
  name: 'how a rod pulls its arm',
  page: 'shift',
  outputs: 2,
  run: (
    count,
    [hx, hy, hz, bx, by, bz, wx, wy, wz, mx, my, mz, nx, ny, nz, held, boxArmMm],
    [transmission, ratio],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const fromLever = wx[i] * mx[i] + wy[i] * my[i] + wz[i] * mz[i]
      const fromBox = (bx[i] - hx[i]) * nx[i] + (by[i] - hy[i]) * ny[i] + (bz[i] - hz[i]) * nz[i]
      transmission[i] = Math.asin(Math.min(1, Math.abs(fromBox) / (held[i] * boxArmMm[i]))) * DEGREES
      ratio[i] = fromLever / fromBox
    }
  },
}
