import type { Place2 } from '../base/outline/polygon'
import type { Plate } from '../file/kinds/plateKinds'
import type { PlateAnswer } from '../making/plates/plateAnswer'
import { turned } from '../making/plates/pose'
import { plateOutline } from '../making/plates/plateOutline'

/** A plate as one looks at it from the front, its bolts where its bosses are; px, y down. */
export interface PlateScene {
  readonly width: number
  readonly height: number
  readonly outline: readonly Place2[]
  readonly holes: readonly PlateSceneHole[]
  /** What has to stay free of it. */
  readonly zones: readonly {
    readonly id: string
    readonly points: readonly Place2[]
    readonly isHit: boolean
  }[]
}

interface PlateSceneHole {
  readonly id: string
  readonly at: Place2
  readonly radius: number
  readonly isDowel: boolean
  /** Where its bolt comes through, and how thick; null while it is not known how the plate lies. */
  readonly bolt: { readonly at: Place2; readonly radius: number } | null
  /** It is to be opened, and where to: drawn longer than it is. */
  readonly opens: Place2 | null
}

const EDGE_PX = 18
const MOST_HIGH = 420
/** An opening of a millimetre is no arrow: it is drawn so many times as long. */
export const ARROW_TIMES = 12

/** The picture of a plate, or null while it is not known where its holes are. */
export function plateScene(
  plate: Plate,
  { plate: face, bosses, fit, zones }: PlateAnswer,
  width: number,
): PlateScene | null {
  if (!face.known) return null
  const outline = plateOutline(plate, face.value)
  const free = zones.known ? zones.value : []
  const all = [...outline, ...free.flatMap((zone) => zone.outline)]
  const range = (k: 0 | 1) =>
    [Math.min(...all.map((one) => one[k])), Math.max(...all.map((one) => one[k]))] as const
  const [[left, right], [low, high]] = [range(0), range(1)]
  const scale = Math.min((width - 2 * EDGE_PX) / (right - left), MOST_HIGH / (high - low))
  const inset = (width - scale * (right - left)) / 2
  const at = ([x, y]: Place2): Place2 => [inset + (x - left) * scale, EDGE_PX + (high - y) * scale]
  const opened = new Map(fit.known ? fit.value.open.map((one) => [one.id, one]) : [])
  const onPlate = (id: string): Place2 | null => {
    const boss = bosses.known ? bosses.value.places.get(id) : undefined
    if (!fit.known || !boss) return null
    const { turn, shift } = fit.value.pose
    return turned([boss[0] - shift[0], boss[1] - shift[1]], -turn)
  }
  return {
    width,
    height: 2 * EDGE_PX + scale * (high - low),
    outline: outline.map(at),
    zones: free.map(({ id, outline: corners, roomMm }) => ({
      ...{ id, points: corners.map(at), isHit: roomMm < 0 },
    })),
    holes: plate.holes.map(({ id, holeMm, boltMm, dowel = false }) => {
      const place = face.value.places.get(id) ?? [NaN, NaN]
      const bolt = onPlate(id)
      const opens = opened.get(id)
      const long = opens ? ARROW_TIMES * opens.byMm + holeMm / 2 : 0
      const way = opens ? (opens.towardDeg * Math.PI) / 180 : 0
      return {
        id,
        at: at(place),
        radius: (scale * holeMm) / 2,
        isDowel: dowel,
        bolt: bolt && { at: at(bolt), radius: (scale * boltMm) / 2 },
        opens: opens ? at([place[0] + long * Math.cos(way), place[1] + long * Math.sin(way)]) : null,
      }
    }),
  }
}
