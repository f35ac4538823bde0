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

/** A move undone: from its rotation by rows and shift, and a point that has made it, where that point was before. */
export const UNMOVED_POINT: Kernel = {
  name: 'a point before its body was moved',
  page: 'placement',
  outputs: 3,
  run: (count, [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz, u, v, w], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      const a = u[i] - sx[i]
      const b = v[i] - sy[i]
      const c = w[i] - sz[i]
      // A rotation's inverse is its transpose.
      x[i] = r00[i] * a + r10[i] * b + r20[i] * c
      y[i] = r01[i] * a + r11[i] * b + r21[i] * c
      z[i] = r02[i] * a + r12[i] * b + r22[i] * c
    }
  },
}

/** A direction before its body was turned, from the turn's rotation by rows. */
export const UNTURNED_DIRECTION: Kernel = {
  name: 'a direction before its body was turned',
  page: 'placement',
  outputs: 3,
  run: (count, [r00, r01, r02, r10, r11, r12, r20, r21, r22, u, v, w], [x, y, z]) => {
    for (let i: Row = 0; i < count; i++) {
      x[i] = r00[i] * u[i] + r10[i] * v[i] + r20[i] * w[i]
      y[i] = r01[i] * u[i] + r11[i] * v[i] + r21[i] * w[i]
      z[i] = r02[i] * u[i] + r12[i] * v[i] + r22[i] * w[i]
    }
  },
}
