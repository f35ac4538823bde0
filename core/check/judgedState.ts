import type { LimitEntry } from '../file/build/limit'
import type { LineFigureColumns } from '../line/figureColumns'
import type { StateOfVehicle } from './check'

/** A state in which checks of a line are planned, with its figures; null while they are unknown for want of a reading. */
export interface PlannedState extends StateOfVehicle {
  readonly figures: LineFigureColumns | null
}

/**
 * True for limits that are looked at in a state: those of ride height at rest only there, those of the highest speed under any
 * torque at ride height, those of the travel everywhere.
 */
export const appliesIn = (limit: Pick<LimitEntry, 'scope'>, { state, at }: StateOfVehicle): boolean =>
  limit.scope === 'travel' || (at === null && (limit.scope === 'max-speed' || state === 'ride'))
