import type { FallPlan } from '../frame/axis'
import { mapKnown, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { Build, NamedAxis, NamedPoint, Setup } from '../project/build'
import type { Attitude } from './attitude'
import type { ReadingContext } from './context'
import { meansOf, type Formula } from './formula'
import { pointFormula } from './pointFormula'
import { readingContext } from './readingContext'

/** The three figures that place a point at the means of the readings, each known or not: mm rearward, left, up. */
export interface PointFigures {
  readonly station: Known<number>
  readonly offset: Known<number>
  readonly height: Known<number>
}

/** Fall and plan of a named axis at the means of the readings, in the chassis frame. */
export const axisPlace = (build: Build, axis: NamedAxis): Known<FallPlan> =>
  measured(build, (context) => context.axis(axis))

/** A point's place in the chassis frame at the means of the readings, in mm. */
export const pointPlace = (build: Build, point: NamedPoint, anyOffset = false): Known<Vec3> =>
  measured(build, (context) => pointFormula(context, point, anyOffset))

/** The attitude of the chassis in a setup at the means of its readings. */
export const setupAttitude = (build: Build, setup: Setup): Known<Attitude> =>
  measured(build, (context) => context.attitude(setup))

/** Station, offset and height of a point at the means of the readings. */
export function pointFigures(build: Build, point: NamedPoint): PointFigures {
  const context = readingContext(build)
  const { station, offset, height } = context.point(point)
  return {
    station: atMeans(context, station),
    offset: atMeans(context, offset),
    height: atMeans(context, height),
  }
}

/** A formula's value at the means of its context's readings. */
export const atMeans = <T>({ list }: ReadingContext, formula: Known<Formula<T>>): Known<T> =>
  mapKnown(formula, (of) => of(meansOf(list.inputs)))

function measured<T>(build: Build, formulaOf: (context: ReadingContext) => Known<Formula<T>>): Known<T> {
  const context = readingContext(build)
  return atMeans(context, formulaOf(context))
}
