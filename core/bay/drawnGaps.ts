import { seen, VIEW_AXES, type View, type ViewPoint } from '../drawing/shape'
import { dot, unit, type Vec3 } from '../base/linalg/vec3'
import type { Evaluation } from '../model/evaluateBuild'
import { sidesOf, type Place2, type Polygon } from '../base/outline/polygon'
import { OUTLINE_VIEWS } from '../file/parts/outline'
import type { Build } from '../file/build/build'
import type { Id } from '../file/parts/id'
import { pointOf } from '../measure/geometry/geometry'
import type { Thing } from './things'

/** A gap that was not read, as the outlines have it: from its touch point to the first side of the obstacle. */
export interface DrawnUnread {
  readonly gap: Id
  readonly name: string
  readonly mm: number
  readonly view: View
  readonly from: ViewPoint
  readonly to: ViewPoint
}

/** A direction seen shorter than this share of itself tells too little in a view. */
const SEEN = 0.6

/**
 * What outlines say of gaps that nobody has read: no verdict rests on it.
 *
 * @param things - everything drawn, as it stands now
 * @returns nothing for a gap whose touch point is not known or whose obstacle is not drawn on its way
 */
export function drawnUnread(build: Build, now: Evaluation, things: readonly Thing[]): DrawnUnread[] {
  const chassis = build.bodies.find(({ kind }) => kind === 'chassis')?.id
  return now.gaps.flatMap(({ gap, ride }): DrawnUnread[] => {
    const place = pointOf(now.placed, gap.point)
    if (ride.known || !place.known || gap.kind === 'ground' || gap.shaft) return []
    const obstacle = gap.obstacle ?? chassis
    const direction = unit(gap.toward as Vec3)
    const hits = OUTLINE_VIEWS.flatMap((view) => {
      const along: Place2 = [dot(direction, VIEW_AXES[view].right), dot(direction, VIEW_AXES[view].up)]
      const share = Math.hypot(...along)
      if (share < SEEN) return []
      const from = seen(place.value, view)
      const polygons = things.flatMap((thing) => (thing.body === obstacle ? (thing.views[view] ?? []) : []))
      const way = firstSide(polygons, from, [along[0] / share, along[1] / share])
      if (way === null) return []
      const to: ViewPoint = [from[0] + (along[0] / share) * way, from[1] + (along[1] / share) * way]
      return [{ gap: gap.id, name: gap.name, mm: way / share, view, from, to }]
    })
    // Of several views the one that has it nearest is told: nobody is promised room that another picture denies.
    return hits.sort((one, other) => one.mm - other.mm).slice(0, 1)
  })
}

/** Way from a place along a direction to the first side of any outline; null for none. */
function firstSide(polygons: readonly Polygon[], from: Place2, along: Place2): number | null {
  let first: number | null = null
  for (const polygon of polygons)
    for (const [a, b] of sidesOf(polygon)) {
      const [sx, sy] = [b[0] - a[0], b[1] - a[1]]
      const cross = along[0] * sy - along[1] * sx
      if (Math.abs(cross) < 1e-12) continue
      const [px, py] = [a[0] - from[0], a[1] - from[1]]
      const way = (px * sy - py * sx) / cross
      const share = (px * along[1] - py * along[0]) / cross
      if (way >= 0 && share >= 0 && share <= 1 && (first === null || way < first)) first = way
    }
  return first
}
