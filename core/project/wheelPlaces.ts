import { axlesOf } from './bodies'
import type { AxleBody, BodyId } from './body'
import type { Build } from './build'
import type { Id } from './id'

/** Places of the wheels that follow from how far axles were said to go. */
export const TRAVEL_PLACES = ['droop', 'bump', 'left-up', 'right-up', 'settled'] as const
export type TravelPlace = (typeof TRAVEL_PLACES)[number]

/** How far one wheel of an axle goes from ride height, in mm. */
export interface WheelReach {
  readonly bumpMm: number
  readonly droopMm: number
}

/** How far the left and the right wheel of an axle go, by springs, stop and strap; null where nobody has told. */
export function reachOf({
  travel,
}: AxleBody): { readonly left: WheelReach; readonly right: WheelReach } | null {
  if (!travel) return null
  const { bumpMm, droopMm, rightBumpMm = bumpMm, rightDroopMm = droopMm } = travel
  const { stopMm = Infinity, strapMm = Infinity } = travel
  const ended = (bump: number, droop: number): WheelReach => ({
    bumpMm: Math.min(bump, stopMm),
    droopMm: Math.min(droop, strapMm),
  })
  return { left: ended(bumpMm, droopMm), right: ended(rightBumpMm, rightDroopMm) }
}

/** How far up each wheel stands at a place, in mm from ride height. */
export interface WheelHeights {
  readonly leftUpMm: number
  readonly rightUpMm: number
}

/** Where the wheels of an axle stand at a place of its travel; null where it does not go there. */
export function heightsAt(axle: AxleBody, place: TravelPlace): WheelHeights | null {
  const reach = reachOf(axle)
  if (!reach) return null
  const { left, right } = reach
  const { crossMm, settleMm } = axle.travel ?? {}
  const up = (wheel: WheelReach) => crossMm ?? wheel.bumpMm
  const down = (wheel: WheelReach) => -(crossMm ?? wheel.droopMm)
  switch (place) {
    case 'droop':
      return { leftUpMm: -left.droopMm, rightUpMm: -right.droopMm }
    case 'bump':
      return { leftUpMm: left.bumpMm, rightUpMm: right.bumpMm }
    case 'left-up':
      return { leftUpMm: up(left), rightUpMm: down(right) }
    case 'right-up':
      return { leftUpMm: down(left), rightUpMm: up(right) }
    case 'settled':
      return settleMm ? { leftUpMm: settleMm, rightUpMm: settleMm } : null
  }
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
}

/** The id of a place that the travel brings; no id of the file begins so. */
export const travelPlaceId = (place: TravelPlace): Id => `travel-${place}`

/**
 * Every place of the wheels besides ride height in which limits of the whole travel are looked at: those that the file names,
 * then those that the travel of its axles brings. Only axles that go from side to side have a crossed place.
 */
export function wheelPlaces(build: Pick<Build, 'states' | 'bodies'>): PlaceOfWheels[] {
  const axles = axlesOf(build).filter(({ suspension }) => suspension !== 'fixed')
  const brought = TRAVEL_PLACES.flatMap((travel): PlaceOfWheels[] => {
    const wheels = axles.flatMap((axle) => {
      if (isCrossed(travel) && axle.sizes?.trackMm === undefined) return []
      const heights = heightsAt(axle, travel)
      return heights ? [{ axle: axle.id, ...heights }] : []
    })
    return wheels.length > 0 ? [{ id: travelPlaceId(travel), name: NAMES[travel], wheels, travel }] : []
  })
  return [...build.states.map((state) => ({ ...state, travel: null })), ...brought]
}

export const isCrossed = (place: TravelPlace): boolean => place === 'left-up' || place === 'right-up'
