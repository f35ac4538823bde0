import type { Place2 } from '../base/outline/polygon'
import type { Vec3 } from '../base/linalg/vec3'
import type { HeldEntry } from '../file/kinds/releaseKinds'

/** An arrow, px, y down. */
interface Arrow {
  readonly id: string
  readonly from: Place2
  readonly to: Place2
}

/** A part held by what touches it: pushed by arrows, pierced by pins, and the way out. */
export interface ReleasePane {
  readonly view: 'side' | 'top'
  readonly size: number
  readonly centre: Place2
  /** Half of the part as it is drawn. */
  readonly half: number
  readonly contacts: readonly Arrow[]
  readonly pins: readonly Arrow[]
  /** Null where there is none, or it is looked at along its way. */
  readonly way: Arrow | null
}

const VIEWS = {
  // From the left side, the front at the left; from above, likewise.
  side: ([x, , z]: Vec3): Place2 => [-x, z],
  top: ([x, y]: Vec3): Place2 => [-x, -y],
} as const
const SHARES = { half: 0.14, near: 0.17, far: 0.36, pin: 0.44, way: 0.46 }
/** Shorter than this it is looked at along itself. */
const END_ON = 0.15

/** Both pictures of a held part. */
export const releasePanes = (
  { contacts, pins }: HeldEntry,
  way: Vec3 | null,
  size: number,
): readonly ReleasePane[] =>
  (['side', 'top'] as const).map((view) => {
    const centre: Place2 = [size / 2, size / 2]
    const at = (direction: readonly number[], share: number): Place2 => {
      const [x, y] = VIEWS[view](direction as Vec3)
      const long = Math.hypot(direction[0] ?? 0, direction[1] ?? 0, direction[2] ?? 0)
      return [centre[0] + (x / long) * share * size, centre[1] - (y / long) * share * size]
    }
    const isSeen = (direction: readonly number[]) => {
      const [x, y] = at(direction, 1)
      return Math.hypot(x - centre[0], y - centre[1]) > END_ON * size
    }
    return {
      ...{ view, size, centre, half: SHARES.half * size },
      contacts: contacts.flatMap(({ id, pushes }): Arrow[] =>
        isSeen(pushes) ? [{ id, from: at(pushes, -SHARES.far), to: at(pushes, -SHARES.near) }] : [],
      ),
      pins: pins.flatMap(({ id, along }): Arrow[] =>
        isSeen(along) ? [{ id, from: at(along, -SHARES.pin), to: at(along, SHARES.pin) }] : [],
      ),
      way: way && isSeen(way) ? { id: 'way', from: at(way, SHARES.near), to: at(way, SHARES.way) } : null,
    }
  })
