import { known, type Known } from '../known'
import type { Vec3 } from '../linalg/vec3'
import type { NamedPoint } from '../project/build'
import type { Reading } from '../project/reading'
import { chassisFigures, placeFormula } from './chassisPoint'
import type { PointFormulas, ReadingContext } from './context'
import { combined, constant, type Formula } from './formula'
import { registeredPoint } from './registrationFormula'

/**
 * A point's place in the chassis frame as measured.
 *
 * @param anyOffset - the offset does not matter; when it was not read the point is put on the centreline
 */
export function pointFormula(
  context: ReadingContext,
  point: NamedPoint,
  anyOffset = false,
): Known<Formula<Vec3>> {
  const { station, offset, height } = context.point(point)
  const across = anyOffset && !offset.known ? known(constant(0)) : offset
  return placeFormula({ station, offset: across, height })
}

/** Station, offset and height of a point: figures measured on the chassis or brought to it by registration, whichever
 * was read last, before given ones. */
export function pointFormulas(context: ReadingContext, point: NamedPoint): PointFormulas {
  return { ...chassisFigures(context, point), ...registeredFigures(context, point) }
}

/** Figures that a registered setup tells later than any reading against the chassis. */
function registeredFigures(context: ReadingContext, point: NamedPoint): Partial<PointFormulas> {
  const found = registeredPoint(context, point)
  if (!found) return {}
  const { readings } = context.build
  const isLater = (kind: Reading['kind']) =>
    !readings.some(
      (reading, index) =>
        index > found.index && reading.kind === kind && 'point' in reading && reading.point === point.id,
    )
  return {
    ...(isLater('point-station') && { station: combined([found.place], (place) => -place[0]) }),
    ...(isLater('point-offset') && { offset: combined([found.place], (place) => place[1]) }),
    ...(isLater('point-height') && { height: combined([found.place], (place) => place[2]) }),
  }
}
