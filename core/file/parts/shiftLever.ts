import { figure, maybe, requiredId } from './fields'

/** Where the shift lever comes through the floor, against the old hole and the driver's seat. */
export const shiftLeverShape = maybe({
  /** Its foot on the gearbox. */
  point: requiredId(),
  /** Middle of the hole it is to come through, in mm. */
  holeStationMm: figure(-100_000, 100_000).required(),
  holeLeftMm: figure(-100_000, 100_000).required(),
  /** Front edge of the driver's seat, in mm. */
  seatStationMm: figure(-100_000, 100_000),
})
