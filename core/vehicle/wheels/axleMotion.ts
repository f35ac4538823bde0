import { DIFFERENCE } from '../../base/columns/arithmetic'
import {
  moveStep,
  scalarStep,
  type Column,
  type Graph,
  type MoveColumns,
  type VectorColumns,
} from '../../base/columns/graph'
import type { Kernel, Row } from '../../base/columns/kernel'
import { allKnown, mapKnown, type Known } from '../../base/known'
import type { ArcMotion, TableMotion } from '../../file/parts/axleMotion'
import type { AxleBody } from '../../file/parts/body'
import type { Id } from '../../file/parts/id'
import { forwardOnArc } from './arc'
import { radians } from '../../base/units/angle'
import { valueAtHeight } from './heightCurve'
import type { HeightInputs } from './heightInputs'

/** How far the wheels of an axle have come up, each side, in mm. */
export interface WheelColumns {
  readonly leftUp: Column
  readonly rightUp: Column
  /** How far the steering has moved its rack to the left, in mm; absent where nothing steers. */
  readonly rack?: Column
}

/** Where points stand as measured. */
export type PointOf = (id: Id) => Known<VectorColumns>

/**
 * How far an axle has gone forward, in mm, and its nose turned up, in degrees: from how far left and right have come up, the axle's centre, the
 * point whose way forward was read, and row by row what was read, forward then nose up; parameter: 1 or -1 by the way its nose faces.
 *
 * Both follow what was read by a cubic that keeps its shape. Nothing beyond the rows that were read.
 */
const byTable = (heights: Float64Array): Kernel => {
  const along = new Float64Array(heights.length)
  const nosed = new Float64Array(heights.length)
  return {
    name: 'an axle by what was read at its heights',
    page: 'travel',
    outputs: 2,
    run: (count, columns, [forward, noseDeg], [sense]) => {
      const [leftUp, rightUp, cx, , cz, px, , pz] = columns
      const read = columns as unknown as readonly Float64Array[]
      for (let i: Row = 0; i < count; i++) {
        const up = (leftUp[i] + rightUp[i]) / 2
        for (let row = 0; row < heights.length; row++) {
          along[row] = (read[READ_FROM + 2 * row] as Float64Array)[i] as number
          nosed[row] = (read[READ_FROM + 2 * row + 1] as Float64Array)[i] as number
        }
        noseDeg[i] = valueAtHeight(heights, nosed, up)
        const nose = sense * radians(noseDeg[i])
        // The turn alone takes the point that was read forward by this much more than the centre.
        const more = (Math.cos(nose) - 1) * (px[i] - cx[i]) + Math.sin(nose) * (pz[i] - cz[i])
        forward[i] = valueAtHeight(heights, along, up) - more
      }
    },
  }
}
/** Column of the first figure that was read. */
const READ_FROM = 8

/**
 * The same on leaf springs: from how far left and right have come up, the spring's seat and its eye; parameters: the radius of the arc as a share of
 * the way from seat to eye, nose up in degrees for each mm up.
 */
const BY_ARC: Kernel = {
  name: 'an axle on the arc of its springs',
  page: 'travel',
  outputs: 2,
  run: (count, [leftUp, rightUp, ax, az, ex, ez], [forward, noseDeg], [share, noseUpDegPerMm]) => {
    for (let i: Row = 0; i < count; i++) {
      const up = (leftUp[i] + rightUp[i]) / 2
      forward[i] = forwardOnArc(share * (ax[i] - ex[i]), share * (az[i] - ez[i]), up)
      noseDeg[i] = noseUpDegPerMm * up
    }
  },
}

/**
 * The move of an axle with its wheels, in mm: from how far left and right have come up, the place of it that goes forward and up, how far
 * forward, and how far its nose turns up in degrees; parameters: 1 or -1 by the way its nose faces, the track (0 where both wheels go alike).
 *
 * The middle goes up by the mean of the wheels, and what one is above the other turns the axle lengthwise.
 */
