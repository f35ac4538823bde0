import type { Cells, Kernel, Row } from '../../base/columns/kernel'

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

/** What is left of a detent: what it draws in, less half the lost motion and how far off the gearbox's arm stands at the worst. From those, the errors last. */
export const leftOfDetent = (errors: number): Kernel => ({
  name: 'what is left of a detent',
  page: 'shift',
  outputs: 1,
  run: (count, from, [left]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let most = 0
      for (let k = 2; k < errors + 2; k++) most = Math.max(most, Math.abs((cells[k] as Cells)[i]))
      left[i] = (cells[0] as Cells)[i] - most - (cells[1] as Cells)[i] / 2
    }
  },
})

/** The largest of some figures, whatever their signs. */
export const largestOf = (figures: number): Kernel => ({
  name: 'the largest error with the engine rocked',
  page: 'shift',
  outputs: 1,
  run: (count, from, [largest]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let most = 0
      for (let k = 0; k < figures; k++) most = Math.max(most, Math.abs((cells[k] as Cells)[i]))
      largest[i] = most
    }
  },
})

/** What the plays of both pins and the lost motion of a cable let the gearbox's arm turn, in degrees: from its length, and that lost motion. Parameter: both plays. */
export const PLAYS_LET: Kernel = {
  name: 'lost motion of a shift rod',
  page: 'shift',
  outputs: 1,
  run: (count, [armMm, cable], [lost], [playMm]) => {
    for (let i: Row = 0; i < count; i++) lost[i] = ((playMm + cable[i]) / armMm[i]) * DEGREES
  },
}

/** What a detent draws in: a share of the step to the next that is nearest, in degrees. From up to ten detents in their order, in radians. */
export const detentCapture = (detents: number, share: number): Kernel => ({
  name: 'what a detent draws in',
  page: 'shift',
  outputs: 1,
  run: (count, from, [capture]) => {
    const columns = from as unknown as readonly { [row in Row]: number }[]
    for (let i: Row = 0; i < count; i++) {
      let least = Infinity
      for (let k = 1; k < detents; k++) {
        const [before, here] = [columns[k - 1], columns[k]]
        if (before && here) least = Math.min(least, Math.abs(here[i] - before[i]))
      }
      capture[i] = share * least * DEGREES
    }
  },
})
