import { TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type VectorColumns } from '../../base/columns/graph'
import { known, mapKnown, type Known } from '../../base/known'
import type { NamedPoint } from '../../file/parts/named'
import type { Reading } from '../../file/build/reading'
import { chassisFigures, placeColumns } from '../points/chassisPoint'
import type { PointColumns, ReadingContext } from '../figures/context'
import { registeredPoint } from '../setups/registrationColumns'

/**
 * A point's place in the chassis frame as measured.
 *
 * @param anyOffset - the offset does not matter; when it was not read the point is put on the centreline
 */
export function pointPlaceColumns(
  context: ReadingContext,
  point: NamedPoint,
  anyOffset = false,
): Known<VectorColumns> {
  const { station, offset, height } = context.point(point)
  const across = anyOffset && !offset.known ? known(context.graph.source(0)) : offset
  return placeColumns(context, { station, offset: across, height })
}

/** Station, offset and height of a point: figures measured on the chassis or brought to it by registration, whichever
 * was read last, before given ones. */
export function pointColumns(context: ReadingContext, point: NamedPoint): PointColumns {
  return { ...chassisFigures(context, point), ...registeredFigures(context, point) }
}

/** Figures that a registered setup tells later than any reading against the chassis. */
function registeredFigures(context: ReadingContext, point: NamedPoint): Partial<PointColumns> {
  const found = registeredPoint(context, point)
  if (!found) return {}
  const { readings } = context.build
  const isLater = (kind: Reading['kind']) =>
    !readings.some(
      (reading, index) =>
        index > found.index && reading.kind === kind && 'point' in reading && reading.point === point.id,
    )
  return {
    ...(isLater('point-station') && {
      // Station counts rearward, X forward.
      station: mapKnown(found.place, ([x]) => scalarStep(context.graph, TIMES, [x], [-1])),
    }),
    ...(isLater('point-offset') && { offset: mapKnown(found.place, ([, y]) => y) }),
    ...(isLater('point-height') && { height: mapKnown(found.place, ([, , z]) => z) }),
  }
}
