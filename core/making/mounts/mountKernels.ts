import type { Cells, Kernel, Row } from '../../base/columns/kernel'
import type { CaseLoad } from './mountCases'
import { newSettler, type Settler } from './settler'
import type { SpringParts } from './spring'

/** Figures of a case besides three for each mount's force. */
export const FIGURES_A_CASE = 6

/**
 * A powertrain on its mounts in every case, the first of them what the others are told against.
 *
 * From the places of the mounts, the centre of gravity and the way in which its shafts point: forward, left, up each. For each case the shift of the body's point at the origin in mm and its turn
 * in radians, against the first case, then the force of each mount on the body in N. No number where the mounts do not hold it.
 */
export const mountsKernel = (springs: readonly SpringParts[], loads: readonly CaseLoad[]): Kernel => ({
  name: 'the powertrain on its mounts',
  isSlow: true,
  page: 'mounts',
  outputs: loads.length * (FIGURES_A_CASE + 3 * springs.length),
  run: (count, from, to) => {
    const read = from as unknown as readonly Cells[]
    const out = to as unknown as readonly Cells[]
    const settler = newSettler(springs)
    const { places, move, forces } = settler
    const still = new Float64Array(FIGURES_A_CASE)
    const wide = FIGURES_A_CASE + forces.length
    const acts = loads.map(({ force, moment, alongNmm }) => Float64Array.of(...force, ...moment, alongNmm))
    for (let i: Row = 0; i < count; i++) {
      for (let k = 0; k < places.length; k++) places[k] = (read[k] as Cells)[i]
      for (let at = 0; at < acts.length; at++) {
        loadAt(settler, acts[at] as Float64Array, read, i)
        const isSettled = settler.settle() === null
        if (at === 0) still.set(move)
        const first = wide * at
        for (let k = 0; k < wide; k++) {
          const column = out[first + k] as Cells
          if (!isSettled) column[i] = NaN
          else if (k < FIGURES_A_CASE) column[i] = (move[k] as number) - (still[k] as number)
          else column[i] = forces[k - FIGURES_A_CASE] as number
        }
      }
    }
  },
})

/** Weight acts at the centre of gravity, which stands behind the mounts; the shaft's torque about its own way, behind that. */
function loadAt({ load, places }: Settler, acts: Float64Array, from: readonly Cells[], row: Row): void {
  const x = (from[places.length] as Cells)[row]
  const y = (from[places.length + 1] as Cells)[row]
  const z = (from[places.length + 2] as Cells)[row]
  const [fx, fy, fz, about] = [acts[0] as number, acts[1] as number, acts[2] as number, acts[6] as number]
  load[0] = fx
  load[1] = fy
  load[2] = fz
  load[3] = (acts[3] as number) + about * (from[places.length + 3] as Cells)[row] + y * fz - z * fy
  load[4] = (acts[4] as number) + about * (from[places.length + 4] as Cells)[row] + z * fx - x * fz
  load[5] = (acts[5] as number) + about * (from[places.length + 5] as Cells)[row] + x * fy - y * fx
}

/** A small movement as a rigid move: its turn about the origin, then its shift; from the shift in mm and the turn in radians, the rotation row by row and the shift. */
export const SMALL_MOVE: Kernel = {
  name: 'how the powertrain gives on its mounts',
  page: 'mounts',
  outputs: 12,
  run: (
    count,
    [sx, sy, sz, tx, ty, tz],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, shiftX, shiftY, shiftZ],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const [x, y, z] = [tx[i], ty[i], tz[i]]
      const square = x * x + y * y + z * z
      const angle = Math.sqrt(square)
      // sin φ/φ and (1 − cos φ)/φ², by their limits where it does not turn.
      const sine = square < 1e-16 ? 1 : Math.sin(angle) / angle
      const versine = square < 1e-16 ? 0.5 : (1 - Math.cos(angle)) / square
      r00[i] = 1 - versine * (y * y + z * z)
      r01[i] = versine * x * y - sine * z
      r02[i] = versine * x * z + sine * y
      r10[i] = versine * x * y + sine * z
      r11[i] = 1 - versine * (x * x + z * z)
      r12[i] = versine * y * z - sine * x
      r20[i] = versine * x * z - sine * y
      r21[i] = versine * y * z + sine * x
      r22[i] = 1 - versine * (x * x + y * y)
      shiftX[i] = sx[i]
      shiftY[i] = sy[i]
      shiftZ[i] = sz[i]
    }
  },
}

