import type { Column } from '../../base/columns/graph'
import type { FallPlan } from '../../base/frame/axis'
import { mapKnown, type Known } from '../../base/known'
import type { Vec3 } from '../../base/linalg/vec3'
import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { NamedAxis, NamedPoint } from '../../file/parts/named'
import { asRadians } from '../../base/units/angle'
import type { Attitude } from '../attitude/attitude'
import { vectorAt } from './geometry'
import { pointPlaceColumns } from './pointColumns'
import { readingContext } from './readingContext'

/** The three figures that place a point at the means of the readings, each known or not: mm rearward, left, up. */
export interface PointFigures {
  readonly station: Known<number>
  readonly offset: Known<number>
  readonly height: Known<number>
}

/** Fall and plan of a named axis at the means of the readings, in the chassis frame. */
export function axisPlace(build: Build, axis: NamedAxis): Known<FallPlan> {
  const { graph, axis: columnsOf } = readingContext(build)
  return mapKnown(columnsOf(axis), ({ fall, plan }) => ({
    fall: asRadians(graph.at(fall)),
    plan: asRadians(graph.at(plan)),
  }))
}

/** A point's place in the chassis frame at the means of the readings, in mm. */
export function pointPlace(build: Build, point: NamedPoint, anyOffset = false): Known<Vec3> {
  const context = readingContext(build)
  return mapKnown(pointPlaceColumns(context, point, anyOffset), vectorAt(context.graph.at))
}

/** The attitude of the chassis in a setup at the means of its readings. */
export function setupAttitude(build: Build, setup: Setup): Known<Attitude> {
  const { graph, attitude } = readingContext(build)
  return mapKnown(attitude(setup), ({ up, rearLowDeg, leftLowDeg }) => ({
    up: vectorAt(graph.at)(up),
    rearLowDeg: graph.at(rearLowDeg),
    leftLowDeg: graph.at(leftLowDeg),
  }))
}

/** Station, offset and height of a point at the means of the readings. */
export function pointFigures(build: Build, point: NamedPoint): PointFigures {
  const { graph, point: columnsOf } = readingContext(build)
  const figure = (column: Known<Column>) => mapKnown(column, graph.at)
  const { station, offset, height } = columnsOf(point)
  return { station: figure(station), offset: figure(offset), height: figure(height) }
}
