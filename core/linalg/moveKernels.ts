import type { Kernel, Row } from '../columns/kernel'

/** Where a point goes under a rigid move: from the move's rotation by rows and shift in mm, and the point in mm. */
export const MOVED_POINT: Kernel = {
  name: 'a point after its body has moved',
  page: 'placement',
  outputs: 3,
  run: (count, [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz, x, y, z], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = r00[i] * x[i] + r01[i] * y[i] + r02[i] * z[i] + sx[i]
      v[i] = r10[i] * x[i] + r11[i] * y[i] + r12[i] * z[i] + sy[i]
      w[i] = r20[i] * x[i] + r21[i] * y[i] + r22[i] * z[i] + sz[i]
    }
  },
}

/** How a direction turns under a rigid move: from the move's rotation by rows and the direction. */
export const TURNED_DIRECTION: Kernel = {
  name: 'a direction after its body has moved',
  page: 'placement',
  outputs: 3,
  run: (count, [r00, r01, r02, r10, r11, r12, r20, r21, r22, x, y, z], [u, v, w]) => {
    for (let i: Row = 0; i < count; i++) {
      u[i] = r00[i] * x[i] + r01[i] * y[i] + r02[i] * z[i]
      v[i] = r10[i] * x[i] + r11[i] * y[i] + r12[i] * z[i]
      w[i] = r20[i] * x[i] + r21[i] * y[i] + r22[i] * z[i]
    }
  },
}
