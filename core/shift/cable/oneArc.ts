import { CoreError } from '../../base/errors'
import { add, dot, norm, scale, sub, type Vec3 } from '../../base/linalg/vec3'

/** An end of a cable: where it is, and the way it goes there, of length 1. */
export interface CableEnd {
  readonly at: Vec3
  readonly way: Vec3
}

const SAME_WAY = 1e-9
const OFF_MM = 1e-6

/**
 * The corner in which two ends meet that point somewhere: ahead of the first and before the second.
 *
 * @throws CoreError `degenerate` where they lie side by side or pass each other, or meet behind an end: one arc does not join them
 */
export function meetingPoint(from: CableEnd, to: CableEnd): Vec3 {
  const between = sub(to.at, from.at)
  const turn = dot(from.way, to.way)
  const spread = 1 - turn * turn
  if (spread < SAME_WAY)
    throw new CoreError('degenerate', 'ends', 'lie side by side: one arc does not join them')
  // Feet of the shortest way between two lines.
  const [one, other] = [dot(between, from.way), dot(between, to.way)]
  const ahead = (one - other * turn) / spread
  const before = (one * turn - other) / spread
  const corner = add(from.at, scale(from.way, ahead))
  const back = sub(to.at, scale(to.way, -before))
  if (norm(sub(corner, back)) > OFF_MM)
    throw new CoreError('degenerate', 'ends', 'pass each other: one arc does not join them')
  if (ahead <= 0 || before >= 0)
    throw new CoreError('degenerate', 'ends', 'meet behind one of them: it takes two bends')
  return corner
}

/** The largest arc that fits into a corner between two ends. */
export function widestArc(from: Vec3, corner: Vec3, to: Vec3): number {
  const [first, second] = [sub(corner, from), sub(to, corner)]
  const [long, wide] = [norm(first), norm(second)]
  const turn = Math.acos(Math.min(1, Math.max(-1, dot(first, second) / (long * wide))))
  return Math.min(long, wide) / Math.tan(turn / 2)
}
