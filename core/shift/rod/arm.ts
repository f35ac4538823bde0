import { dot, type Vec3 } from '../../base/linalg/vec3'

/** An arm that turns on an axis, with the pin of a rod at its end. Lengths in mm; a reading adds to the clocking. */
export interface Arm {
  readonly pivot: Vec3
  /** Square to each other and to the axis, of length 1: where the arm points at 0°, and at 90°. */
  readonly from: Vec3
  readonly toward: Vec3
  readonly armMm: number
  /** Where it points while its reading is 0, in radians. */
  readonly clock: number
  /** Of its pin in its hole, in diameter. */
  readonly playMm: number
}

/** Where the pin of an arm is, told by the arm's angle in radians. */
export function pinAt({ pivot, from, toward, armMm }: Arm, angle: number): Vec3 {
  const [along, up] = [armMm * Math.cos(angle), armMm * Math.sin(angle)]
  return [
    pivot[0] + along * from[0] + up * toward[0],
    pivot[1] + along * from[1] + up * toward[1],
    pivot[2] + along * from[2] + up * toward[2],
  ]
}

/** Where the pin goes to as the arm turns: for each radian, in mm. */
export function swayAt({ from, toward, armMm }: Arm, angle: number): Vec3 {
  const [along, up] = [-armMm * Math.sin(angle), armMm * Math.cos(angle)]
  return [
    along * from[0] + up * toward[0],
    along * from[1] + up * toward[1],
    along * from[2] + up * toward[2],
  ]
}

/**
 * The angles of an arm at which its pin lies a rod away from a place: `middle ± half`, in radians. Where there are none, `half` is no number and
 * `shortMm` is how much the rod is too short, below nought too long; it is no
 * number where the place lies on the axis, from which every angle is as far.
 */
export interface Reach {
  readonly middle: number
  readonly half: number
  readonly shortMm: number
}

/**
 * Two circles in space: `cos(angle − middle) = (w² + r² − ℓ²)/(2·r·p)`, w from the pivot to the place, p its part in the plane of the arm (law of
 * cosines).
 */
export function reachOf({ pivot, from, toward, armMm }: Arm, place: Vec3, rodMm: number): Reach {
  const w: Vec3 = [place[0] - pivot[0], place[1] - pivot[1], place[2] - pivot[2]]
  const [along, up] = [dot(w, from), dot(w, toward)]
  const inPlane = Math.hypot(along, up)
  const squares = dot(w, w) + armMm * armMm
  const cosine = (squares - rodMm * rodMm) / (2 * armMm * inPlane)
  const middle = Math.atan2(up, along)
  if (Math.abs(cosine) <= 1) return { middle, half: Math.acos(cosine), shortMm: 0 }
  const across = 2 * armMm * inPlane
  const [nearest, farthest] = [Math.sqrt(Math.max(0, squares - across)), Math.sqrt(squares + across)]
  const shortMm = rodMm < nearest ? nearest - rodMm : rodMm > farthest ? farthest - rodMm : NaN
  return { middle, half: NaN, shortMm }
}
