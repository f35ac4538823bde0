import { eliminateSix, normalEquations } from '../../base/linalg/eliminate'
import { rotationInto, turnQuaternion } from '../../base/linalg/turnState'
import { SUSPENSION_POINTS, type SuspensionKind } from '../../file/parts/hubMotion'
import { CARRIER_HOLDS } from './suspension'

/** Finds where a held wheel carrier stands for any height of its wheel. It keeps the pose it found last and starts from it. */
export interface CarrierSolver {
  /** Middle of the wheel, then the points of the suspension in the order of `SUSPENSION_POINTS`: in mm at ride height. */
  readonly points: Float64Array
  /** Takes the points as they are now; the pose that was found last is still where it starts from. */
  readonly take: () => void
  /**
   * @param upMm - of the wheel from ride height
   * @param rackMm - how far the rack has gone to the left
   * @returns false where the suspension does not reach
   */
  readonly solve: (upMm: number, rackMm: number) => boolean
  /** Rotation by rows, then the shift, as a rigid move from ride height: the pose found last. */
  readonly move: Float64Array
}

/** Figures of a hold: the carrier's point, the other end, the normal, the length. */
const PER_HOLD = 10

/** Brought along by no more than this at once, so that it never jumps to its mirror image. */
const STRIDE_MM = 25
const MOST_STEPS = 20
/** Newton's steps shrink by their square: after one this short the next would be far below a nanometre. */
const LAST_STEP_MM = 1e-3
/** What may be left of a condition before such a step. */
const LEFT_MM = 1e-2
const UNKNOWNS = 6
const LINK = 0
const PLANE = 1
const SLIDES = 2
const WIDE = UNKNOWNS + 1

/**
 * A solver by Newton's method with the exact derivatives (Gauss-Newton where there are more conditions than unknowns).
 *
 * @see docs/methods/halfshafts.md
 */
