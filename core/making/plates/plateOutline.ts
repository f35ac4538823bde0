import { hull } from '../../base/outline/hull'
import type { Place2, Polygon } from '../../base/outline/polygon'
import type { Plate } from '../../file/kinds/plateKinds'
import type { FacePlaces } from './facePlaces'

/** So finely rounded that a chord leaves its arc by some thousandths of a millimetre. */
const ROUND = 360
/** Metal as it was traced; else round all holes: a convex outline with the margin as its radii, beyond each hole's edge. */
export const plateOutline = (
  { holes, marginMm }: Pick<Plate, 'holes' | 'marginMm'>,
  { places, traced }: Pick<FacePlaces, 'places' | 'traced'>,
): Polygon =>
  traced ??
  hull(
    holes.flatMap(({ id, holeMm }) => {
      const [x, y] = places.get(id) ?? [NaN, NaN]
      const radius = holeMm / 2 + marginMm
      return Array.from({ length: ROUND }, (_, k): Place2 => {
        const angle = (2 * Math.PI * k) / ROUND
        return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
      })
    }),
  )
