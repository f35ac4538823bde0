import { CoreError } from '../../base/errors'
import { eliminateFour, normalEquations } from '../../base/linalg/eliminate'
import type { RigidMove } from '../../base/linalg/mat3'
import { rotationInto, turnQuaternion } from '../../base/linalg/turnState'
import { holdingRows, type Linkage } from './linkage'

/** Finds where a held axle stands for any height of its wheels. It keeps the pose it found last and starts from it. */
export interface PoseSolver {
  /**
   * Points, by rows as they are wanted by `conditionsOf`: used where they differ from row to row of a column.
   */
  readonly points: Float64Array
  /** Takes the points as they are now; the pose that was found last is still where it starts from. */
  readonly take: () => void
  /**
   * @param leftUp - of the left wheel from ride height, mm
   * @returns false where the links cannot reach, or nothing holds the axle there
   */
  readonly solve: (leftUp: number, rightUp: number) => boolean
  /** Rotation by rows, then the shift, as a rigid move from ride height: the pose found last. */
  readonly move: Float64Array
  /** Largest error that is left of any condition, in mm. */
  readonly residualMm: () => number
}

/** Figures of a condition among the points: the axle's point, the other end or the normal, the length. */
export const PER_CONDITION = 7

/** Wheels are brought to their place by no more than this at once, so that the pose never jumps to its mirror image. */
const STRIDE_MM = 60
/** Where that fails: near the end of what the links reach, steps must be short. */
const SHORT_STRIDE_MM = 5
/** Newton's steps shrink by their square: after one this short the next would be far below a nanometre. */
const LAST_STEP_MM = 1e-3
const MOST_STEPS = 16

/** Conditions and wheels of a linkage as a solver takes them. */
export function conditionsOf({ holdings, wheelLeft, wheelRight }: Linkage): {
  readonly kinds: readonly ('link' | 'plane')[]
  readonly points: readonly number[]
} {
  const rows = holdingRows(holdings)
  return {
    kinds: rows.map(({ kind }) => kind),
    points: [
      ...wheelLeft,
      ...wheelRight,
      ...rows.flatMap(({ axle, other, lengthMm }) => [...axle, ...other, lengthMm]),
    ],
  }
}

/** A solver for a linkage whose points do not change. */
export function poseSolverOf(linkage: Linkage): PoseSolver {
  const { kinds, points } = conditionsOf(linkage)
  const solver = newPoseSolver(kinds)
  solver.points.set(points)
  solver.take()
  return solver
}

/** The move of a found pose. */
export function moveOf({ move }: PoseSolver): RigidMove {
  const [a = NaN, b = NaN, c = NaN, d = NaN, e = NaN, f = NaN, g = NaN, h = NaN, i = NaN] = move
  const [, , , , , , , , , x = NaN, y = NaN, z = NaN] = move
  return {
    rotation: [
      [a, b, c],
      [d, e, f],
      [g, h, i],
    ],
    shift: [x, y, z],
  }
}

/**
 * A solver by Newton's method with the exact derivatives.
 *
 * With the middle of the wheels as the point that the axle is told by, the heights of the wheels give its rise and its roll
 * at once; what is left is how far it goes forward and aside, its nose and its steer: four unknowns, a condition for each. More conditions
 * than four (trailing arms in one piece) are met as nearly as they can be (Gauss-Newton).
 *
 * @throws CoreError `degenerate` for fewer conditions than it takes
 * @see docs/methods/travel.md
 */
