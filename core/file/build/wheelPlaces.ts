import { wheeledOf } from '../parts/bodies'
import type { BodyId, WheeledBody } from '../parts/body'
import type { Build } from './build'
import type { Id } from '../parts/id'

/** Places with the steering at either end: at ride height, and with the wheels at both ends of their travel. */
export const LOCK_PLACES = [
  'left-lock',
  'right-lock',
  'droop-left-lock',
  'droop-right-lock',
  'bump-left-lock',
  'bump-right-lock',
] as const
export type LockPlace = (typeof LOCK_PLACES)[number]

/** Places of the wheels that follow from how far axles and hubs were said to go. */
export const TRAVEL_PLACES = ['droop', 'bump', 'left-up', 'right-up', 'settled', ...LOCK_PLACES] as const
export type TravelPlace = (typeof TRAVEL_PLACES)[number]

/** How far one wheel of an axle goes from ride height, in mm. */
export interface WheelReach {
  readonly bumpMm: number
  readonly droopMm: number
}

/** How far the left and the right wheel go, by springs, stop and strap, a hub's alike; null where nobody has told. */
export function reachOf(body: WheeledBody): { readonly left: WheelReach; readonly right: WheelReach } | null {
  const { travel } = body
  if (!travel) return null
  const { bumpMm, droopMm, stopMm = Infinity, strapMm = Infinity } = travel
  const { rightBumpMm = bumpMm, rightDroopMm = droopMm } = (body.kind === 'axle' && body.travel) || {}
  const ended = (bump: number, droop: number): WheelReach => ({
    bumpMm: Math.min(bump, stopMm),
    droopMm: Math.min(droop, strapMm),
  })
  return { left: ended(bumpMm, droopMm), right: ended(rightBumpMm, rightDroopMm) }
}

/** How far up each wheel stands at a place, in mm from ride height, and how far its rack has gone to the left. */
export interface WheelHeights {
  readonly leftUpMm: number
  readonly rightUpMm: number
  readonly rackMm?: number
}

/** True where an axle can stand with one wheel up and the other down: it needs to be known how far they are apart. */
export const goesCrossed = (body: WheeledBody): boolean =>
  body.kind === 'axle' && body.sizes?.trackMm !== undefined

/** How far the steering moves a hub's tie rod either way; 0 for what is not steered. */
export const rackOf = (body: WheeledBody): number => (body.kind === 'hub' ? (body.travel?.rackMm ?? 0) : 0)

/** Where the wheels of an axle or a hub stand at a place of its travel; null where it does not go there. */
export function heightsAt(body: WheeledBody, place: TravelPlace): WheelHeights | null {
  const reach = reachOf(body)
  if (!reach) return null
  const { left, right } = reach
  const { settleMm } = body.travel ?? {}
  const crossMm = body.kind === 'axle' ? body.travel?.crossMm : undefined
  const up = (wheel: WheelReach) => crossMm ?? wheel.bumpMm
  const down = (wheel: WheelReach) => -(crossMm ?? wheel.droopMm)
  switch (place) {
    case 'droop':
      return { leftUpMm: -left.droopMm, rightUpMm: -right.droopMm }
    case 'bump':
      return { leftUpMm: left.bumpMm, rightUpMm: right.bumpMm }
    case 'left-up':
      return goesCrossed(body) ? { leftUpMm: up(left), rightUpMm: down(right) } : null
    case 'right-up':
      return goesCrossed(body) ? { leftUpMm: down(left), rightUpMm: up(right) } : null
    case 'settled':
      return settleMm ? { leftUpMm: settleMm, rightUpMm: settleMm } : null
    default:
      return lockHeights(body, place, left)
  }
}

function lockHeights(body: WheeledBody, place: LockPlace, reach: WheelReach): WheelHeights | null {
  const rack = rackOf(body)
  if (rack === 0) return null
  const up = place.startsWith('droop') ? -reach.droopMm : place.startsWith('bump') ? reach.bumpMm : 0
  return { leftUpMm: up, rightUpMm: up, rackMm: place.endsWith('left-lock') ? rack : -rack }
}

/** A place of the wheels besides ride height: named in the file, or one that the travel of the axles brings. */
export interface PlaceOfWheels {
  readonly id: Id
  readonly name: string
  readonly wheels: readonly (WheelHeights & { readonly axle: BodyId })[]
  /** Null for one that the file names. */
  readonly travel: TravelPlace | null
}

const NAMES: Readonly<Record<TravelPlace, string>> = {
  droop: 'full droop',
  bump: 'full bump',
  'left-up': 'left up, right down',
  'right-up': 'right up, left down',
  settled: 'ride, with the weight to come',
  'left-lock': 'rack to the left',
  'right-lock': 'rack to the right',
  'droop-left-lock': 'full droop, rack to the left',
  'droop-right-lock': 'full droop, rack to the right',
  'bump-left-lock': 'full bump, rack to the left',
  'bump-right-lock': 'full bump, rack to the right',
}

/** The id of a place that the travel brings; no id of the file begins so. */
export const travelPlaceId = (place: TravelPlace): Id => `travel-${place}`

/**
 * Every place of the wheels besides ride height in which limits of the whole travel are looked at: those that the file names,
 * then those that the travel of its axles and hubs brings.
 */
export function wheelPlaces(build: Pick<Build, 'states' | 'bodies'>): PlaceOfWheels[] {
  const wheeled = wheeledOf(build)
  const brought = TRAVEL_PLACES.flatMap((travel): PlaceOfWheels[] => {
    const wheels = wheeled.flatMap((body) => {
      const heights = heightsAt(body, travel)
      return heights ? [{ axle: body.id, ...heights }] : []
    })
    return wheels.length > 0 ? [{ id: travelPlaceId(travel), name: NAMES[travel], wheels, travel }] : []
  })
  return [...build.states.map((state) => ({ ...state, travel: null })), ...brought]
}

export const isCrossed = (place: TravelPlace): boolean => place === 'left-up' || place === 'right-up'

export const isLock = (place: TravelPlace): place is LockPlace =>
  (LOCK_PLACES as readonly TravelPlace[]).includes(place)
