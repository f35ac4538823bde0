import type { Place2, Polygon } from '../../base/outline/polygon'
import { outlineGap } from '../../base/outline/outlineGap'
import type { Plate } from '../../file/kinds/plateKinds'

/** What of an accessory's zone the plate must leave alone. */
export interface ZoneFound {
  readonly id: string
  readonly name: string
  readonly outline: Polygon
  /** Between the plate and what lies there, less the gap it asks for; below nought the plate is cut back by so much. */
  readonly roomMm: number
  /** Holes whose bolts it hides. */
  readonly hides: readonly string[]
}

/** Zones of a plate, each laid from the first of its holes along the line to the second, and to the left of that. */
export function keepOut(
  { holes, zones = [] }: Plate,
  places: ReadonlyMap<string, Place2>,
  metal: Polygon,
): ZoneFound[] {
  const [from, to] = [holes[0], holes[1]].map((hole) => places.get(hole?.id ?? '') ?? ([NaN, NaN] as const))
  if (!from || !to) return []
  const long = Math.hypot(to[0] - from[0], to[1] - from[1])
  const [ux, uy] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long]
  const at = (along: number, aside: number): Place2 => [
    from[0] + along * ux - aside * uy,
    from[1] + along * uy + aside * ux,
  ]
  return zones.map(({ id, name, alongMm, asideMm, longMm, wideMm, gapMm = 0 }) => {
    const [halfLong, halfWide] = [longMm / 2, wideMm / 2]
    const outline = [
      at(alongMm - halfLong, asideMm - halfWide),
      at(alongMm + halfLong, asideMm - halfWide),
      at(alongMm + halfLong, asideMm + halfWide),
      at(alongMm - halfLong, asideMm + halfWide),
    ]
    const covers = ([x, y]: Place2) => {
      const [dx, dy] = [x - from[0], y - from[1]]
      const [along, aside] = [dx * ux + dy * uy, dy * ux - dx * uy]
      return Math.abs(along - alongMm) <= halfLong && Math.abs(aside - asideMm) <= halfWide
    }
    const hides = holes.flatMap((hole) => {
      const place = places.get(hole.id)
      return place && covers(place) ? [hole.id] : []
    })
    return { id, name, outline, roomMm: outlineGap(metal, outline).gapMm - gapMm, hides }
  })
}
