import type { Kernel, Row } from '../../base/columns/kernel'

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
