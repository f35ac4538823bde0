import { newGraph, type Column, type VectorColumns } from '../base/columns/graph'
import { axisDirection, fallPlan, type FallPlan } from '../base/frame/axis'
import { known, mapKnown, unknown, type Known } from '../base/known'
import { trainMapsOf, type TrainJoint, type TrainMaps } from './joints/jointMap'
import { shaftLengths, type ShaftLengths } from './shaftLengths'
import { norm, scale, sub, dot, type Vec3 } from '../base/linalg/vec3'
import { flowSense, isSetByBearing, type Line } from '../file/parts/lineSpec'
import { axisOf, pointOf, vectorAt, type Geometry } from '../measure/geometry/geometry'
import { degrees, type Radians } from '../base/units/angle'
import { bestPhase, mapBehind, type BestPhase } from './bestPhase'
import { lineColumns, type LineColumns } from './lineColumns'
import { trainOf, type LineGeometry } from './lineGeometry'
import { phasesOf } from './phases'
import type { ShaftColumns } from './shaftColumns'
import { smallEquivalentAngle } from './smallAngle'
import { uniformity, uniformityOf, type Uniformity } from './uniformity'

/** Figures of one shaft of a line. */
export interface ShaftFigures {
  readonly place: FallPlan
  readonly phaseDeg: number
  readonly lengths: ShaftLengths
  /** Of the shaft against the driving axis. */
  readonly uniformity: Uniformity
  readonly bestPhase: BestPhase | null
  readonly criticalSpeedRpm: number | null
  /** Way left before what slips bottoms, and how much spline is engaged, in mm; null without, or where it is not told. */
  readonly slipLeftMm: number | null
  readonly engagedMm: number | null
  /** The same over the diameter of the spline. */
  readonly splineEngaged: number | null
  /** Way that a plunging joint has left either way, in mm; null without. */
  readonly plungeLeftMm: number | null
  /** How far a bearing the shaft passes through lies off its line, in mm; null without one that was read. */
  readonly bearingOffLine: number | null
  /** Against the seat of its bearing; null without one, or where its axis was not read. */
  readonly bearingMisalignmentDeg: number | null
}

/** What of a line hangs on more than its geometry: bearings, one a shaft, and the load of each joint's cross as a share of what it bears. */
export interface LineStand {
  readonly bearings: readonly (BearingStand | null)[]
  /** Null for a joint without a cross, or while its load or the cross is not told. */
  readonly crossShares: readonly (number | null)[]
}

/** A centre bearing as it stands. */
export interface BearingStand {
  readonly place: Known<Vec3>
  /** Of the shaft against its seat, in degrees; null where its axis was not read. */
  readonly misalignmentDeg: number | null
  /** Greatest on it over a turn at the line's torque, in N; null while that is not known. */
  readonly forceN: number | null
}

/** All that a line's geometry tells, before any limit is looked at. */
export interface LineFigures {
  readonly geometry: LineGeometry
  readonly train: readonly TrainJoint[]
  readonly maps: TrainMaps
  readonly angles: readonly Radians[]
  readonly anglesDeg: readonly number[]
  /** Of each shaft and the driven axis against the driving one. */
  readonly members: readonly Uniformity[]
  /** Of the driven against the driving axis. */
  readonly whole: Uniformity
  /** Of each shaft against the driven axis: on overrun the road drives the line from behind. */
  readonly fromBehind: () => readonly Uniformity[]
  readonly shafts: () => readonly ShaftFigures[]
  /** From each shaft's front joint along it to its bearing, in mm; null without one that was read. */
  readonly reaches: readonly (number | null)[]
  readonly smallEquivalentDeg: () => number
  readonly bearings: LineStand['bearings']
  readonly crossShares: LineStand['crossShares']
  /** How far the slip yoke has slid out from ride height, in mm; null without one, or at ride height. */
  readonly slideMm: number | null
}

/**
 * Angles, lengths and evenness of one line in a given geometry.
 *
 * @returns unknown with all that is missing
 * @see docs/methods/line.md
 */