export function newCarrierSolver(suspension: SuspensionKind): CarrierSolver {
  const holds = CARRIER_HOLDS[suspension]
  const count = holds.length + 1
  const points = new Float64Array(3 * (1 + SUSPENSION_POINTS[suspension].length))
  const held = new Float64Array(PER_HOLD * holds.length)
  // By numbers: this is worked by the hundred thousand.
  const kinds = Uint8Array.from(holds, ({ kind }) =>
    kind === 'link' ? LINK : kind === 'plane' ? PLANE : SLIDES,
  )
  const steered = Uint8Array.from(holds, (hold) => (hold.kind === 'link' && hold.isSteered === true ? 1 : 0))
  const ways = Uint8Array.from(holds, (hold) => (hold.kind === 'link' ? 0 : hold.way))
  const owns = Uint8Array.from(holds, ({ own }) => 3 * (1 + own))
  const others = Uint8Array.from(holds, ({ other }) => 3 * (1 + other))
  const move = new Float64Array(12)
  const rows = new Float64Array(WIDE * count)
  const square = count === UNKNOWNS ? rows : new Float64Array(WIDE * UNKNOWNS)
  const at = (index: number): number => held[index] as number
  let wheelX = 0
  let wheelY = 0
  let wheelZ = 0
  // The pose: a quaternion, and how far the middle of the wheel has gone.
  const q = Float64Array.of(1, 0, 0, 0)
  let gx = 0
  let gy = 0
  let gz = 0
  let atUp = 0
  let atRack = 0
  let worst = 0

  function restart(): void {
    q.fill(0)
    q[0] = 1
    ;[gx, gy, gz, atUp, atRack] = [0, 0, 0, 0, 0]
  }

  /** One step of Newton's towards a height and a way of the rack. @returns its length in mm, NaN where there is none */
  function step(upMm: number, rackMm: number): number {
    rotationInto(move, q)
    const r00 = move[0] as number
    const r01 = move[1] as number
    const r02 = move[2] as number
    const r10 = move[3] as number
    const r11 = move[4] as number
    const r12 = move[5] as number
    const r20 = move[6] as number
    const r21 = move[7] as number
    const r22 = move[8] as number
    rows.fill(0, 0, WIDE)
    rows[2] = 1
    rows[6] = upMm - gz
    worst = Math.abs(upMm - gz)
    const mx = wheelX + gx
    const my = wheelY + gy
    const mz = wheelZ + gz
    for (let k = 0; k < count - 1; k++) {
      const from = PER_HOLD * k
      const bx = at(from) - wheelX
      const by = at(from + 1) - wheelY
      const bz = at(from + 2) - wheelZ
      // The carrier's point against the middle of the wheel, turned along.
      const px = r00 * bx + r01 * by + r02 * bz
      const py = r10 * bx + r11 * by + r12 * bz
      const pz = r20 * bx + r21 * by + r22 * bz
      let ux = at(from + 6)
      let uy = at(from + 7)
      let uz = at(from + 8)
      let off = 0
      let wx = 0
      let wy = 0
      let wz = 0
      if (kinds[k] === SLIDES) {
        // The plane goes along with the carrier; the point stays.
        const nx = r00 * ux + r01 * uy + r02 * uz
        const ny = r10 * ux + r11 * uy + r12 * uz
        const nz = r20 * ux + r21 * uy + r22 * uz
        const cx = at(from + 3) - mx
        const cy = at(from + 4) - my
        const cz = at(from + 5) - mz
        off = nx * (cx - px) + ny * (cy - py) + nz * (cz - pz)
        ux = -nx
        uy = -ny
        uz = -nz
        wx = ny * cz - nz * cy
        wy = nz * cx - nx * cz
        wz = nx * cy - ny * cx
      } else {
        if (kinds[k] === LINK) {
          const lx = px + mx - at(from + 3)
          const ly = py + my - at(from + 4) - (steered[k] === 1 ? rackMm : 0)
          const lz = pz + mz - at(from + 5)
          const long = Math.sqrt(lx * lx + ly * ly + lz * lz)
          off = long - at(from + 9)
          ux = lx / long
          uy = ly / long
          uz = lz / long
        } else off = ux * (px + gx - bx) + uy * (py + gy - by) + uz * (pz + gz - bz)
        wx = py * uz - pz * uy
        wy = pz * ux - px * uz
        wz = px * uy - py * ux
      }
      if (off > worst) worst = off
      else if (-off > worst) worst = -off
      const into = WIDE * (k + 1)
      rows[into] = ux
      rows[into + 1] = uy
      rows[into + 2] = uz
      rows[into + 3] = wx
      rows[into + 4] = wy
      rows[into + 5] = wz
      rows[into + 6] = -off
    }
    if (square !== rows) normalEquations(rows, count, UNKNOWNS, square)
    if (!eliminateSix(square)) return NaN
    const dx = square[6] as number
    const dy = square[13] as number
    const dz = square[20] as number
    const a = square[27] as number
    const b = square[34] as number
    const c = square[41] as number
    gx += dx
    gy += dy
    gz += dz
    turnQuaternion(q, a, b, c)
    // A turn is told by what it moves a foot away.
    return Math.max(
      Math.abs(dx),
      Math.abs(dy),
      Math.abs(dz),
      300 * Math.max(Math.abs(a), Math.abs(b), Math.abs(c)),
    )
  }

  function settle(upMm: number, rackMm: number): boolean {
    for (let tries = 0; tries < MOST_STEPS; tries++) {
      const length = step(upMm, rackMm)
      if (!(length < 1000)) return false
      if (length < LAST_STEP_MM) {
        atUp = upMm
        atRack = rackMm
        return worst < LEFT_MM
      }
    }
    return false
  }

  function walk(upMm: number, rackMm: number): boolean {
    const fromUp = atUp
    const fromRack = atRack
    const way = Math.max(Math.abs(upMm - fromUp), Math.abs(rackMm - fromRack))
    const strides = Math.max(1, Math.ceil(way / STRIDE_MM))
    for (let i = 1; i < strides; i++) {
      const share = i / strides
      if (!settle(fromUp + (upMm - fromUp) * share, fromRack + (rackMm - fromRack) * share)) return false
    }
    return settle(upMm, rackMm)
  }

  function solve(upMm: number, rackMm: number): boolean {
    let isFound = walk(upMm, rackMm)
    if (!isFound && (atUp !== 0 || atRack !== 0)) {
      restart()
      isFound = walk(upMm, rackMm)
    }
    if (!isFound) {
      restart()
      move.fill(NaN)
      return false
    }
    rotationInto(move, q)
    for (let row = 0; row < 3; row++) {
      const turned =
        (move[3 * row] as number) * wheelX +
        (move[3 * row + 1] as number) * wheelY +
        (move[3 * row + 2] as number) * wheelZ
      move[9 + row] = (points[row] as number) + (row === 0 ? gx : row === 1 ? gy : gz) - turned
    }
    return true
  }

  /** Link lengths, and the planes that meet in a strut's line. */
  function take(): void {
    wheelX = points[0] as number
    wheelY = points[1] as number
    wheelZ = points[2] as number
    for (let k = 0; k < count - 1; k++) {
      const from = PER_HOLD * k
      const own = owns[k] as number
      const other = others[k] as number
      for (let part = 0; part < 3; part++) {
        held[from + part] = points[own + part] as number
        held[from + 3 + part] = points[other + part] as number
      }
      const x = at(from + 3) - at(from)
      const y = at(from + 4) - at(from + 1)
      const z = at(from + 5) - at(from + 2)
      if (kinds[k] === LINK) held[from + 9] = Math.sqrt(x * x + y * y + z * z)
      else if (kinds[k] === PLANE) held[from + 6 + (ways[k] as number)] = 1
      else slidingPlane(from, ways[k] as number, x, y, z)
    }
  }

  /** The normal of a plane along a strut: square to it and to the longways or crossways axis, whichever lies further off; the second square to both. */
  function slidingPlane(from: number, way: number, x: number, y: number, z: number): void {
    const isLean = Math.abs(x) < Math.abs(y)
    const ax = isLean ? 0 : -z
    const ay = isLean ? -z : 0
    const az = isLean ? y : x
    const nx = way === 0 ? ax : y * az - z * ay
    const ny = way === 0 ? ay : z * ax - x * az
    const nz = way === 0 ? az : x * ay - y * ax
    const size = Math.sqrt(nx * nx + ny * ny + nz * nz)
    held[from + 6] = nx / size
    held[from + 7] = ny / size
    held[from + 8] = nz / size
  }

  return { points, take, solve, move }
}