const ON_ITS_WHEELS: Kernel = {
  name: 'an axle with its wheels up or down',
  page: 'travel',
  outputs: 12,
  run: (
    count,
    [leftUp, rightUp, ax, ay, az, forward, noseDeg],
    [r00, r01, r02, r10, r11, r12, r20, r21, r22, sx, sy, sz],
    [sense, track],
  ) => {
    for (let i: Row = 0; i < count; i++) {
      const nose = sense * radians(noseDeg[i])
      // Left up is right-handed about +X, which points forward; a wheel further up than the track is wide cannot be.
      const apart = leftUp[i] - rightUp[i]
      const sine = apart === 0 ? 0 : apart / (track === 0 ? NaN : track)
      const cosine = Math.sqrt(1 - sine * sine)
      const sn = Math.sin(nose)
      const cn = Math.cos(nose)
      r00[i] = cn
      r01[i] = 0
      r02[i] = sn
      r10[i] = sine * sn
      r11[i] = cosine
      r12[i] = -sine * cn
      r20[i] = -cosine * sn
      r21[i] = sine
      r22[i] = cosine * cn
      const up = (leftUp[i] + rightUp[i]) / 2
      sx[i] = ax[i] + forward[i] - (r00[i] * ax[i] + r01[i] * ay[i] + r02[i] * az[i])
      sy[i] = ay[i] - (r10[i] * ax[i] + r11[i] * ay[i] + r12[i] * az[i])
      sz[i] = az[i] + up - (r20[i] * ax[i] + r21[i] * ay[i] + r22[i] * az[i])
    }
  },
}

/** Right-handed about +Y dips the front of a body, so a forward nose rises against it. */
const senseOf = ({ noseFaces }: AxleBody): 1 | -1 => (noseFaces === 'forward' ? -1 : 1)

const onItsWheels = (
  graph: Graph,
  axle: AxleBody,
  { leftUp, rightUp }: WheelColumns,
  place: VectorColumns,
  forwardAndNose: readonly Column[],
): MoveColumns =>
  moveStep(
    graph,
    ON_ITS_WHEELS,
    [leftUp, rightUp, ...place, ...forwardAndNose],
    [senseOf(axle), axle.sizes?.trackMm ?? 0],
  )

/** The move of an axle by a table that was read: each row against ride height, as sure as tape and level are. */
export function tableMove(
  graph: Graph,
  axle: AxleBody,
  { rows, at }: TableMotion,
  { leftUp, rightUp }: WheelColumns,
  centre: VectorColumns,
  point: PointOf,
  input: HeightInputs,
): Known<MoveColumns> {
  const against = (field: 'station' | 'nose', unit: 'mm' | 'deg') => {
    const label = (where: string) => `${axle.name}, ${field} ${where}`
    const figure = (key: string, mean: number, where: string) =>
      input({ body: axle.id, field: `${field}/${key}`, label: label(where), unit, mean })
    // What is read at ride height goes into every other row.
    const atRide = figure('ride', 0, 'at ride height')
    return (upMm: number, mean: number): Column =>
      upMm === 0
        ? graph.source(0)
        : scalarStep(graph, DIFFERENCE, [figure(String(upMm), mean, `with its wheels ${upMm} mm up`), atRide])
  }
  const station = against('station', 'mm')
  const nose = against('nose', 'deg')
  const read = at === undefined ? ({ known: true, value: centre, assumptions: [] } as const) : point(at)
  return mapKnown(read, (place) => {
    const figures = rows.flatMap(({ wheelUpMm, forwardMm, noseUpDeg }) => [
      station(wheelUpMm, forwardMm),
      nose(wheelUpMm, noseUpDeg),
    ])
    const told = graph.step(
      byTable(Float64Array.from(rows, (row) => row.wheelUpMm)),
      [leftUp, rightUp, ...centre, ...place, ...figures],
      [senseOf(axle)],
    )
    return onItsWheels(graph, axle, { leftUp, rightUp }, centre, told)
  })
}

/** The usual radius of the arc that the seat of a leaf spring goes round, as a share of its front half. */
export const USUAL_RADIUS_SHARE = 0.75

/** The move of an axle by the arc of its leaf springs. */
export function arcMove(
  graph: Graph,
  axle: AxleBody,
  { seat, eye, radiusShare = USUAL_RADIUS_SHARE, noseUpDegPerMm = 0 }: ArcMotion,
  { leftUp, rightUp }: WheelColumns,
  [, middle]: VectorColumns,
  point: PointOf,
): Known<MoveColumns> {
  const both = allKnown([point(seat), point(eye)] as const)
  return mapKnown(both, ([[x, , z], [ex, , ez]]) => {
    const told = graph.step(BY_ARC, [leftUp, rightUp, x, z, ex, ez], [radiusShare, noseUpDegPerMm])
    return onItsWheels(graph, axle, { leftUp, rightUp }, [x, middle, z], told)
  })
}
