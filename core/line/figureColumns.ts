import { CONSTANT_OVER, DIFFERENCE, SIZE, TIMES } from '../columns/arithmetic'
import { scalarStep, type Column, type Graph, type VectorColumns } from '../columns/graph'
import type { Kernel, Row } from '../columns/kernel'
import { FALL_PLAN_DEG } from '../frame/axis'
import type { MapColumns } from '../joints/chainColumns'
import { lengthColumns } from './shaftLengths'
import { anyPerpendicular, cross } from '../linalg/vec3'
import type { CrossEntry } from '../project/stock'
import { crossLoad } from '../strength/crossSize'
import { flowSense, type Line, type Shaft } from '../project/lineSpec'
import { vectorAt } from '../readings/geometry'
import { criticalRpmWithEnds, criticalSpeedRpm } from '../strength/criticalSpeed'
import { metalOf } from '../strength/metal'
import { tubeSection } from '../strength/tubeSection'
import { angleTo, degrees } from '../units/angle'
import { bearingForceColumns } from './bearingForceColumns'
import { phasesOf } from './phases'
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
  /** Greatest over a turn at the line's torque, in N, one a shaft; null without a bearing or a torque. */
  readonly bearingForces: readonly (FigureColumn | null)[]
  /** Of each shaft against the seat of its bearing, in degrees; null without one, or where its axis was not read. */
  readonly misalignments: readonly (FigureColumn | null)[]
  /** Shear of each joint's cross over what it may bear; null where its size or the torque is not told. */
  readonly crossShares: readonly (FigureColumn | null)[]
  /** Of a spline in the shaft: way left until it bottoms in mm, and engaged length over its diameter. */
  readonly slips: readonly (SlipColumns | null)[]
  /** Way that a plunging joint has left, in mm. */
  readonly plunges: readonly (FigureColumn | null)[]
  /** Difference of the last two joints' angles in degrees; null for a single joint. */
  readonly pair: FigureColumn | null
  readonly named: readonly NamedFigure[]
}

/** How a spline in a shaft stands. */
export interface SlipColumns {
  readonly left: FigureColumn
  readonly engaged: FigureColumn | null
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

/** Angle of a shaft against the seat of its bearing in degrees, whichever way either is told. */
const SEAT_ANGLE: Kernel = {
  name: 'angle of the shaft in its bearing',
  page: 'couples',
  outputs: 1,
  run: (count, [ax, ay, az, bx, by, bz], [angleDeg]) => {
    for (let i: Row = 0; i < count; i++) {
      const x = ay[i] * bz[i] - az[i] * by[i]
      const y = az[i] * bx[i] - ax[i] * bz[i]
      const z = ax[i] * by[i] - ay[i] * bx[i]
      const dot = ax[i] * bx[i] + ay[i] * by[i] + az[i] * bz[i]
      angleDeg[i] = degrees(angleTo(Math.sqrt(x * x + y * y + z * z), Math.abs(dot)))
    }
  },
}

/** Shear of a cross over what it may bear, from the joint's angle in radians; parameter: the share when it stands straight. */
const CROSS_SHARE: Kernel = {
  name: 'shear of the cross',
  page: 'strength',
  outputs: 1,
  run: (count, [angle], [share], [straight]) => {
    for (let i: Row = 0; i < count; i++) share[i] = straight / Math.cos(angle[i])
  },
}

/** Way left at a joint that plunges, in mm; parameters: length at the middle of its range, and its reach either way. */
const PLUNGE_LEFT: Kernel = {
  name: 'plunge left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [middle, reach]) => {
    for (let i: Row = 0; i < count; i++) left[i] = reach - Math.abs(length[i] - middle)
  },
}

/** Way left until a spline bottoms, in mm; parameter: length when it is pushed home. */
const SLIP_LEFT: Kernel = {
  name: 'slip left',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [left], [closed]) => {
    for (let i: Row = 0; i < count; i++) left[i] = length[i] - closed
  },
}

