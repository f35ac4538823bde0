import { degrees, radians } from '../../base/units/angle'
import { cross, dot, norm, type Vec3 } from '../../base/linalg/vec3'

/** How a face stands: up to the left, and up forward, is positive. */
export interface FaceLean {
  readonly acrossDeg: number
  readonly alongDeg: number
}

/** What fills the gap between a leaning face and the end of a bar. */
export interface Wedge {
  /** Between both faces, by their normals. */
  readonly angleDeg: number
  /** At the thick corner, over the thin one. */
  readonly thickMm: number
  /** Toward the thick corner. */
  readonly isThickForward: boolean
  readonly isThickLeft: boolean
  /** What is done about it. */
  readonly cure: 'nothing' | 'fillet' | 'wedge'
}

/** Up to here a weld bridges the gap by itself, from here a pad is cut to shape or wedged. */
const BRIDGED_MM = 1.5
const WEDGED_MM = 4

/**
 * The wedge between a rail's face and a bar's end that lies against it, from the normals of both: leans in two views do not add.
 *
 * @param sizeMm - of the end, along the vehicle and across it
 * @param isUnder - the bar hangs under the face, so that the gap is widest where the face is highest
 */
export function wedgeOf(
  face: FaceLean,
  end: FaceLean,
  sizeMm: readonly [number, number],
  isUnder: boolean,
): Wedge {
  const [a, b] = [normalOf(face), normalOf(end)]
  const angleDeg = degrees(Math.atan2(norm(cross(a, b)), dot(a, b)))
  const slope = (deg: number) => Math.tan(radians(deg))
  const sense = isUnder ? 1 : -1
  const forward = sense * (slope(face.alongDeg) - slope(end.alongDeg))
  const left = sense * (slope(face.acrossDeg) - slope(end.acrossDeg))
  const thickMm = Math.abs(forward) * sizeMm[0] + Math.abs(left) * sizeMm[1]
  const cure = thickMm <= BRIDGED_MM ? 'nothing' : thickMm <= WEDGED_MM ? 'fillet' : 'wedge'
  return { angleDeg, thickMm, isThickForward: forward > 0, isThickLeft: left > 0, cure }
}

/** Upright to a plane that rises so to the left and forward. */
function normalOf({ acrossDeg, alongDeg }: FaceLean): Vec3 {
  const forward: Vec3 = [Math.cos(radians(alongDeg)), 0, Math.sin(radians(alongDeg))]
  const left: Vec3 = [0, Math.cos(radians(acrossDeg)), Math.sin(radians(acrossDeg))]
  return cross(forward, left)
}
