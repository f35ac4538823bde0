import { isUneven, JOINTS } from '../file/parts/joints'
import { CONSTANT_OVER, DIFFERENCE, SIZE, TIMES } from '../base/columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../base/columns/graph'
import type { Kernel, Row } from '../base/columns/kernel'
import { FALL_PLAN_DEG } from '../base/frame/axis'
import type { MapColumns } from './joints/trainColumns'
import { lengthColumns } from './shaftLengths'
import { anyPerpendicular, cross } from '../base/linalg/vec3'
import type { CrossEntry } from '../file/parts/stock'
import { crossLoad } from '../vehicle/strength/crossSize'
import { flowSense, type Line } from '../file/parts/lineSpec'
import { vectorAt } from '../measure/geometry/geometry'
import type { LineColumns } from './lineColumns'
import { bearingFigures, CROSS_SHARE, SEAT_ANGLE, type FigureColumn } from './shaftFigureColumns'
import {
  EQUIVALENT_ANGLE,
  ERROR_PEAK_TO_PEAK,
  PEAK_ACCELERATION,
  SMALL_ANGLE_ACCELERATION,
  SPEED_RATIOS,
  UNEVENNESS,
} from './uniformity'

export type { FigureColumn }

/** A figure of a line under the name of its place in the published result, `joints[0].angleDeg`. */
export interface NamedColumn extends FigureColumn {
  readonly name: string
}

/** Figures of a line in one state: those that are judged, and all that carry a ±. */
export interface LineFigureColumns {
  /** One a joint, in degrees. */
  readonly angles: readonly FigureColumn[]
  /** Of the driven axis at the highest speed, in rad/s²; null without a speed. */
  readonly acceleration: FigureColumn | null
  /** Highest speed over critical speed, one a shaft; null without a speed or a tube. */
  readonly criticalRatios: readonly (FigureColumn | null)[]
  /** Greatest over a turn at the line's torque, in N, one a shaft; null without a bearing or a torque. */
  readonly bearingForces: readonly (FigureColumn | null)[]
  /** Of each shaft against the seat of its bearing, in degrees; null without one, or where its axis was not read. */
  readonly misalignments: readonly (FigureColumn | null)[]
  /** Shear of each joint's cross over what it may bear; null where its size or the torque is not told. */
  readonly crossShares: readonly (FigureColumn | null)[]
  /** Of a spline in the shaft: way left until it bottoms in mm, and engaged length over its diameter. */
  readonly slips: readonly ({ readonly left: FigureColumn; readonly engaged: FigureColumn | null } | null)[]
  /** Way that a plunging joint has left, in mm. */
  readonly plunges: readonly (FigureColumn | null)[]
  /** Difference of the last two joints' angles in degrees; null for a single joint. */
  readonly pair: FigureColumn | null
  readonly named: readonly NamedColumn[]
}

/** What a line has to bear and how fast it turns at the most, as far as it is known. */
export interface LineDuty {
  /** Of the driving axis, in rev/min. */
  readonly speedRpm: number | null
  /** With its shock, in Nm. */
  readonly torqueNm: number | null
  /** Sizes of the crosses of its joints; null where none is told. */
  readonly crosses: readonly (CrossEntry | null)[]
}

/** A joint's angle as a vector: the turn from its incoming to its outgoing axis, across two fixed directions. */
const TURN_ACROSS: Kernel = {
  name: 'turn of a joint with its direction',
  page: 'uncertainty',
  outputs: 2,
  run: (count, [ix, iy, iz, ox, oy, oz], [first, second], [ax, ay, az, bx, by, bz]) => {
    for (let i: Row = 0; i < count; i++) {
      const x = iy[i] * oz[i] - iz[i] * oy[i]
      const y = iz[i] * ox[i] - ix[i] * oz[i]
      const z = ix[i] * oy[i] - iy[i] * ox[i]
      first[i] = x * ax + y * ay + z * az
      second[i] = x * bx + y * by + z * bz
    }
  },
}

/**
 * The figures of a line in one state as columns.
 *
 * @param seats - axes of the bearings' seats, one a shaft; null without
 * @param hasLengths - shafts are ordered by their lengths at ride height, so only that state needs them
 */
