import type { Kernel, Row } from '../../base/columns/kernel'

/**
 * How far three points are from where a plate's holes would have them: the second along the line from the first, the third along and beside
 * it; the larger of both, in mm.
 *
 * From three points, forward, left and up each; parameters are the distance of the second hole from the first, and how far along and beside
 * that line the third lies. Two triangles laid onto each other by a corner and a side.
 */
export const PLATE_STANDS: Kernel = {
  name: 'points of a plate beside its holes',
  page: 'plates',
  outputs: 1,
  run: (count, [ax, ay, az, bx, by, bz, cx, cy, cz], [miss], [long, along, beside]) => {
    for (let i: Row = 0; i < count; i++) {
      const ux = bx[i] - ax[i]
      const uy = by[i] - ay[i]
      const uz = bz[i] - az[i]
      const reach = Math.sqrt(ux * ux + uy * uy + uz * uz)
      const vx = cx[i] - ax[i]
      const vy = cy[i] - ay[i]
      const vz = cz[i] - az[i]
      const onward = (ux * vx + uy * vy + uz * vz) / reach
      const away = Math.sqrt(Math.max(0, vx * vx + vy * vy + vz * vz - onward * onward))
      const ahead = onward - along
      const out = away - beside
      miss[i] = Math.max(Math.abs(reach - long), Math.sqrt(ahead * ahead + out * out))
    }
  },
}
