import { Matrix, solve } from 'ml-matrix'
import { sum } from '../../base/numbers'
import { errorOf, toBoss, turned, type Pair, type Pose } from './pose'

/** Heights of the walls round what the other holes allow, one after another. */
const FIRST_WALL = 1
const WALL_FALLS = 0.2
const LAST_WALL = 1e-10
const NEWTON_STEPS = 60
/** Steps that would gain less than this share end a wall. */
const GAINS = 1e-13

/** What is made as small as can be: errors of the holes to be opened, and a wall round what the others allow. */
interface Valley {
  readonly opened: readonly Pair[]
  readonly tight: readonly Pair[]
  readonly wall: number
  /** Turns are weighed by it, so that all three ways are lengths. */
  readonly arm: number
}

/**
 * The pose with the least sum of errors of the holes that are to be opened, all others inside their play: Newton's steps between walls that are taken away
 * (a logarithmic barrier).
 *
 * @param inside - a pose in which the others lie inside their play; it is given back where it leaves them no room
 */
export function leastOpening(opened: readonly Pair[], tight: readonly Pair[], inside: Pose): Pose {
  if (tight.some((pair) => roomOf(inside, pair) <= 1e-12)) return inside
  const arm = Math.max(1, ...[...opened, ...tight].map(({ at }) => Math.hypot(...at)))
  let pose = inside
  for (let wall = FIRST_WALL; wall > LAST_WALL; wall *= WALL_FALLS)
    for (let step = 0; step < NEWTON_STEPS; step++) {
      const next = stepped({ opened, tight, wall, arm }, pose)
      if (!next) break
      pose = next
    }
  return pose
}

const roomOf = (pose: Pose, pair: Pair): number => pair.playMm ** 2 - errorOf(pose, pair) ** 2

function heightOf({ opened, tight, wall }: Valley, pose: Pose): number {
  const rooms = tight.map((pair) => roomOf(pose, pair))
  if (rooms.some((room) => !(room > 0))) return Infinity
  return sum(opened.map((pair) => errorOf(pose, pair))) - wall * sum(rooms.map(Math.log))
}

/** One step of Newton downhill, damped until it gains; null where none does. */
function stepped(valley: Valley, pose: Pose): Pose | null {
  const { slope, curve } = bendOf(valley, pose)
  const height = heightOf(valley, pose)
  for (let damping = 1e-12; damping < 1e12; damping *= 10) {
    const damped = Matrix.add(curve, Matrix.eye(3, 3, damping))
    const [x = 0, y = 0, turn = 0] = solve(damped, Matrix.mul(slope, -1)).to1DArray()
    const falls = -(x * slope.get(0, 0) + y * slope.get(1, 0) + turn * slope.get(2, 0))
    if (!(falls > 0)) continue
    const next: Pose = { turn: pose.turn + turn / valley.arm, shift: [pose.shift[0] + x, pose.shift[1] + y] }
    if (height - heightOf(valley, next) > GAINS * (1 + Math.abs(height))) return next
    if (falls < GAINS) return null
  }
  return null
}

/** Slope and curvature of the valley. */
function bendOf({ opened, tight, wall, arm }: Valley, pose: Pose): { slope: Matrix; curve: Matrix } {
  const slope = Matrix.zeros(3, 1)
  const curve = Matrix.zeros(3, 3)
  // Of each hole: a function of half its error squared, by its first and second derivative.
  const add = (pair: Pair, first: number, second: number) => {
    const bowl = bowlOf(pose, pair, arm)
    slope.add(Matrix.mul(bowl.slope, first))
    curve.add(Matrix.mul(bowl.curve, first)).add(bowl.slope.mmul(bowl.slope.transpose()).mul(second))
  }
  for (const pair of opened) {
    const error = Math.max(errorOf(pose, pair), 1e-9)
    add(pair, 1 / error, -1 / error ** 3)
  }
  for (const pair of tight) {
    const room = roomOf(pose, pair)
    add(pair, (2 * wall) / room, (4 * wall) / room ** 2)
  }
  return { slope, curve }
}

/** Slope and curvature of half the error squared of one hole. */
function bowlOf(pose: Pose, pair: Pair, arm: number): { slope: Matrix; curve: Matrix } {
  const [bx, by] = toBoss(pose, pair)
  const [x, y] = turned(pair.at, pose.turn)
  const ways = new Matrix([
    [1, 0],
    [0, 1],
    [-y / arm, x / arm],
  ])
  const curve = ways.mmul(ways.transpose())
  curve.set(2, 2, curve.get(2, 2) + (bx * x + by * y) / arm ** 2)
  return { slope: ways.mmul(Matrix.columnVector([-bx, -by])), curve }
}
