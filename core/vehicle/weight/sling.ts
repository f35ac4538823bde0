import { CoreError } from '../../base/errors'
import { asRadians, degrees, radians } from '../../base/units/angle'
import { GRAVITY } from '../../base/gravity'
import type { Centre } from './masses'

/** A place in side view, in mm: rearward of the datum, above the datum plane. */
export interface SidePlace {
  readonly station: number
  readonly height: number
}

/**
 * How a unit hangs from one hook: its centre of gravity comes to lie below the hook.
 *
 * @returns degrees its tail hangs down; negative for the nose
 * @throws CoreError `out-of-range` for a hook that is not above the centre of gravity
 * @see docs/methods/weight.md
 */
export function hangDeg(centre: SidePlace, hook: SidePlace): number {
  const above = hook.height - centre.height
  if (!(above > 0)) throw new CoreError('out-of-range', 'hook', 'must be above the centre of gravity')
  return degrees(asRadians(Math.atan((centre.station - hook.station) / above)))
}

/**
 * Where a hook at some height has to be so that the unit hangs as wanted.
 *
 * @param wantedDeg - tail down; between −90 and 90
 * @returns its station, in mm
 */
export function hookStation(centre: SidePlace, hookHeight: number, wantedDeg: number): number {
  if (!(hookHeight > centre.height))
    throw new CoreError('out-of-range', 'hook', 'must be above the centre of gravity')
  if (!(Math.abs(wantedDeg) < 90)) throw new CoreError('out-of-range', 'tilt', 'must be under a right angle')
  return centre.station - (hookHeight - centre.height) * Math.tan(radians(wantedDeg))
}

/** A leg of a sling: where it is made fast, and how long it is to the ring, in mm. */
export interface SlingLeg extends SidePlace {
  readonly lengthMm: number
}

/** A unit on a ring with two legs, in side view and its own level frame. */
export interface TwoLegHang {
  readonly ring: SidePlace
  readonly hangDeg: number
  /** Pull of each leg, in N; negative where it would have to push, so that it hangs slack. */
  readonly tensionN: readonly [number, number]
}

/**
 * How a unit hangs from a ring above two legs, and what they carry.
 *
 * @throws CoreError `out-of-range` where the legs do not meet or the ring comes below the centre of gravity
 * @see docs/methods/weight.md
 */
export function hangOnLegs(centre: Centre, a: SlingLeg, b: SlingLeg): TwoLegHang {
  const ring = ringAbove(a, b)
  if (!ring) throw new CoreError('out-of-range', 'legs', 'they do not meet above the unit')
  const hang = hangDeg(centre, ring)
  const turn = radians(hang)
  // The weight pulls from the ring through the centre of gravity, whatever way the unit lies.
  const pull = { station: Math.sin(turn), height: -Math.cos(turn) }
  const [alongA, alongB] = [a, b].map(({ station, height, lengthMm }) => ({
    station: (station - ring.station) / lengthMm,
    height: (height - ring.height) / lengthMm,
  })) as [SidePlace, SidePlace]
  const area = cross(alongA, alongB)
  if (Math.abs(area) < 1e-9) throw new CoreError('out-of-range', 'legs', 'they lie in one line')
  const weight = centre.kg * GRAVITY
  return {
    ring,
    hangDeg: hang,
    tensionN: [(weight * cross(pull, alongB)) / area, (weight * cross(alongA, pull)) / area],
  }
}

const cross = (p: SidePlace, q: SidePlace): number => p.station * q.height - p.height * q.station

/** Where two legs meet on the upper side. */
function ringAbove(a: SlingLeg, b: SlingLeg): SidePlace | null {
  const [along, up] = [b.station - a.station, b.height - a.height]
  const span = Math.hypot(along, up)
  if (!(span > 0)) return null
  const foot = (a.lengthMm ** 2 - b.lengthMm ** 2 + span ** 2) / (2 * span)
  const rise2 = a.lengthMm ** 2 - foot ** 2
  if (!(rise2 > 0)) return null
  const rise = Math.sqrt(rise2) * (along >= 0 ? 1 : -1)
  return {
    station: a.station + (foot * along - rise * up) / span,
    height: a.height + (foot * up + rise * along) / span,
  }
}
