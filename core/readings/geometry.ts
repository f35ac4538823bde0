import type { FallPlan } from '../frame/axis'
import { unknown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build } from '../project/build'
import type { Id } from '../project/id'
import { axisPlace } from './axisPlace'
import { pointPlace } from './pointPlace'

/** Every named point and axis of a build as measured, before any lever is moved. */
export interface Geometry {
  readonly points: ReadonlyMap<Id, Known<Vec3>>
  readonly axes: ReadonlyMap<Id, Known<FallPlan>>
}

/** The geometry that the readings of a build tell. */
export function measuredGeometry(build: Build): Geometry {
  // Turning about a cross axis asks only for its station and height, so an axle's centre needs no offset.
  const centres = new Set(build.axles.map((axle) => axle.centre))
  return {
    points: new Map(build.points.map((point) => [point.id, pointPlace(build, point, centres.has(point.id))])),
    axes: new Map(build.axes.map((axis) => [axis.id, axisPlace(build, axis)])),
  }
}

/** A point by id; a name that points nowhere is unknown like any other thing not read. */
export const pointOf = (geometry: Geometry, id: Id): Known<Vec3> =>
  geometry.points.get(id) ?? unknown(`point "${id}" is not in the build`)

/** An axis by id. */
export const axisOf = (geometry: Geometry, id: Id): Known<FallPlan> =>
  geometry.axes.get(id) ?? unknown(`axis "${id}" is not in the build`)
