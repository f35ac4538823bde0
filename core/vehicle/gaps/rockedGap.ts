import { dot, sub, turnAbout, unit, type Vec3 } from '../../base/linalg/vec3'
import { radians } from '../../base/units/angle'

/** How the powertrain rocks on its mounts: about a line, so far either way. */
export interface Rock {
  readonly deg: number
  /** A point of the line and its direction, where they stand now. */
  readonly point: Vec3
  readonly axis: Vec3
}

/**
 * The least gap while the body of a touch point rocks, in mm.
 *
 * Turning the point by φ about the line changes the gap by a sine of φ, so the least is at an end of the rock or where that sine
 * turns round.
 *
 * @param toward - unit direction from the point to the obstacle, which stays
 * @see docs/methods/gaps.md
 */
export function rockedGap(gapMm: number, point: Vec3, toward: Vec3, rock: Rock): number {
  const arm = sub(point, rock.point)
  const axis = unit(rock.axis)
  const at = (angle: number) => gapMm - dot(toward, sub(turnAbout(arm, axis, angle), arm))
  const end = radians(rock.deg)
  // Across the line the arm has a part along the direction and one a quarter turn on.
  const cosine = dot(toward, arm) - dot(toward, axis) * dot(axis, arm)
  const sine = at(0) - at(Math.PI / 2) + cosine
  const summit = Math.atan2(sine, cosine)
  const within = [summit, summit - Math.PI, summit + Math.PI].filter((angle) => Math.abs(angle) <= end)
  return Math.min(...[-end, 0, end, ...within].map(at))
}
