import type { Build } from '../build/build'
import type { Id } from '../parts/id'
import type { Shaft } from '../parts/lineSpec'
import { omit } from './omit'
import { idsOf } from './withLayout'

function withBearing(
  build: Build,
  lineId: Id,
  index: number,
  edit: (bearing: NonNullable<Shaft['bearing']>) => NonNullable<Shaft['bearing']>,
): Build {
  return {
    ...build,
    lines: build.lines.map((line) =>
      line.id === lineId
        ? {
            ...line,
            shafts: line.shafts.map((shaft, i) =>
              i === index && shaft.bearing ? { ...shaft, bearing: edit(shaft.bearing) } : shaft,
            ),
          }
        : line,
    ),
  }
}

const bearingOf = (build: Build, lineId: Id, index: number) =>
  build.lines.find(({ id }) => id === lineId)?.shafts[index]?.bearing

/**
 * Gives the centre bearing of a shaft an axis of its seat, on the body that carries it, still to be read.
 *
 * @returns the same build where there is no bearing, or it has one
 */
export function withSeatAxis(build: Build, lineId: Id, index: number): Build {
  const bearing = bearingOf(build, lineId, index)
  const point = build.points.find(({ id }) => id === bearing?.point)
  if (!bearing || !point || bearing.axis !== undefined) return build
  const id = idsOf(build)(`${point.id} seat`)
  const axis = { id, name: `${point.name}, seat`, body: point.body }
  const there = withBearing(build, lineId, index, (now) => ({ ...now, axis: id }))
  return { ...there, axes: [...build.axes, axis] }
}

const isAxisUsed = ({ lines, setups, drivetrain }: Build, axis: Id): boolean =>
  lines.some(
    ({ driving, driven, shafts }) =>
      driving === axis || driven === axis || shafts.some(({ bearing }) => bearing?.axis === axis),
  ) ||
  setups.some(({ plumbAxis }) => plumbAxis === axis) ||
  (drivetrain.outputs ?? []).some((output) => output.axis === axis)

/** Takes the axis of a bearing's seat away, with its readings where nothing else rests on it. */
export function withoutSeatAxis(build: Build, lineId: Id, index: number): Build {
  const bearing = bearingOf(build, lineId, index)
  if (bearing?.axis === undefined) return build
  const { axis } = bearing
  const there = withBearing(build, lineId, index, (one) => omit(one, 'axis'))
  if (isAxisUsed(there, axis)) return there
  return {
    ...there,
    axes: there.axes.filter(({ id }) => id !== axis),
    readings: there.readings.filter((reading) => !('axis' in reading && reading.axis === axis)),
  }
}
