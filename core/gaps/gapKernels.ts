import type { Kernel, Row } from '../columns/kernel'

/** A point of a flat: so far from a touch point along a unit direction; from the point, the distance and the direction, in mm. */
export const FLAT_BEYOND: Kernel = {
  name: 'the flat that stands a gap away from a touch point',
  page: 'gaps',
  outputs: 3,
  run: (count, [x, y, z, gap, nx, ny, nz], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = x[i] + gap[i] * nx[i]
      v[i] = y[i] + gap[i] * ny[i]
      w[i] = z[i] + gap[i] * nz[i]
    }
  },
}

/**
 * Gap between a point and a flat, in mm: from the point, a point of the flat and the unit direction toward it; below nought the point
 * lies that deep in it.
 */
export const GAP_TO_FLAT: Kernel = {
  name: 'gap between a touch point and a flat',
  page: 'gaps',
  outputs: 1,
  run: (count, [x, y, z, u, v, w, nx, ny, nz], [gap]) => {
    for (let i: Row = 0; i < count; i++)
      gap[i] = nx[i] * (u[i] - x[i]) + ny[i] * (v[i] - y[i]) + nz[i] * (w[i] - z[i])
  },
}

/**
 * Height of a point above a ground that runs through two tyre contacts, in mm, square to the datum plane: from the point's X and Z and those
 * of the front and rear contact.
 */
export const ABOVE_GROUND: Kernel = {
  name: 'height above the ground between two axles',
  page: 'gaps',
  outputs: 1,
  run: (count, [x, z, fx, fz, rx, rz], [height]) => {
    for (let i: Row = 0; i < count; i++)
      height[i] = z[i] - fz[i] - ((rz[i] - fz[i]) * (x[i] - fx[i])) / (rx[i] - fx[i])
  },
}
