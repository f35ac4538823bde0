import { hull } from '../base/outline/hull'
import type { Place2 } from '../base/outline/polygon'
import { add, scale, type Vec3 } from '../base/linalg/vec3'
import { movedBy } from '../making/mounts/settle'
import type { CaseFound, MountsFound } from '../model/mountFound'

/** A powertrain on its springs, standing and in a case, moved further than it is; px, y down. */
export interface MountPane {
  readonly view: 'behind' | 'side'
  readonly width: number
  readonly height: number
  /** The body by its mounts, its weight and its output: as it stands, and moved. */
  readonly still: readonly Place2[]
  readonly moved: readonly Place2[]
  readonly mounts: readonly {
    readonly id: string
    readonly at: Place2
    readonly to: Place2
    /** What the mount gives the body, as an arrow from where it holds. */
    readonly force: Place2
    readonly lifts: boolean
  }[]
  readonly centre: Place2
}

/** A movement of millimetres is drawn so many times as far. */
export const MOVED_TIMES = 15
const EDGE_PX = 44
const MOST_HIGH = 250
/** The largest force is as long as this. */
const ARROW_PX = 40

const VIEWS = {
  // From behind, left at the left; from the left side, the rear at the right.
  behind: ([, y, z]: Vec3): Place2 => [-y, z],
  side: ([x, , z]: Vec3): Place2 => [-x, z],
} as const

/** Both pictures of a case. */
export const mountPanes = (found: MountsFound, at: CaseFound, width: number): readonly MountPane[] =>
  (['behind', 'side'] as const).map((view) => paneOf(found, at, view, width))

function paneOf(found: MountsFound, at: CaseFound, view: MountPane['view'], width: number): MountPane {
  const seen = VIEWS[view]
  const places = [...found.mounts.map((mount) => mount.at), found.centre, found.output]
  const moved = (place: Vec3): Vec3 => add(place, scale(movedBy(at, place), MOVED_TIMES))
  const all = [...places, ...places.map(moved)].map(seen)
  const range = (k: 0 | 1) =>
    [Math.min(...all.map((one) => one[k])), Math.max(...all.map((one) => one[k]))] as const
  const [[left, right], [low, high]] = [range(0), range(1)]
  const pxPerMm = Math.min((width - 2 * EDGE_PX) / (right - left), MOST_HIGH / Math.max(high - low, 1))
  const inset = (width - pxPerMm * (right - left)) / 2
  const px = ([x, z]: Place2): Place2 => [inset + (x - left) * pxPerMm, EDGE_PX + (high - z) * pxPerMm]
  const most = Math.max(...at.forces.map(({ sizeN }) => sizeN), 1)
  return {
    view,
    width,
    height: 2 * EDGE_PX + pxPerMm * (high - low),
    still: hull(places.map(seen)).map(px),
    moved: hull(places.map((place) => seen(moved(place)))).map(px),
    mounts: found.mounts.map((mount, i) => {
      const force = at.forces[i]
      const [fx, fz] = seen(force?.force ?? [0, 0, 0])
      const to = px(seen(moved(mount.at)))
      return {
        id: mount.id,
        at: px(seen(mount.at)),
        to,
        force: [to[0] + (fx * ARROW_PX) / most, to[1] - (fz * ARROW_PX) / most],
        lifts: force?.lifts ?? false,
      }
    }),
    centre: px(seen(moved(found.centre))),
  }
}
