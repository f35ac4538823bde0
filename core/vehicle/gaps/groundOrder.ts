import { CoreError } from '../../base/errors'
import { asRadians, degrees } from '../../base/units/angle'

/** Where the tyres touch the ground, chassis frame, in mm. */
export interface TyreContact {
  readonly x: number
  readonly z: number
}

/** A point that may strike the ground. */
export interface LowPlace {
  readonly name: string
  readonly x: number
  readonly z: number
  /** An axle's own points come up with its wheels; all others stand on the springs. */
  readonly on: 'sprung' | 'front-axle' | 'rear-axle'
}

/** How high something stands over the ground, in mm. */
export interface GroundRoom {
  readonly name: string
  /** Square to the datum plane, and square to the ground. */
  readonly verticalMm: number
  readonly normalMm: number
}

/** What strikes first, at one stand of the wheels. */
export interface GroundOrder {
  /** How far the ground pitches against the chassis; positive when it is lower to the rear. */
  readonly pitchDeg: number
  /** From the lowest. */
  readonly rooms: readonly GroundRoom[]
}

/**
 * The order in which things strike the ground, the wheels come up by so much: the ground and the axles come up with them,
 * everything on the springs does not.
 *
 * @param bump - of the front and the rear wheels, in mm up
 * @throws CoreError `out-of-range` where the rear tyres do not stand behind the front ones
 * @see docs/methods/gaps.md
 */
export function groundOrder(
  places: readonly LowPlace[],
  { front, rear }: { readonly front: TyreContact; readonly rear: TyreContact },
  bump: { readonly front: number; readonly rear: number } = { front: 0, rear: 0 },
): GroundOrder {
  if (!(front.x > rear.x))
    throw new CoreError('out-of-range', 'tyres', 'the rear ones must stand behind the front ones')
  const [frontZ, rearZ] = [front.z + bump.front, rear.z + bump.rear]
  const slope = (frontZ - rearZ) / (front.x - rear.x)
  const cosine = 1 / Math.hypot(1, slope)
  const rooms = places.map(({ name, x, z, on }) => {
    const up = on === 'front-axle' ? bump.front : on === 'rear-axle' ? bump.rear : 0
    const verticalMm = z + up - (frontZ + slope * (x - front.x))
    return { name, verticalMm, normalMm: verticalMm * cosine }
  })
  return {
    pitchDeg: degrees(asRadians(Math.atan(slope))),
    rooms: rooms.sort((one, other) => one.normalMm - other.normalMm),
  }
}

/** Something that has to strike before something else. */
export interface GroundRule {
  readonly lower: string
  readonly higher: string
  /** By how much at least; 0 when absent. */
  readonly byMm?: number
}

/**
 * Whether what should strike first does: a strong bar before the oil pan.
 *
 * @throws CoreError `unknown` for a name that is not among the places
 */
export function ruleHolds(
  { rooms }: GroundOrder,
  { lower, higher, byMm = 0 }: GroundRule,
): { readonly ok: boolean; readonly differenceMm: number } {
  const roomOf = (name: string) => {
    const room = rooms.find((one) => one.name === name)
    if (!room) throw new CoreError('unknown', 'rule', `nothing is called “${name}”`)
    return room.normalMm
  }
  const differenceMm = roomOf(higher) - roomOf(lower)
  return { ok: differenceMm >= byMm, differenceMm }
}