export function lineFigures(line: Line, geometry: Geometry): Known<LineFigures> {
  const graph = newGraph()
  const sources = ([x, y, z]: Vec3): VectorColumns => [graph.source(x), graph.source(y), graph.source(z)]
  const columns = lineColumns(graph, line, {
    point: (id) => mapKnown(pointOf(geometry, id), sources),
    axis: (id) => mapKnown(axisOf(geometry, id), (lie) => sources(axisDirection(lie))),
  })
  if (!columns.known) return columns
  const bearings = line.shafts.map(({ bearing }): BearingStand | null =>
    bearing ? { place: pointOf(geometry, bearing.point), misalignmentDeg: null, forceN: null } : null,
  )
  const figures = figuresOf(line, columns.value, graph.at, {
    bearings,
    crossShares: line.joints.map(() => null),
  })
  return figures.known ? known(figures.value, columns.assumptions) : figures
}

/**
 * The figures of a line as its columns stand.
 *
 * @param figure - reads a column
 * @returns unknown when two joints coincide or its bodies cannot be where they were asked
 */
export function figuresOf(
  line: Line,
  columns: LineColumns,
  figure: (column: Column) => number,
  { bearings, crossShares }: LineStand,
): Known<LineFigures> {
  const short = columns.spans.findIndex((span) => Number.isNaN(figure(span)))
  if (short >= 0) return unknown(`${line.name}: joints ${short + 1} and ${short + 2} stand at the same place`)
  const vector = vectorAt(figure)
  const place: LineGeometry = { centres: columns.centres.map(vector), axes: columns.axes.map(vector) }
  const train = trainOf(line, place)
  const phases = phasesOf(line)
  const maps = trainMapsOf(columns, figure)
  const members = columns.squeezes.map((squeeze) => uniformityOf(figure(squeeze)))
  // Read now: the columns stand only until the levers are set again.
  const hanging = columns.shafts.map((of) => hangingOf(of, figure))
  const shafts = once((): ShaftFigures[] =>
    line.shafts.map((shaft, index) => ({
      place: fallPlan(scale(place.axes[index + 1] as Vec3, flowSense(line))),
      phaseDeg: shaft.phaseDeg ?? 0,
      lengths: shaftLengths(line, place, index),
      uniformity: members[index] as Uniformity,
      bestPhase: bestPhase(train, maps, phases, index, shaft.splineTeeth),
      ...(hanging[index] as Hanging),
      bearingOffLine: isSetByBearing(line, index + 1)
        ? null
        : bearingOffLine(bearings[index]?.place ?? null, place, index),
      bearingMisalignmentDeg: bearings[index]?.misalignmentDeg ?? null,
    })),
  )
  const fromBehind = once(() =>
    line.shafts.map((_, index) => uniformity(mapBehind(train, phases, index + 1))),
  )
  const smallEquivalentDeg = once(() => degrees(smallEquivalentAngle(train, maps, phases)))
  const found: LineFigures = {
    geometry: place,
    train,
    maps,
    angles: maps.angles,
    anglesDeg: columns.anglesDeg.map(figure),
    members,
    whole: members.at(-1) as Uniformity,
    bearings,
    crossShares,
    slideMm: columns.slide === null ? null : figure(columns.slide),
    reaches: columns.reaches.map((reach) => (reach === null ? null : figure(reach))),
    // No check asks for these, and a lever in the hand asks for checks alone.
    shafts,
    fromBehind,
    smallEquivalentDeg,
  }
  return known(found)
}

/** Computed when first asked for. */
function once<T>(make: () => T): () => T {
  let made: { readonly value: T } | null = null
  return () => (made ??= { value: make() }).value
}

type Hanging = Pick<
  ShaftFigures,
  'criticalSpeedRpm' | 'slipLeftMm' | 'engagedMm' | 'splineEngaged' | 'plungeLeftMm'
>

/** What hangs on a shaft's length, as its columns stand. */
function hangingOf(
  { criticalRpm, slip, plungeLeftMm }: ShaftColumns,
  figure: (column: Column) => number,
): Hanging {
  const read = (column: Column | null | undefined) => (column == null ? null : figure(column))
  return {
    criticalSpeedRpm: read(criticalRpm),
    slipLeftMm: read(slip?.leftMm),
    engagedMm: read(slip?.engagedMm),
    splineEngaged: read(slip?.engagedShare),
    plungeLeftMm: read(plungeLeftMm),
  }
}

function bearingOffLine(bearing: Known<Vec3> | null, place: LineGeometry, index: number): number | null {
  if (!bearing?.known) return null
  const between = sub(bearing.value, place.centres[index] as Vec3)
  const axis = place.axes[index + 1] as Vec3
  return norm(sub(between, scale(axis, dot(between, axis))))
}
