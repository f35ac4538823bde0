import type { FallPlan } from '../frame/axis'
import { CoreError } from '../errors'
import { mapKnown, unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import { meansOf, type Formula, type Input, type Values } from './formula'
import { pointFormula } from './pointFormula'
import { readingContext } from './readingContext'

/** Every named point and axis of a build as measured, before any lever is moved. */
export interface Geometry {
  readonly points: ReadonlyMap<Id, Known<Vec3>>
  readonly axes: ReadonlyMap<Id, Known<FallPlan>>
}

/** Every named point and axis as a formula of the measured figures, and those figures. */
export interface GeometryModel {
  readonly inputs: readonly Input[]
  readonly points: ReadonlyMap<Id, Known<Formula<Vec3>>>
  readonly axes: ReadonlyMap<Id, Known<Formula<FallPlan>>>
}

/** The formulas that the readings of a build make. */
export function geometryModel(build: Build): GeometryModel {
  const context = readingContext(build)
  // Turning about a cross axis asks only for its station and height, so an axle's centre needs no offset.
  const centres = new Set(build.axles.map((axle) => axle.centre))
  return {
    inputs: context.list.inputs,
    points: new Map(
      build.points.map((point) => [point.id, pointFormula(context, point, centres.has(point.id))]),
    ),
    axes: new Map(build.axes.map((axis) => [axis.id, context.axis(axis)])),
  }
}

/** The geometry that the readings of a build tell. */
export function measuredGeometry(build: Build): Geometry {
  const model = geometryModel(build)
  return geometryAt(model, meansOf(model.inputs))
}

/** The geometry at one set of measured figures. */
export function geometryAt({ points, axes }: GeometryModel, values: Values): Geometry {
  const at = <T>(formulas: ReadonlyMap<Id, Known<Formula<T>>>) =>
    new Map([...formulas].map(([id, formula]) => [id, mapKnown(formula, (of) => of(values))]))
  return { points: at(points), axes: at(axes) }
}

/** Points and axes that are known, by id: what the formulas of lines and moves ask for. */
export interface Places {
  readonly point: (id: Id) => Vec3
  readonly axis: (id: Id) => FallPlan
}

/** The places of a geometry, for callers that have made sure that what they ask for is known. */
export const knownPlaces = (geometry: Geometry): Places => ({
  point: (id) => valueOf(pointOf(geometry, id)),
  axis: (id) => valueOf(axisOf(geometry, id)),
})

function valueOf<T>(figure: Known<T>): T {
  if (!figure.known) throw new CoreError('unknown', 'place', figure.missing[0]?.what ?? 'not read')
  return figure.value
}

/** A point by id; a name that points nowhere is unknown like any other thing not read. */
export const pointOf = (geometry: Geometry, id: Id): Known<Vec3> =>
  geometry.points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** An axis by id. */
export const axisOf = (geometry: Geometry, id: Id): Known<FallPlan> =>
  geometry.axes.get(id) ?? unknown(`axis "${id}" is not in the build`)
