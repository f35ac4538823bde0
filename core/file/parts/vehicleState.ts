import type { BodyId } from './body'
import type { Id } from './id'

/** How far the wheels of an axle have come up from ride height, each side; negative in droop. */
export interface WheelTravel {
  readonly axle: BodyId
  readonly leftUpMm: number
  readonly rightUpMm: number
}

/**
 * A named place of the wheels besides ride height, in which limits of the whole travel are looked at too; axles not named
 * stand at ride height.
 */
export interface VehicleState {
  readonly id: Id
  readonly name: string
  readonly wheels: readonly WheelTravel[]
}

/** A lift-in of the powertrain: readings of it say in which trial they were taken. The first is what a build starts from. */
export interface Trial {
  readonly id: Id
  readonly name: string
  readonly date?: string
  readonly note?: string
  /** Lever amounts as packed for it, in mm or degrees. */
  readonly packed?: Readonly<Record<Id, number>>
}