export function lineFigureColumns(
  graph: Graph,
  line: Line,
  columns: LineColumns,
  { speedRpm, torqueNm, crosses }: LineDuty,
  seats: readonly (VectorColumns | null)[],
  hasLengths: boolean,
): LineFigureColumns {
  const last = line.joints.length - 1
  const { angles: turns, anglesDeg, axes, normals, upTo, squeezes, shafts: shaftsOf } = columns
  const vector = vectorAt(graph.at)
  const first = axes[0] as VectorColumns
  const fixed = anyPerpendicular(vector(first))
  const uneven = upTo.map(
    (map: MapColumns) =>
      graph.step(
        UNEVENNESS,
        [...map, ...first, ...(normals[0] as VectorColumns)],
        fixed,
      ) as unknown as readonly [Column, Column],
  )
  const unevenOf = (index: number, figureAtNought = 0) => ({
    columns: uneven[index] as readonly [Column, Column],
    figureAtNought,
  })
  const angles = anglesDeg.map((column, index) => ({ column, vector: turnAcross(graph, axes, index) }))
  const squeeze = squeezes[last] as Column
  const [ratioMin, ratioMax] = graph.step(SPEED_RATIOS, [squeeze]) as unknown as [Column, Column]
  const peak = (index: number): FigureColumn | null =>
    speedRpm === null
      ? null
      : {
          column: scalarStep(graph, PEAK_ACCELERATION, [squeezes[index] as Column], [speedRpm]),
          // Behind one joint alone the turn is as even as the joint is straight.
          vector: index === 0 && last > 0 ? angles[0]?.vector : unevenOf(index),
        }
  const acceleration = peak(last)
  const critical = shaftsOf.map(({ criticalRpm }) => criticalRpm)
  const bearings = bearingFigures(graph, line, columns, torqueNm)
  const misalignments = line.shafts.map((_, index): FigureColumn | null => {
    const seat = seats[index]
    const along = axes[index + 1]
    if (!seat || !along) return null
    return {
      column: scalarStep(graph, SEAT_ANGLE, [...seat, ...along]),
      vector: turnAcross(graph, [seat, along], 0),
    }
  })
  const crossShares = crosses.map((size, index): FigureColumn | null => {
    const joint = line.joints[index]
    if (!size || torqueNm === null || !joint || !JOINTS[joint.kind].hasCross) return null
    const straight = crossLoad(size, torqueNm, 0).shearMPa / size.allowMPa
    return { column: scalarStep(graph, CROSS_SHARE, [turns[index] as Column], [straight]) }
  })
  const figure = (column: Column | null): FigureColumn | null => (column === null ? null : { column })
  const slips = shaftsOf.map(
    ({ slip }) => slip && { left: { column: slip.leftMm }, engaged: figure(slip.engagedShare) },
  )
  const plunges = shaftsOf.map(({ plungeLeftMm }) => figure(plungeLeftMm))
  const inertial = (joint: number) =>
    isUneven(line.joints[joint])
      ? scalarStep(graph, SMALL_ANGLE_ACCELERATION, [turns[joint] as Column], [speedRpm ?? NaN])
      : graph.source(0)
  const shafts = line.shafts.flatMap((_, index): NamedColumn[] => {
    const at = `shafts[${index}]`
    const sense = flowSense(line)
    const rearward =
      sense === 1 ? (axes[index + 1] as VectorColumns) : reversed(graph, axes[index + 1] as VectorColumns)
    const [fall, plan] = graph.step(FALL_PLAN_DEG, rearward) as unknown as [Column, Column]
    const lengths = hasLengths ? lengthColumns(graph, line, columns, index) : []
    const own = peak(index)
    const speed = critical[index]
    return [
      { name: `${at}.fallDeg`, column: fall },
      { name: `${at}.planDeg`, column: plan },
      ...lengths.map((column, i) => ({ name: `${at}.lengths[${i}].vehicleMm`, column })),
      ...(own ? [{ name: `${at}.peakAccelerationRadS2`, ...own }] : []),
      ...(speed != null ? [{ name: `${at}.criticalSpeedRpm`, column: speed }] : []),
      ...of(`${at}.bearing.maxN`, bearings[index]),
      ...of(`${at}.bearingMisalignmentDeg`, misalignments[index]),
      ...of(`${at}.slipLeftMm`, slips[index]?.left),
      ...of(`${at}.splineEngaged`, slips[index]?.engaged),
      ...of(`${at}.plungeLeftMm`, plunges[index]),
    ]
  })
  return {
    angles,
    acceleration,
    criticalRatios: critical.map((column) =>
      column === null || speedRpm === null
        ? null
        : { column: scalarStep(graph, CONSTANT_OVER, [column], [speedRpm]) },
    ),
    bearingForces: bearings,
    misalignments,
    crossShares,
    slips,
    plunges,
    pair: last < 1 ? null : pairOf(graph, anglesDeg, last - 1),
    named: [
      ...angles.map((angle, index) => ({ name: `joints[${index}].angleDeg`, ...angle })),
      {
        name: 'errorPeakToPeakDeg',
        column: scalarStep(graph, ERROR_PEAK_TO_PEAK, [squeeze]),
        vector: unevenOf(last),
      },
      {
        name: 'equivalentAngleDeg',
        column: scalarStep(graph, EQUIVALENT_ANGLE, [squeeze]),
        vector: unevenOf(last),
      },
      { name: 'ratioMin', column: ratioMin, vector: unevenOf(last, 1) },
      { name: 'ratioMax', column: ratioMax, vector: unevenOf(last, 1) },
      ...shafts,
      ...crossShares.flatMap((figure, index) => of(`joints[${index}].crossShare`, figure)),
      ...(acceleration
        ? [
            { name: 'outputPeakAccelerationRadS2', ...acceleration },
            { name: 'inertialDriveRadS2', column: inertial(0), vector: angles[0]?.vector },
            { name: 'inertialCoastRadS2', column: inertial(last), vector: angles[last]?.vector },
          ]
        : []),
    ],
  }
}

const of = (name: string, figure: FigureColumn | null | undefined): NamedColumn[] =>
  figure ? [{ name, ...figure }] : []

function turnAcross(graph: Graph, axes: readonly VectorColumns[], index: number): FigureColumn['vector'] {
  const incoming = axes[index] as VectorColumns
  const along = vectorAt(graph.at)(incoming)
  const first = anyPerpendicular(along)
  const columns = graph.step(
    TURN_ACROSS,
    [...incoming, ...(axes[index + 1] as VectorColumns)],
    [...first, ...cross(along, first)],
  ) as unknown as readonly [Column, Column]
  return { columns, figureAtNought: 0 }
}

/** The difference of two joints' angles; behind its size stands the difference with its sign. */
function pairOf(graph: Graph, anglesDeg: readonly Column[], first: number): FigureColumn {
  const signed = scalarStep(graph, DIFFERENCE, [anglesDeg[first + 1] as Column, anglesDeg[first] as Column])
  return {
    column: scalarStep(graph, SIZE, [signed]),
    vector: { columns: [signed, graph.source(0)], figureAtNought: 0 },
  }
}

const reversed = (graph: Graph, axis: VectorColumns): VectorColumns =>
  axis.map((part) => scalarStep(graph, TIMES, [part], [-1])) as unknown as VectorColumns
