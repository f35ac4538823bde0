import type { Cells, Kernel, Row } from '../../base/columns/kernel'

const RADIANS = Math.PI / 180

/** The knob of a lever: from its pivot, both ways of its plane and its angle. Parameters: length, turn from the arm in degrees, how far aside. */
export const KNOB_AT: Kernel = {
  name: 'the knob of a lever',
  page: 'shift',
  outputs: 3,
  run: (count, [px, py, pz, fx, fy, fz, tx, ty, tz, angle], [x, y, z], [longMm, turnDeg, asideMm]) => {
    for (let i: Row = 0; i < count; i++) {
      const at = angle[i] + turnDeg * RADIANS
      const along = longMm * Math.cos(at)
      const up = longMm * Math.sin(at)
      // The axis, to the left of one that lies across.
      const ax = ty[i] * fz[i] - tz[i] * fy[i]
      const ay = tz[i] * fx[i] - tx[i] * fz[i]
      const az = tx[i] * fy[i] - ty[i] * fx[i]
      x[i] = px[i] + along * fx[i] + up * tx[i] + asideMm * ax
      y[i] = py[i] + along * fy[i] + up * ty[i] + asideMm * ay
      z[i] = pz[i] + along * fz[i] + up * tz[i] + asideMm * az
    }
  },
}

/** An angle further on, away from another: from it and that other, in radians. Parameter: by how many degrees. */
export const BEYOND: Kernel = {
  name: 'a lever beyond its last gate',
  page: 'shift',
  outputs: 1,
  run: (count, [angle, other], [further], [overDeg]) => {
    for (let i: Row = 0; i < count; i++)
      further[i] = angle[i] + (angle[i] < other[i] ? -overDeg : overDeg) * RADIANS
  },
}

/** From a place to the nearest of some others: three columns each, the place first. Parameter: half of what is there in width. */
export const nearestTo = (others: number): Kernel => ({
  name: 'room for the hand at a knob',
  page: 'shift',
  outputs: 1,
  run: (count, from, [gap], [halfMm]) => {
    const cells = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let least = Infinity
      for (let k = 1; k <= others; k++) {
        let square = 0
        for (let part = 0; part < 3; part++) {
          const off = (cells[3 * k + part] as Cells)[i] - (cells[part] as Cells)[i]
          square += off * off
        }
        least = Math.min(least, square)
      }
      gap[i] = Math.sqrt(least) - halfMm
    }
  },
})

/** From the first place to the last: six columns. */
export const THROW: Kernel = {
  name: 'throw of a knob',
  page: 'shift',
  outputs: 1,
  run: (count, [ax, ay, az, bx, by, bz], [size]) => {
    for (let i: Row = 0; i < count; i++) size[i] = Math.hypot(bx[i] - ax[i], by[i] - ay[i], bz[i] - az[i])
  },
}

/** How long an opening has to be for a lever that goes from one angle to another, so far from its bearing: from both. Parameters: how far, how thick it is, free all round, rock either way. */
export const OPENING: Kernel = {
  name: 'opening that a lever wants',
  page: 'shift',
  outputs: 1,
  run: (count, [from, to], [long], [skinMm, stemMm, freeMm, rockMm]) => {
    for (let i: Row = 0; i < count; i++)
      long[i] = 2 * skinMm * Math.sin(Math.abs(to[i] - from[i]) / 2) + stemMm + 2 * (freeMm + rockMm)
  },
}
