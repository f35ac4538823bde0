import { object } from 'yup'
import { amounts, figure, list, noteField, requiredId, requiredName, timeField } from './fields'
import type { Told } from './told'

/** How far the wheels of an axle have come up from ride height, each side; negative in droop. */
const wheelTravelShape = object({
  axle: requiredId(),
  leftUpMm: figure(-1000, 1000).required(),
  rightUpMm: figure(-1000, 1000).required(),
})
export type WheelTravel = Told<typeof wheelTravelShape>

/**
 * A named place of the wheels besides ride height, in which limits of the whole travel are looked at too; axles not named
 * stand at ride height.
 */
export const stateShape = object({
  id: requiredId(),
  name: requiredName(),
  wheels: list(wheelTravelShape, 10).required(),
})
export type VehicleState = Told<typeof stateShape>

/** A lift-in of the powertrain: readings of it say in which trial they were taken. The first is what a build starts from. */
export const trialShape = object({
  id: requiredId(),
  name: requiredName(),
  date: timeField(),
  note: noteField(),
  /** Lever amounts as packed for it, in mm or degrees. */
  packed: amounts('packed').default(undefined),
})
export type Trial = Told<typeof trialShape>