const DEGREES = 180 / Math.PI

/** How a case is told: roll, fall and plan in degrees (left side up, tail down, tail to the left), and how far a place moves; from shift, turn and the place. */
export const CASE_TOLD: Kernel = {
  name: 'how the powertrain stands under load',
  page: 'mounts',
  outputs: 6,
  run: (count, [sx, sy, sz, tx, ty, tz, px, py, pz], [roll, fall, plan, ahead, left, up]) => {
    for (let i: Row = 0; i < count; i++) {
      roll[i] = tx[i] * DEGREES
      fall[i] = -ty[i] * DEGREES
      plan[i] = -tz[i] * DEGREES
      ahead[i] = sx[i] + ty[i] * pz[i] - tz[i] * py[i]
      left[i] = sy[i] + tz[i] * px[i] - tx[i] * pz[i]
      up[i] = sz[i] + tx[i] * py[i] - ty[i] * px[i]
    }
  },
}

/** What is left of a gap once its point has moved: `gap − n·(u + φ×p)`; from the gap, its direction, its point, and shift and turn; parameter: 1, or −1 where the other side moves. */
export const GAP_LEFT: Kernel = {
  name: 'gap left under load',
  page: 'mounts',
  outputs: 1,
  run: (count, [gap, nx, ny, nz, px, py, pz, sx, sy, sz, tx, ty, tz], [left], [sense]) => {
    for (let i: Row = 0; i < count; i++) {
      const ahead = sx[i] + ty[i] * pz[i] - tz[i] * py[i]
      const aside = sy[i] + tz[i] * px[i] - tx[i] * pz[i]
      const up = sz[i] + tx[i] * py[i] - ty[i] * px[i]
      const long = Math.sqrt(nx[i] * nx[i] + ny[i] * ny[i] + nz[i] * nz[i])
      left[i] = gap[i] - (sense * (nx[i] * ahead + ny[i] * aside + nz[i] * up)) / long
    }
  },
}

/** The least of some figures, those that are no number left out; none where all are. */
export const LEAST: Kernel = {
  name: 'the least of all cases',
  page: 'mounts',
  outputs: 1,
  run: (count, from, [least]) => {
    const all = from as unknown as readonly Cells[]
    for (let i: Row = 0; i < count; i++) {
      let low = Infinity
      for (const one of all) if (one[i] < low) low = one[i]
      least[i] = low === Infinity ? NaN : low
    }
  },
}

/** How big a force or a way is, whatever its direction. */
export const SIZE_OF: Kernel = {
  name: 'size',
  page: 'mounts',
  outputs: 1,
  isPlain: true,
  run: (count, [x, y, z], [size]) => {
    for (let i: Row = 0; i < count; i++) size[i] = Math.sqrt(x[i] * x[i] + y[i] * y[i] + z[i] * z[i])
  },
}

/** The way in which shafts point to the rear, each by its part: a vector as long as they agree; from their directions, which may point either way; parameters: their parts. */
export const REARWARD: Kernel = {
  name: 'the way in which shafts point to the rear',
  page: 'mounts',
  outputs: 3,
  run: (count, from, [ahead, left, up], parts) => {
    const all = from as unknown as readonly Cells[]
    const shares = parts as unknown as readonly number[]
    for (let i: Row = 0; i < count; i++) {
      let [x, y, z] = [0, 0, 0]
      for (let k = 0; k < shares.length; k++) {
        const own = (all[3 * k] as Cells)[i]
        const sense = (own > 0 ? -1 : 1) * (shares[k] as number)
        x += sense * own
        y += sense * (all[3 * k + 1] as Cells)[i]
        z += sense * (all[3 * k + 2] as Cells)[i]
      }
      ahead[i] = x
      left[i] = y
      up[i] = z
    }
  },
}
