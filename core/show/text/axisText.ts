import { axleById } from '../../file/parts/bodies'
import { axisDirection, riseSweep, type FallPlan } from '../../base/frame/axis'
import { fallWords, planWords, riseWords, sweepWords, type AxisRole } from '../../base/frame/words'
import type { Build } from '../../file/build/build'
import type { NamedAxis } from '../../file/parts/named'
import { axisPlace } from '../../measure/geometry/measured'
import { degrees } from '../../base/units/angle'

/** What the ends of an axis are called, by the body it belongs to. */
export function axisRole(build: Build, axis: NamedAxis): AxisRole {
  const axle = axleById(build, axis.body)
  if (!axle) return 'tail'
  return axle.noseFaces === 'forward' ? 'nose-front' : 'nose-rear'
}

/** A slope in the words of an axis: positive when its rear end is low, or its left end where it lies across. */
export const slopeWords = (build: Build, axis: NamedAxis) => (slopeDeg: number) =>
  axis.lies === 'across'
    ? riseWords(-slopeDeg, build.units, 2)
    : fallWords(slopeDeg, axisRole(build, axis), build.units, 2)

/** Slope and direction in top view of a named axis, in its own words. */
export function lieWords(build: Build, axis: NamedAxis, place: FallPlan): readonly [string, string] {
  const { units } = build
  if (axis.lies === 'across') {
    const { rise, sweep } = riseSweep(axisDirection(place))
    return [riseWords(degrees(rise), units, 2), sweepWords(degrees(sweep), units, 2)]
  }
  const fall = fallWords(degrees(place.fall), axisRole(build, axis), units, 2)
  return [fall, planWords(degrees(place.plan), units, 2)]
}

/** Where a named axis lies, in words: "tail down 3.2°, rear points left 0.4°"; null when unknown. */
export function axisWords(build: Build, axis: NamedAxis): string | null {
  const place = axisPlace(build, axis)
  return place.known ? lieWords(build, axis, place.value).join(', ') : null
}
