import { axisDirection } from '../base/frame/axis'
import { allKnown, known, unknown, type Known } from '../base/known'
import type { Vec3 } from '../base/linalg/vec3'
import type { Evaluation } from '../model/evaluateBuild'
import { powertrainOf } from '../file/parts/bodies'
import type { Build } from '../file/build/build'
import { outputOf } from '../file/open/output'
import { axisOf, pointOf } from '../measure/geometry/geometry'

/**
 * Height of the crankshaft's line over the datum plane where the front mounts stand, in mm.
 *
 * @returns unknown without an output, its axis or the front mounts
 */
export function crankHeight(build: Build, { placed }: Pick<Evaluation, 'placed'>): Known<number> {
  const mounts = powertrainOf(build)?.mounts
  const output = outputOf(build)
  if (!mounts || !output) return unknown('the output of the powertrain and its mounts')
  const all = allKnown([
    pointOf(placed, output.point),
    axisOf(placed, output.axis),
    pointOf(placed, mounts.frontLeft),
    pointOf(placed, mounts.frontRight),
  ] as const)
  if (!all.known) return all
  const [end, lie, left, right] = all.value
  const [dx, , dz] = axisDirection(lie)
  const forward = (left[0] + right[0]) / 2 - end[0]
  return known(end[2] + (forward / dx) * dz, all.assumptions)
}

/** Where the shift lever comes through, against its hole and the driver's seat, in mm. */
export interface ShiftLeverPlace {
  /** Behind the middle of its hole. */
  readonly backMm: number
  /** Left of it. */
  readonly leftMm: number
  /** Ahead of the seat's front edge; null where that was not said. */
  readonly aheadOfSeatMm: number | null
}

export function shiftLeverPlace(
  { shiftLever }: Build,
  { placed }: Pick<Evaluation, 'placed'>,
): Known<ShiftLeverPlace> {
  if (!shiftLever) return unknown('where the shift lever is to come through')
  const { point, holeStationMm, holeLeftMm, seatStationMm } = shiftLever
  const place: Known<Vec3> = pointOf(placed, point)
  if (!place.known) return place
  const [x, y] = place.value
  return known(
    {
      backMm: -x - holeStationMm,
      leftMm: y - holeLeftMm,
      aheadOfSeatMm: seatStationMm === undefined ? null : seatStationMm + x,
    },
    place.assumptions,
  )
}
