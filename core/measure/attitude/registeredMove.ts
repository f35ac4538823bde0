import type { Cells, Kernel, Row } from '../../base/columns/kernel'

/** Newton steps double the digits; from the fit at the means a few reach the last one. */
const MOST_STEPS = 30
/** A turn smaller than this, in radians squared, changes no digit any more. */
const SETTLED = 1e-28

/**
 * The proper rigid move that takes datum points of a setup to the chassis by least squares.
 *
 * From each point's place in the setup and on the chassis, in mm; parameters: how many points, then the rotation of the fit at
 * the means, row by row, from which the fit turns on. With M = R·Σ(setup)(chassis)ᵀ of the centred points a further small turn
 * w gains w·v − ½·wᵀ(tr M·1 − sym M)·w, v the skew part of M: Newton's method solves for w until it is nought.
 */
export const REGISTERED_MOVE: Kernel = {
  name: 'setup brought to the chassis by its datum points',
  page: 'registration',
  outputs: 12,
  run: (count, from, to, [points, ...start]) => {
    const columns: readonly Cells[] = from
    const [s00, s01, s02, s10, s11, s12, s20, s21, s22] = start
    for (let i: Row = 0; i < count; i++) {
      let ax = 0
      let ay = 0
      let az = 0
      let bx = 0
      let by = 0
      let bz = 0
      for (let k = 0; k < 6 * points; k += 6) {
        ax += (columns[k] as Cells)[i] / points
        ay += (columns[k + 1] as Cells)[i] / points
        az += (columns[k + 2] as Cells)[i] / points
        bx += (columns[k + 3] as Cells)[i] / points
        by += (columns[k + 4] as Cells)[i] / points
        bz += (columns[k + 5] as Cells)[i] / points
      }
      let h00 = 0
      let h01 = 0
      let h02 = 0
      let h10 = 0
      let h11 = 0
      let h12 = 0
      let h20 = 0
      let h21 = 0
      let h22 = 0
      for (let k = 0; k < 6 * points; k += 6) {
        const x = (columns[k] as Cells)[i] - ax
        const y = (columns[k + 1] as Cells)[i] - ay
        const z = (columns[k + 2] as Cells)[i] - az
        const u = (columns[k + 3] as Cells)[i] - bx
        const v = (columns[k + 4] as Cells)[i] - by
        const w = (columns[k + 5] as Cells)[i] - bz
        h00 += x * u
        h01 += x * v
        h02 += x * w
        h10 += y * u
        h11 += y * v
        h12 += y * w
        h20 += z * u
        h21 += z * v
        h22 += z * w
      }
      let r00 = s00
      let r01 = s01
      let r02 = s02
      let r10 = s10
      let r11 = s11
      let r12 = s12
      let r20 = s20
      let r21 = s21
      let r22 = s22
      for (let step = 0; step < MOST_STEPS; step++) {
        const m00 = r00 * h00 + r01 * h10 + r02 * h20
        const m01 = r00 * h01 + r01 * h11 + r02 * h21
        const m02 = r00 * h02 + r01 * h12 + r02 * h22
        const m10 = r10 * h00 + r11 * h10 + r12 * h20
        const m11 = r10 * h01 + r11 * h11 + r12 * h21
        const m12 = r10 * h02 + r11 * h12 + r12 * h22
        const m20 = r20 * h00 + r21 * h10 + r22 * h20
        const m21 = r20 * h01 + r21 * h11 + r22 * h21
        const m22 = r20 * h02 + r21 * h12 + r22 * h22
        // The symmetric system (tr M·1 − sym M)·w = v, by Cramer's rule.
        const a = m11 + m22
        const d = m00 + m22
        const f = m00 + m11
        const b = -(m01 + m10) / 2
        const c = -(m02 + m20) / 2
        const e = -(m12 + m21) / 2
        const p = m12 - m21
        const q = m20 - m02
        const t = m01 - m10
        const c0 = d * f - e * e
        const c1 = c * e - b * f
        const c2 = b * e - c * d
        const determinant = a * c0 + b * c1 + c * c2
        const w0 = (p * c0 + q * c1 + t * c2) / determinant
        const w1 = (p * c1 + q * (a * f - c * c) + t * (b * c - a * e)) / determinant
        const w2 = (p * c2 + q * (b * c - a * e) + t * (a * d - b * b)) / determinant
        // The turn as a unit quaternion: proper whatever its size.
        const size2 = w0 * w0 + w1 * w1 + w2 * w2
        const whole = 1 / Math.sqrt(1 + size2 / 4)
        const qx = (w0 / 2) * whole
        const qy = (w1 / 2) * whole
        const qz = (w2 / 2) * whole
        const t00 = 1 - 2 * (qy * qy + qz * qz)
        const t01 = 2 * (qx * qy - whole * qz)
        const t02 = 2 * (qx * qz + whole * qy)
        const t10 = 2 * (qx * qy + whole * qz)
        const t11 = 1 - 2 * (qx * qx + qz * qz)
        const t12 = 2 * (qy * qz - whole * qx)
        const t20 = 2 * (qx * qz - whole * qy)
        const t21 = 2 * (qy * qz + whole * qx)
        const t22 = 1 - 2 * (qx * qx + qy * qy)
        const n00 = t00 * r00 + t01 * r10 + t02 * r20
        const n01 = t00 * r01 + t01 * r11 + t02 * r21
        const n02 = t00 * r02 + t01 * r12 + t02 * r22
        const n10 = t10 * r00 + t11 * r10 + t12 * r20
        const n11 = t10 * r01 + t11 * r11 + t12 * r21
        const n12 = t10 * r02 + t11 * r12 + t12 * r22
        r20 = t20 * r00 + t21 * r10 + t22 * r20
        r21 = t20 * r01 + t21 * r11 + t22 * r21
        r22 = t20 * r02 + t21 * r12 + t22 * r22
        ;[r00, r01, r02, r10, r11, r12] = [n00, n01, n02, n10, n11, n12]
        if (size2 < SETTLED) break
      }
      const [x0, x1, x2, y0, y1, y2, z0, z1, z2, shiftX, shiftY, shiftZ] = to
      x0[i] = r00
      x1[i] = r01
      x2[i] = r02
      y0[i] = r10
      y1[i] = r11
      y2[i] = r12
      z0[i] = r20
      z1[i] = r21
      z2[i] = r22
      shiftX[i] = bx - (r00 * ax + r01 * ay + r02 * az)
      shiftY[i] = by - (r10 * ax + r11 * ay + r12 * az)
      shiftZ[i] = bz - (r20 * ax + r21 * ay + r22 * az)
    }
  },
}
