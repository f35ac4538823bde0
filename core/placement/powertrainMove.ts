import { apply3, frameFrom, multiply3, transpose3, type Mat3, type RigidMove } from '../linalg/mat3'
import { cross, dot, middle, norm, scale, sub, unit, type Vec3 } from '../linalg/vec3'

/** The three points by which the powertrain sits on its mounts, chassis frame, mm. */
export interface MountPoints {
  readonly frontLeft: Vec3
  readonly frontRight: Vec3
  readonly tail: Vec3
}

/** What is done at the mounts, in mm: up is +Z, fore is +X, sideways is to the left. */
export interface MountMoves {
  readonly frontLeftUp: number
  readonly frontRightUp: number
  readonly tailUp: number
  readonly fore: number
  readonly sideways: number
  readonly tailSideways: number
}

export const NO_MOUNT_MOVES: MountMoves = {
  frontLeftUp: 0,
  frontRightUp: 0,
  tailUp: 0,
  fore: 0,
  sideways: 0,
  tailSideways: 0,
}

/**
 * The one rigid move of the powertrain that six mount moves define, exactly.
 *
 * The three mount heights fix the height row of the rotation, the tail's sideways place its heading, and fore and
 * sideways the middle of the front mounts: six conditions for six freedoms.
 *
 * @returns the move, or null when the mounts are asked further apart in height or sideways than they are
 * @see docs/methods/placement.md
 */
export function powertrainMove(mounts: MountPoints, moves: MountMoves): RigidMove | null {
  const front = middle(mounts.frontLeft, mounts.frontRight)
  const heightRow = rowOfHeights(mounts, moves)
  if (!heightRow) return null

  const across = sub(mounts.frontLeft, mounts.frontRight)
  const toTail = sub(mounts.tail, front)
  const upright = uprightRotation(heightRow, across)
  const turned = apply3(upright, toTail)
  const sideways = toTail[1] + moves.tailSideways
  const reach = Math.hypot(turned[0], turned[1])
  if (Math.abs(sideways) > reach) return null
  // The tail stays on the side of the front mounts where it was: rearward for the usual powertrain.
  const lengthwise = Math.sign(toTail[0]) * Math.sqrt(reach * reach - sideways * sideways)
  const heading = Math.atan2(sideways, lengthwise) - Math.atan2(turned[1], turned[0])
  const rotation = multiply3(turnAboutUp(heading), upright)

  const newFront: Vec3 = [
    front[0] + moves.fore,
    front[1] + moves.sideways,
    front[2] + (moves.frontLeftUp + moves.frontRightUp) / 2,
  ]
  return { rotation, shift: sub(newFront, apply3(rotation, front)) }
}

/** Below this share of upright, mounts in one plane with the vertical leave a turn about it free: heights do not hold it. */
const HOLDING = 0.02

/**
 * Why heights at these mounts do not hold the powertrain, in words; null when they do.
 *
 * @param mounts - places in mm, chassis frame
 */
export function holdProblem(mounts: MountPoints): string | null {
  const normal = cross(sub(mounts.frontLeft, mounts.tail), sub(mounts.frontRight, mounts.tail))
  const size = norm(normal)
  if (size < 1) return 'its three mounts lie on one line, so lifting one has no hold: look at their readings'
  return Math.abs(normal[2]) < HOLDING * size
    ? 'its three mounts lie in one upright plane, so lifting one has no hold: look at their readings'
    : null
}

/** World height as a direction in the body: fixed by two height differences and its length of 1. */
function rowOfHeights(mounts: MountPoints, moves: MountMoves): Vec3 | null {
  const left = sub(mounts.frontLeft, mounts.tail)
  const right = sub(mounts.frontRight, mounts.tail)
  const leftRise = left[2] + moves.frontLeftUp - moves.tailUp
  const rightRise = right[2] + moves.frontRightUp - moves.tailUp
  const normal = cross(left, right)
  const area2 = dot(normal, normal)
  if (area2 === 0) return null
  const toLeft = scale(cross(right, normal), leftRise / area2)
  const toRight = scale(cross(normal, left), rightRise / area2)
  const inPlane: Vec3 = [toLeft[0] + toRight[0], toLeft[1] + toRight[1], toLeft[2] + toRight[2]]
  const rest = 1 - dot(inPlane, inPlane)
  if (rest < 0) return null
  // Of the two answers, the one with the powertrain the right way up.
  const upward = scale(unit(normal), Math.sign(normal[2]) * Math.sqrt(rest))
  return [inPlane[0] + upward[0], inPlane[1] + upward[1], inPlane[2] + upward[2]]
}

/** Some rotation that takes `heightRow` to world up, heading left to the caller. */
function uprightRotation(heightRow: Vec3, across: Vec3): Mat3 {
  const body = frameFrom(heightRow, across)
  const world = frameFrom([0, 0, 1], norm(cross([0, 0, 1], across)) > 0 ? across : [0, 1, 0])
  return multiply3(transpose3(world), body)
}

function turnAboutUp(angle: number): Mat3 {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return [
    [c, -s, 0],
    [s, c, 0],
    [0, 0, 1],
  ]
}
