import type { Place2 } from '../base/outline/polygon'
import { cross, dot } from '../base/linalg/vec3'
import type { CableBand, HolePlace } from '../model/cableBand'
import type { BulkheadFound, CableEvaluation } from '../model/cableSubject'

/** A rectangle in px, y down. */
export interface Patch {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** A bulkhead from the driver's side. */
export interface BulkheadScene {
  readonly width: number
  readonly height: number
  readonly sheet: Patch
  readonly mark: Place2
  readonly keptOff: readonly (Patch & { readonly id: string; readonly name: string })[]
  /** Where the hole of the cable that is looked at may be. */
  readonly band: readonly (readonly Place2[])[]
  readonly holes: readonly {
    readonly id: string
    readonly name: string
    readonly at: Place2
    readonly radius: number
    readonly isLooked: boolean
  }[]
  readonly pxPerMm: number
  /** Which place stands at a px. */
  readonly placeAt: (px: Place2) => HolePlace
}

const EDGE_PX = 16
const MOST_HIGH = 360
/** A hole whose size nobody told. */
const USUAL_HOLE_MM = 20

/** 1 where the left of a bulkhead lies at the right as the driver looks at it. */
export const mirroredBy = ({ left, up, through }: Pick<BulkheadFound, 'left' | 'up' | 'through'>): 1 | -1 =>
  dot(cross(through, up), left) > 0 ? 1 : -1

/**
 * The bulkhead that a cable passes, with the holes of all that pass it.
 *
 * @returns null for a cable that passes none, or whose way is not known
 */
export function bulkheadScene(
  { cable, found }: CableEvaluation,
  all: readonly CableEvaluation[],
  band: CableBand | null,
  width: number,
): BulkheadScene | null {
  const sheet = found.known ? found.value.bulkhead : null
  if (!sheet || !cable.hole) return null
  const { room, keepOff = [], id } = sheet.bulkhead
  const side = mirroredBy(sheet)
  const [wide, high] = [room.leftMm + room.rightMm, room.upMm + room.downMm]
  const pxPerMm = Math.min((width - 2 * EDGE_PX) / wide, MOST_HIGH / high)
  const inset = (width - pxPerMm * wide) / 2
  const markX = inset + pxPerMm * (side > 0 ? room.rightMm : room.leftMm)
  const markY = EDGE_PX + pxPerMm * room.upMm
  const px = (leftMm: number, upMm: number): Place2 => [
    markX + side * leftMm * pxPerMm,
    markY - upMm * pxPerMm,
  ]
  const patch = (from: number, to: number, low: number, top: number): Patch => {
    const [[x0, y0], [x1, y1]] = [px(from, top), px(to, low)]
    return { x: Math.min(x0, x1), y: y0, width: Math.abs(x1 - x0), height: y1 - y0 }
  }
  return {
    ...{ width, height: 2 * EDGE_PX + pxPerMm * high, pxPerMm, mark: [markX, markY] },
    sheet: patch(-room.rightMm, room.leftMm, -room.downMm, room.upMm),
    keptOff: keepOff.map((one) => ({
      ...patch(-one.rightMm, one.leftMm, -one.downMm, one.upMm),
      ...{ id: one.id, name: one.name },
    })),
    band: bandPieces(band, px),
    holes: all.flatMap(({ cable: one }) =>
      one.hole?.bulkhead === id
        ? [
            {
              ...{ id: one.id, name: one.name, isLooked: one.id === cable.id },
              at: px(one.hole.leftMm, one.hole.upMm),
              radius: Math.max(3, ((one.hole.holeMm ?? USUAL_HOLE_MM) / 2) * pxPerMm),
            },
          ]
        : [],
    ),
    placeAt: ([x, y]) => ({ leftMm: (side * (x - markX)) / pxPerMm, upMm: (markY - y) / pxPerMm }),
  }
}

/** The band in four-cornered pieces, each from a row to the next; half a row high where nothing lies next to it. */
function bandPieces(
  band: CableBand | null,
  px: (leftMm: number, upMm: number) => Place2,
): (readonly Place2[])[] {
  if (!band) return []
  const { rows, rowMm } = band
  return rows.flatMap(({ upMm, stretches }, k) =>
    stretches.flatMap(([from, to]) => {
      const meets = (at: number) =>
        (rows[at]?.stretches ?? []).filter((other) => other[0] < to && other[1] > from)
      const edge = (top: number) => [[px(from, upMm), px(to, upMm), px(to, top), px(from, top)] as const]
      const above = meets(k + 1).map(([low, high]) => {
        const next = upMm + rowMm
        return [px(from, upMm), px(to, upMm), px(high, next), px(low, next)] as const
      })
      return [
        ...(above.length > 0 ? above : edge(upMm + rowMm / 2)),
        ...(meets(k - 1).length > 0 ? [] : edge(upMm - rowMm / 2)),
      ]
    }),
  )
}
