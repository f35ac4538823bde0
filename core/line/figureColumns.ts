import { CONSTANT_OVER, DIFFERENCE, SIZE, TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import type { Kernel, Row } from '../columns/kernel'
import { FALL_PLAN_DEG } from '../frame/axis'
import type { MapColumns } from '../joints/chainColumns'
import { lengthColumns } from './shaftLengths'
import { anyPerpendicular, cross } from '../linalg/vec3'
import { flowSense, type Line } from '../project/lineSpec'
import { vectorAt } from '../readings/geometry'
import { criticalSpeedRpm } from '../strength/criticalSpeed'
import type { LineColumns } from './lineColumns'
import {
  EQUIVALENT_ANGLE,
  ERROR_PEAK_TO_PEAK,
  PEAK_ACCELERATION,
  SMALL_ANGLE_ACCELERATION,
  SPEED_RATIOS,
  UNEVENNESS,
} from './uniformity'

/** A figure as a column; one that is the length of a vector, or rises with it, says which. */
export interface FigureColumn {
  readonly column: Column
  readonly vector?: {
    readonly columns: readonly [Column, Column]
    /** The figure when the vector is nought. */
    readonly figureAtNought: number
  }
}

/** A figure of a line under the name of its place in the published result, `joints[0].angleDeg`. */
export interface NamedFigure extends FigureColumn {
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
  /** Difference of the last two joints' angles in degrees; null for a single joint. */
  readonly pair: FigureColumn | null
  readonly named: readonly NamedFigure[]
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

/** First bending critical speed from the length between joint centres in mm; parameter: that of the same tube 1 mm long. */
const CRITICAL_SPEED: Kernel = {
  name: 'critical speed of the tube',
  page: 'strength',
  outputs: 1,
  run: (count, [length], [speedRpm], [atOneMm]) => {
    for (let i: Row = 0; i < count; i++) speedRpm[i] = atOneMm / (length[i] * length[i])
  },
}

/**
 * The figures of a line in one state as columns.
 *
 * @param speedRpm - highest speed of the driving axis; null while it is not known
 * @param hasLengths - shafts are ordered by their lengths at ride height, so only that state needs them
 */
export function lineFigureColumns(
  graph: Graph,
  line: Line,
  columns: LineColumns,
  speedRpm: number | null,
  hasLengths: boolean,
): LineFigureColumns {
  const last = line.joints.length - 1
  const { angles: turns, anglesDeg, axes, normals, upTo, squeezes, spans } = columns
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
  const critical = line.shafts.map((shaft, index) =>
    shaft.tube
      ? scalarStep(graph, CRITICAL_SPEED, [spans[index] as Column], [criticalSpeedRpm(shaft.tube, 1)])
      : null,
  )
  const inertial = (joint: number) =>
    line.joints[joint]?.kind === 'cross'
      ? scalarStep(graph, SMALL_ANGLE_ACCELERATION, [turns[joint] as Column], [speedRpm ?? NaN])
      : graph.source(0)
  const shafts = line.shafts.flatMap((_, index): NamedFigure[] => {
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