export function newPoseSolver(kinds: readonly ('link' | 'plane')[]): PoseSolver {
  const count = kinds.length
  if (count < 4) throw new CoreError('degenerate', 'linkage', `${count} conditions do not hold an axle`)
  const isLink = Uint8Array.from(kinds, (kind) => (kind === 'link' ? 1 : 0))
  const points = new Float64Array(6 + PER_CONDITION * count)
  const move = new Float64Array(12)
  // Conditions on four unknowns with what is left of each: row by row, five figures.
  const rows = new Float64Array(5 * count)
  const square = count === 4 ? rows : new Float64Array(20)
  const at = (index: number): number => points[index] as number
  // The pose: a quaternion, and how far the middle of the wheels has gone.
  const q = Float64Array.of(1, 0, 0, 0)
  let gx = 0
  let gy = 0
  let gz = 0
  // Of the middle of the wheels at ride height, and from it to the left one.
  let mx = 0
  let my = 0
  let mz = 0
  let hx = 0
  let hy = 1
  let hz = 0
  let atLeft = 0
  let atRight = 0
  let worst = 0

  function restart(): void {
    q.fill(0)
    q[0] = 1
    ;[gx, gy, gz, atLeft, atRight] = [0, 0, 0, 0, 0]
  }
  function take(): void {
    mx = (at(0) + at(3)) / 2
    my = (at(1) + at(4)) / 2
    mz = (at(2) + at(5)) / 2
    hx = (at(0) - at(3)) / 2
    hy = (at(1) - at(4)) / 2
    hz = (at(2) - at(5)) / 2
  }

  /** One step of Newton's towards wheels at these heights. @returns its length in mm, NaN where there is none */
  function step(leftUp: number, rightUp: number): number {
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
    // Both wheels by the middle and half the track: their mean is the rise, their difference the roll.
    const rx = r00 * hx + r01 * hy + r02 * hz
    const ry = r10 * hx + r11 * hy + r12 * hz
    const rz = r20 * hx + r21 * hy + r22 * hz
    const dz = (leftUp + rightUp) / 2 - gz
    // (δ × r)z = δx·ry − δy·rx, so roll follows from nose: δx = (apart + δy·rx) / ry.
    const apart = (leftUp - rightUp) / 2 + hz - rz
    const roll = apart / ry
    const rollByNose = rx / ry
    worst = Math.max(Math.abs(dz), Math.abs(apart))
    const ox = mx + gx
    const oy = my + gy
    const oz = mz + gz
    for (let k = 0; k < count; k++) {
      const from = 6 + PER_CONDITION * k
      const ax = at(from) - mx
      const ay = at(from + 1) - my
      const az = at(from + 2) - mz
      const px = r00 * ax + r01 * ay + r02 * az
      const py = r10 * ax + r11 * ay + r12 * az
      const pz = r20 * ax + r21 * ay + r22 * az
      let ux = at(from + 3)
      let uy = at(from + 4)
      let uz = at(from + 5)
      let off = 0
      if (isLink[k] === 1) {
        const lx = px + ox - ux
        const ly = py + oy - uy
        const lz = pz + oz - uz
        const long = Math.sqrt(lx * lx + ly * ly + lz * lz)
        off = long - at(from + 6)
        ux = lx / long
        uy = ly / long
        uz = lz / long
      } else off = ux * (px + gx - ax) + uy * (py + gy - ay) + uz * (pz + gz - az)
      if (off > worst) worst = off
      else if (-off > worst) worst = -off
      // Turning by δ moves the point by δ × p, so the condition changes by δ · (p × u).
      const wx = py * uz - pz * uy
      const wy = pz * ux - px * uz
      const wz = px * uy - py * ux
      const into = 5 * k
      rows[into] = ux
      rows[into + 1] = uy
      rows[into + 2] = wy + wx * rollByNose
      rows[into + 3] = wz
      rows[into + 4] = -off - uz * dz - wx * roll
    }
    if (count !== 4) normalEquations(rows, count, 4, square)
    if (!eliminateFour(square)) return NaN
    const dx = square[4] as number
    const dy = square[9] as number
    const nose = square[14] as number
    const steer = square[19] as number
    const dRoll = roll + nose * rollByNose
    gx += dx
    gy += dy
    gz += dz
    turnQuaternion(q, dRoll, nose, steer)
    // A turn is told by what it moves half a metre away.
    return Math.max(
      Math.abs(dx),
      Math.abs(dy),
      Math.abs(dz),
      500 * Math.max(Math.abs(dRoll), Math.abs(nose), Math.abs(steer)),
    )
  }

  /** Newton's method from where the pose is. */
  function settle(leftUp: number, rightUp: number): boolean {
    for (let tries = 0; tries < MOST_STEPS; tries++) {
      const length = step(leftUp, rightUp)
      if (!(length < 1000)) return false
      if (length < LAST_STEP_MM) {
        atLeft = leftUp
        atRight = rightUp
        return true
      }
    }
    return false
  }

  function walk(leftUp: number, rightUp: number, stride: number): boolean {
    const fromLeft = atLeft
    const fromRight = atRight
    const way = Math.max(Math.abs(leftUp - fromLeft), Math.abs(rightUp - fromRight))
    const strides = Math.max(1, Math.ceil(way / stride))
    // On the way the pose need only come along; it settles at the end.
    for (let i = 1; i < strides; i++) {
      const share = i / strides
      const length = step(fromLeft + (leftUp - fromLeft) * share, fromRight + (rightUp - fromRight) * share)
      if (!(length < 1000)) return false
    }
    return settle(leftUp, rightUp)
  }

  function solve(leftUp: number, rightUp: number): boolean {
    let isFound = walk(leftUp, rightUp, STRIDE_MM)
    if (!isFound) {
      restart()
      isFound = walk(leftUp, rightUp, SHORT_STRIDE_MM)
    }
    if (isFound) {
      const before = worst
      rotationInto(move, q)
      // Conditions more than it takes may not meet: then it stands nowhere, though the nearest place was found.
      if (count !== 4) isFound = before < 1e-3
    }
    if (!isFound) {
      restart()
      move.fill(NaN)
      return false
    }
    const [r00, r01, r02, r10, r11, r12, r20, r21, r22] = move as unknown as number[]
    move[9] = mx + gx - ((r00 as number) * mx + (r01 as number) * my + (r02 as number) * mz)
    move[10] = my + gy - ((r10 as number) * mx + (r11 as number) * my + (r12 as number) * mz)
    move[11] = mz + gz - ((r20 as number) * mx + (r21 as number) * my + (r22 as number) * mz)
    return true
  }

  return { points, take, solve, move, residualMm: () => worst }
}
