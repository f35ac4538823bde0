import { degrees } from '../../base/units/angle'
import { CoreError } from '../../base/errors'
import type { Outline } from '../../file/parts/outline'
import type { PhotoScale, SeenFrom } from '../../file/parts/photo'

/** A place on a picture: px from its left edge and from its top. */
export type Pixel = readonly [number, number]
/** A place in a view, in mm, as the corners of outlines are. */
export type Place = Outline['corners'][number]

/** Between the picture and the view it was taken of. */
export interface PhotoMap {
  readonly toPlace: (pixel: Pixel) => Place
  readonly toPixel: (place: Place) => Pixel
  readonly mmPerPx: number
  /** How far the picture's own edges are from level, in degrees, against the clock as it is looked at. */
  readonly turnedDeg: number
}

/** Which way the two figures of a view run on a picture held upright: to its right and up. The front is at its left from above. */
const SENSES: Readonly<Record<SeenFrom, readonly [1 | -1, 1 | -1]>> = {
  left: [1, 1],
  right: [-1, 1],
  above: [1, -1],
  below: [1, 1],
  front: [1, 1],
  behind: [-1, 1],
}

/** Two points nearer to each other, in px, scale nothing. */
const NEAREST_PX = 8

/**
 * How a photograph taken square-on lies on a view of the vehicle.
 *
 * With both places known it is turned and scaled so that both points fall on them; with one place and the distance it is taken
 * as level.
 *
 * @throws CoreError `degenerate` when the two points lie on each other, on the picture or on the vehicle
 * @see docs/methods/bay.md (similarity of the plane from two points)
 */
export function photoMap({
  points: [first, second],
  places: [at, other],
  distanceMm,
  seenFrom,
}: PhotoScale): PhotoMap {
  const [right, up] = SENSES[seenFrom]
  const held = ([x, y]: Pixel): Place => [right * x, -up * y]
  const [a, b] = [held(first), held(second)]
  const [du, dv] = [b[0] - a[0], b[1] - a[1]]
  const apartPx = Math.hypot(du, dv)
  if (!(apartPx >= NEAREST_PX))
    throw new CoreError('degenerate', 'points', 'the two points lie on each other')
  const apartMm = other ? Math.hypot(other[0] - at[0], other[1] - at[1]) : (distanceMm ?? NaN)
  if (!(apartMm > 0))
    throw new CoreError('degenerate', 'distanceMm', 'the distance of the two points is not known')
  const turn = other ? Math.atan2(other[1] - at[1], other[0] - at[0]) - Math.atan2(dv, du) : 0
  const mmPerPx = apartMm / apartPx
  const [cos, sin] = [mmPerPx * Math.cos(turn), mmPerPx * Math.sin(turn)]
  const square = mmPerPx * mmPerPx
  return {
    mmPerPx,
    turnedDeg: degrees(Math.atan2(Math.sin(turn), Math.cos(turn))) * right * up,
    toPlace: (pixel) => {
      const [u, v] = held(pixel)
      const [x, y] = [u - a[0], v - a[1]]
      return [at[0] + cos * x - sin * y, at[1] + sin * x + cos * y]
    },
    toPixel: ([h, v]) => {
      const [x, y] = [h - at[0], v - at[1]]
      const [u, w] = [a[0] + (cos * x + sin * y) / square, a[1] + (cos * y - sin * x) / square]
      return [right * u, -up * w]
    },
  }
}

/**
 * How much larger a thing looks that stands nearer to the lens than what scales the picture.
 *
 * @param cameraMm - from the lens to what scales it
 * @param nearerMm - below nought for what stands farther away
 * @returns a share: 0.034 for 100 mm at 3 m
 * @throws CoreError `degenerate` for what would stand at the lens or behind it
 * @see docs/methods/bay.md (central projection)
 */
export function depthShare(cameraMm: number, nearerMm: number): number {
  if (!(cameraMm > 0) || !(nearerMm < cameraMm))
    throw new CoreError('degenerate', 'nearerMm', 'is not before the lens')
  return nearerMm / (cameraMm - nearerMm)
}

/** What depth does to a tracing, in mm. */
export interface DepthFault {
  readonly share: number
  /** By how much its longer side comes out too long. */
  readonly longMm: number
  /** How far its corner farthest from the middle of the picture comes out of place. */
  readonly placeMm: number
}

/**
 * What depth does to corners that were traced.
 *
 * @param middle - where the lens pointed, which is the middle of the picture
 * @throws CoreError `degenerate`
 */
export function depthFault(
  corners: readonly Place[],
  middle: Place,
  cameraMm: number,
  nearerMm: number,
): DepthFault {
  const share = depthShare(cameraMm, nearerMm)
  // What looks so much too large is so much of its false size too large.
  const isFalse = share / (1 + share)
  const reach = (axis: 0 | 1) =>
    Math.max(...corners.map((at) => at[axis])) - Math.min(...corners.map((at) => at[axis]))
  const farthest = Math.max(...corners.map(([x, y]) => Math.hypot(x - middle[0], y - middle[1])))
  const ofSize = (size: number) => (corners.length > 0 ? size * isFalse : 0)
  return { share, longMm: ofSize(Math.max(reach(0), reach(1))), placeMm: ofSize(farthest) }
}
