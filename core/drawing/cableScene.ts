import type { Place2 } from '../base/outline/polygon'
import type { Vec3 } from '../base/linalg/vec3'
import type { CableEvaluation, CableFound } from '../model/cableSubject'
import { cablePath } from '../shift/cable/cablePath'

/** From where cables are seen. */
export const CABLE_VIEWS = ['side', 'above'] as const
export type CableView = (typeof CABLE_VIEWS)[number]

/** A cable drawn; px, y down. */
export interface CableDrawn {
  readonly id: string
  readonly name: string
  readonly isLooked: boolean
  readonly path: readonly Place2[]
  readonly ends: readonly [Place2, Place2]
  readonly corners: readonly Place2[]
  readonly hot: readonly { readonly at: Place2; readonly radius: number }[]
}
export interface CableScene {
  readonly view: CableView
  readonly width: number
  readonly height: number
  readonly cables: readonly CableDrawn[]
  /** The bulkheads that they pass, edge to edge. */
  readonly sheets: readonly {
    readonly id: string
    readonly name: string
    readonly points: readonly Place2[]
    readonly label: Place2
  }[]
}

/** Forward is to the left, as everywhere; from above, left is down. */
const SEEN: Readonly<Record<CableView, (at: Vec3) => Place2>> = {
  side: ([x, , z]) => [-x, z],
  above: ([x, y]) => [-x, -y],
}
const EDGE_PX = 34
const MOST_HIGH = 300

/**
 * Cables of a build from one side.
 *
 * @param looked - the one that is looked at
 * @returns null where the way of none is known
 */
export function cableScene(
  all: readonly CableEvaluation[],
  looked: string,
  view: CableView,
  width: number,
): CableScene | null {
  const known = all.flatMap(({ cable, found }) => (found.known ? [{ cable, found: found.value }] : []))
  if (known.length === 0) return null
  const seen = SEEN[view]
  const sheets = sheetsOf(known.map(({ found }) => found))
  const places = [
    ...known.flatMap(({ found }) => [
      ...found.points,
      ...found.hot.flatMap(({ at: [x, y, z], gapMm }) =>
        [-gapMm, gapMm].map((by): Vec3 => [x + by, y + by, z + by]),
      ),
    ]),
    ...sheets.flatMap(({ corners }) => corners),
  ].map(seen)
  const range = (k: 0 | 1) =>
    [Math.min(...places.map((one) => one[k])), Math.max(...places.map((one) => one[k]))] as const
  const [[left, right], [low, high]] = [range(0), range(1)]
  const pxPerMm = Math.min(
    (width - 2 * EDGE_PX) / Math.max(1, right - left),
    MOST_HIGH / Math.max(1, high - low),
  )
  const inset = (width - pxPerMm * (right - left)) / 2
  const px = (at: Vec3): Place2 => {
    const [x, y] = seen(at)
    return [inset + (x - left) * pxPerMm, EDGE_PX + (high - y) * pxPerMm]
  }
  const cables = known.map(({ cable, found }): CableDrawn => {
    const path = cablePath(found.points, found.radiiMm).map(px)
    const corners = found.points.map(px)
    return {
      ...{ id: cable.id, name: cable.name, isLooked: cable.id === looked, path },
      ends: [corners[0] ?? [0, 0], corners.at(-1) ?? [0, 0]],
      corners: corners.slice(1, -1),
      hot: found.hot.map(({ at, gapMm }) => ({ at: px(at), radius: gapMm * pxPerMm })),
    }
  })
  return {
    ...{ view, width, height: 2 * EDGE_PX + pxPerMm * (high - low) },
    // The one that is looked at lies on the others.
    cables: cables.sort((a, b) => Number(a.isLooked) - Number(b.isLooked)),
    sheets: sheets.map(({ id, name, corners }) => {
      const points = corners.map(px)
      const top = points.reduce((best, one) => (one[1] < best[1] ? one : best))
      return { id, name, points, label: [top[0], Math.max(14, top[1] - 8)] }
    }),
  }
}

/** Each bulkhead once, by its four corners. */
function sheetsOf(found: readonly CableFound[]) {
  const named = new Map<string, { id: string; name: string; corners: Vec3[] }>()
  for (const { bulkhead } of found) {
    if (!bulkhead || named.has(bulkhead.bulkhead.id)) continue
    const { mark, left, up } = bulkhead
    const { id, name, room } = bulkhead.bulkhead
    const corner = (a: number, b: number) =>
      mark.map((mm, k) => mm + a * (left[k] ?? 0) + b * (up[k] ?? 0)) as unknown as Vec3
    const corners = [
      corner(room.leftMm, room.upMm),
      corner(-room.rightMm, room.upMm),
      corner(-room.rightMm, -room.downMm),
      corner(room.leftMm, -room.downMm),
    ]
    named.set(id, { id, name, corners })
  }
  return [...named.values()]
}