/** Engaged spline over its diameter; parameters: length at which nothing is engaged any more, and the diameter, in mm. */
const ENGAGED: Kernel = {
  name: 'spline engaged',
  page: 'lengths',
  outputs: 1,
  run: (count, [length], [share], [apart, diameter]) => {
    for (let i: Row = 0; i < count; i++) share[i] = (apart - length[i]) / diameter
  },
}

/** Critical speed of a tube with masses near its ends, from the length in mm; parameters: see `ENDED_PARAMETERS`. */
const CRITICAL_WITH_ENDS: Kernel = {
  name: 'critical speed of the tube with what sits at its ends',
  page: 'strength',
  outputs: 1,
  run: (count, [length], [speedRpm], [outerMm, wallMm, stiffnessGPa, densityKgM3, kg, inboardMm]) => {
    const section = tubeSection({ outerMm, wallMm })
    const metal = { stiffnessGPa, densityKgM3 }
    for (let i: Row = 0; i < count; i++)
      speedRpm[i] =
        length[i] > 2 * inboardMm
          ? criticalRpmWithEnds(section, metal, length[i], { kind: 'mass', kg, inboardMm })
          : NaN
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
  const critical = line.shafts.map((shaft, index) => criticalColumn(graph, shaft, spans[index] as Column))
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
    if (!size || torqueNm === null || line.joints[index]?.kind !== 'cross') return null
    const straight = crossLoad(size, torqueNm, 0).shearMPa / size.allowMPa
    return { column: scalarStep(graph, CROSS_SHARE, [turns[index] as Column], [straight]) }
  })
  const slips = line.shafts.map((shaft, index) => slipColumns(graph, shaft, spans[index] as Column))
  const plunges = line.shafts.map(({ plunge }, index): FigureColumn | null => {
    const { middleMm, reachMm } = plunge ?? {}
    return middleMm === undefined || reachMm === undefined
      ? null
      : { column: scalarStep(graph, PLUNGE_LEFT, [spans[index] as Column], [middleMm, reachMm]) }
  })
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
      ...of(`${at}.bearing.forceN`, bearings[index]),
      ...of(`${at}.bearing.misalignmentDeg`, misalignments[index]),
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

const of = (name: string, figure: FigureColumn | null | undefined): NamedFigure[] =>
  figure ? [{ name, ...figure }] : []

function criticalColumn(graph: Graph, { tube, endMasses }: Shaft, span: Column): Column | null {
  if (!tube) return null
  if (!endMasses) return scalarStep(graph, CRITICAL_SPEED, [span], [criticalSpeedRpm(tube, 1)])
  const { stiffnessGPa, densityKgM3 } = metalOf(tube)
  return scalarStep(
    graph,
    CRITICAL_WITH_ENDS,
    [span],
    [tube.outerMm, tube.wallMm, stiffnessGPa, densityKgM3, endMasses.kg, endMasses.inboardMm],
  )
}

function slipColumns(graph: Graph, { slip }: Shaft, span: Column): SlipColumns | null {
  const { closedMm, engagedMm, diameterMm } = slip ?? {}
  if (closedMm === undefined) return null
  return {
    left: { column: scalarStep(graph, SLIP_LEFT, [span], [closedMm]) },
    engaged:
      engagedMm === undefined || diameterMm === undefined
        ? null
        : { column: scalarStep(graph, ENGAGED, [span], [closedMm + engagedMm, diameterMm]) },
  }
}

function bearingFigures(
  graph: Graph,
  line: Line,
  { axes, normals, spans, reaches }: LineColumns,
  torqueNm: number | null,
): (FigureColumn | null)[] {
  const none = line.shafts.map(() => null)
  const held = reaches.slice(0, -1).flatMap((reach) => reach ?? [])
  if (torqueNm === null || held.length === 0 || held.length < line.shafts.length - 1) return none
  const kinds = line.joints.map(({ kind }) => kind)
  const forces = bearingForceColumns(graph, kinds, axes, normals, spans, held, phasesOf(line), torqueNm)
  return [...forces.map((column) => ({ column })), null]
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
