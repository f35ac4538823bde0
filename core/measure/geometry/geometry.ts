import { axlesOf } from '../../file/parts/bodies'
import { sprocketsOf } from '../../file/parts/chainLine'
import { faceReadings } from '../points/chainReadings'
import type { Column, Graph, VectorColumns } from '../../base/columns/graph'
import { asRadians } from '../../base/units/angle'
import type { FallPlan } from '../../base/frame/axis'
import { mapKnown, unknown, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { AxisColumns, ReadingContext } from '../figures/context'
import type { InputList } from '../figures/inputs'
import { pointPlaceColumns } from './pointColumns'
import { readingContext } from './readingContext'

/** Every named point and axis of a build in one state, by id. */
export interface Geometry {
  readonly points: ReadonlyMap<Id, Known<Vec3>>
  readonly axes: ReadonlyMap<Id, Known<FallPlan>>
}

/** Every named point and axis as columns of a graph that starts from the measured figures. */
export interface MeasuredModel {
  readonly context: ReadingContext
  readonly graph: Graph
  readonly list: InputList
  readonly points: ReadonlyMap<Id, Known<VectorColumns>>
  readonly axes: ReadonlyMap<Id, Known<AxisColumns>>
}

/** The graph that the readings of a build make. */
export function measuredModel(build: Build): MeasuredModel {
  const context = readingContext(build)
  // Turning about a cross axis asks only for its station and height, so an axle's centre needs no offset.
  // What stands off a laser is read, not taped.
  const centres = new Set([
    ...axlesOf(build).map((axle) => axle.centre),
    ...sprocketsOf(build).flatMap(({ id, point }) => (faceReadings(build, id).length > 1 ? [point] : [])),
  ])
  return {
    context,
    graph: context.graph,
    list: context.list,
    points: new Map(
      build.points.map((point) => [point.id, pointPlaceColumns(context, point, centres.has(point.id))]),
    ),
    axes: new Map(build.axes.map((axis) => [axis.id, context.axis(axis)])),
  }
}

/** The geometry that the readings of a build tell, before any lever is moved. */
export const measuredGeometry = (build: Build): Geometry => geometryOf(measuredModel(build))

/** A model's geometry at the means of its readings. */
export function geometryOf({
  graph: { at },
  points,
  axes,
}: Pick<MeasuredModel, 'graph' | 'points' | 'axes'>): Geometry {
  return {
    points: new Map([...points].map(([id, place]) => [id, mapKnown(place, vectorAt(at))])),
    axes: new Map(
      [...axes].map(([id, axis]) => [
        id,
        mapKnown(axis, ({ fall, plan }) => ({ fall: asRadians(at(fall)), plan: asRadians(at(plan)) })),
      ]),
    ),
  }
}

/** Reads a point or direction by whatever tells the figure of a column. */
export const vectorAt =
  (figure: (column: Column) => number) =>
  ([x, y, z]: VectorColumns): Vec3 => [figure(x), figure(y), figure(z)]

/** A point by id; a name that points nowhere is unknown like any other thing not read. */
export const pointOf = (geometry: Geometry, id: Id): Known<Vec3> =>
  geometry.points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** An axis by id. */
export const axisOf = (geometry: Geometry, id: Id): Known<FallPlan> =>
  geometry.axes.get(id) ?? unknown(`axis "${id}" is not in the build`)
