import { degrees, angleTo } from '../base/units/angle'
import { CoreError } from '../base/errors'
import { cross, dot, norm, type Vec3 } from '../base/linalg/vec3'

/** A point of a sprocket's face, in mm seen from the right (x forward, z up), and what the laser shows there. */
export interface FacePoint {
  readonly x: number
  readonly z: number
  readonly readingMm: number
}

/** A sprocket as its face was read. */
export interface FaceRead {
  readonly points: readonly FacePoint[]
  readonly centre: readonly [number, number]
  /** From the face that was read to the middle of its teeth, to the left, in mm. */
  readonly toothMm?: number
}

/** Side of the faces that the laser stands on; readings are then plain distances. Without it they count to the left. */
export type LaserSide = 'left' | 'right'

/** The plane of a sprocket's teeth. */
export interface ToothPlane {
  /** Of its middle, to the left of the laser's plane, in mm. */
  readonly leftMm: number
  /** To the left for each mm forward, and for each mm up; null where the points cannot show it. */
  readonly slopeX: number | null
  readonly slopeZ: number | null
  /** Front edge to the left; top to the right. */
  readonly yawDeg: number | null
  readonly tiltDeg: number | null
  readonly residualMm: number
}

/** Squares of their distances from their middle below which points count as one place, in mm². */
const SAME_MM = 1e-9

/** Whether points of a face lie apart, so that a plane can be read from them. */
export function areApart(points: readonly Pick<FacePoint, 'x' | 'z'>[]): boolean {
  const mean = (of: 'x' | 'z') => points.reduce((sum, one) => sum + one[of], 0) / points.length
  const [mx, mz] = [mean('x'), mean('z')]
  return points.reduce((sum, { x, z }) => sum + (x - mx) ** 2 + (z - mz) ** 2, 0) >= SAME_MM
}

/**
 * The tooth plane of a sprocket from points of its face, by least squares. Points on one line show one slope: the other is not known, not nought.
 *
 * @throws CoreError `out-of-range` for fewer than two points, or a plain distance below nought; `degenerate` for points in one place
 * @see docs/methods/chains.md
 */
export function toothPlane({ points, centre, toothMm = 0 }: FaceRead, laser?: LaserSide): ToothPlane {
  if (points.length < 2) throw new CoreError('out-of-range', 'points', 'a face is read at two points or more')
  const read = points.map(({ x, z, readingMm }) => {
    if (!Number.isFinite(x + z + readingMm)) throw new CoreError('not-finite', 'points', 'expected figures')
    if (laser !== undefined && readingMm < 0)
      throw new CoreError('out-of-range', 'points', 'a distance from a laser is not below nought')
    return { x: x - centre[0], z: z - centre[1], y: laser === 'left' ? -readingMm : readingMm }
  })
  const mean = (of: (one: (typeof read)[number]) => number) =>
    read.reduce((sum, one) => sum + of(one), 0) / read.length
  const [mx, mz, my] = [mean(({ x }) => x), mean(({ z }) => z), mean(({ y }) => y)]
  const spread = (a: 'x' | 'z' | 'y', b: 'x' | 'z' | 'y') => {
    const middle = { x: mx, z: mz, y: my }
    return read.reduce((sum, one) => sum + (one[a] - middle[a]) * (one[b] - middle[b]), 0)
  }
  const [xx, zz, xz, xy, zy] = [
    spread('x', 'x'),
    spread('z', 'z'),
    spread('x', 'z'),
    spread('x', 'y'),
    spread('z', 'y'),
  ]
  if (xx + zz < SAME_MM) throw new CoreError('degenerate', 'points', 'the points coincide')
  const both = xx * zz - xz * xz
  const [slopeX, slopeZ] =
    both > 1e-9 * (xx + zz) ** 2
      ? [(xy * zz - zy * xz) / both, (zy * xx - xy * xz) / both]
      : zz < SAME_MM
        ? [xy / xx, null]
        : xx < SAME_MM
          ? [null, zy / zz]
          : [null, null]
  const [sx, sz] = [slopeX ?? 0, slopeZ ?? 0]
  const off = (x: number, z: number) => my + sx * (x - mx) + sz * (z - mz)
  return {
    leftMm: off(0, 0) + toothMm * Math.hypot(1, sx, sz),
    slopeX,
    slopeZ,
    yawDeg: slopeX === null ? null : degrees(Math.atan(slopeX)),
    tiltDeg: slopeZ === null ? null : degrees(Math.atan(-slopeZ)),
    residualMm: Math.sqrt(mean(({ x, z, y }) => (y - off(x, z)) ** 2)),
  }
}

/** Two sprockets against each other, the second against the first. */
export interface Alignment {
  readonly first: ToothPlane
  readonly second: ToothPlane
  /** How far the second stands to the left at its middle; a spacer of so much the other way cures it. */
  readonly offsetMm: number
  readonly spacerMm: number
  /** From the first one's own tooth plane, slopes that were not read taken as none. */
  readonly fromPlaneMm: number
  readonly yawDeg: number | null
  readonly tiltDeg: number | null
  /** Between both planes in space; null unless both slopes of both are known. */
  readonly angleDeg: number | null
  /** Which way the second is to be turned, seen from above, and its top to be leant. */
  readonly turn: 'clockwise' | 'anticlockwise' | 'none' | null
  readonly lean: 'left' | 'right' | 'none' | null
}

/**
 * How two sprockets stand to each other.
 *
 * @throws CoreError as `toothPlane` does
 */
export function alignment(one: FaceRead, other: FaceRead, laser?: LaserSide): Alignment {
  const [first, second] = [toothPlane(one, laser), toothPlane(other, laser)]
  const offsetMm = second.leftMm - first.leftMm
  const between = (a: number | null, b: number | null) => (a === null || b === null ? null : b - a)
  const [yawDeg, tiltDeg] = [between(first.yawDeg, second.yawDeg), between(first.tiltDeg, second.tiltDeg)]
  const [sx, sz] = [first.slopeX ?? 0, first.slopeZ ?? 0]
  const beyond = offsetMm - sx * (other.centre[0] - one.centre[0]) - sz * (other.centre[1] - one.centre[1])
  const isWhole = yawDeg !== null && tiltDeg !== null
  const normal = ({ slopeX, slopeZ }: ToothPlane): Vec3 => [-(slopeX ?? 0), 1, -(slopeZ ?? 0)]
  const [a, b] = [normal(first), normal(second)]
  return {
    first,
    second,
    offsetMm,
    spacerMm: -offsetMm,
    fromPlaneMm: beyond / Math.hypot(1, sx, sz),
    yawDeg,
    tiltDeg,
    angleDeg: isWhole ? degrees(angleTo(norm(cross(a, b)), dot(a, b))) : null,
    turn: yawDeg === null ? null : yawDeg === 0 ? 'none' : yawDeg > 0 ? 'clockwise' : 'anticlockwise',
    lean: tiltDeg === null ? null : tiltDeg === 0 ? 'none' : tiltDeg > 0 ? 'left' : 'right',
  }
}

/** Shim under one bolt of a base so long that turns it by an angle, in mm. */
export const shimFor = (baseMm: number, deg: number): number =>
  baseMm * Math.tan((Math.abs(deg) * Math.PI) / 180)
