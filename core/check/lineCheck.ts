import { known, unknown, type Known } from '../base/known'
import type { LimitEntry } from '../file/build/limit'
import type { Line } from '../file/parts/lineSpec'
import type { LineTorque } from '../vehicle/strength/lineTorque'
import type { ShaftSpeed } from '../vehicle/strength/shaftSpeed'
import type { StateOfVehicle } from './check'
import { windowOf, type Bound, type CheckHead } from './judge'
import type { PlannedState } from './judgedState'
import type { CheckPlan, PlannedCheck } from './plannedCheck'

/** What the checks of a line rest on besides its geometry. */
export interface LineNeeds {
  readonly speed: Known<ShaftSpeed>
  readonly torque: Known<LineTorque>
  /** Of the bearing of each shaft: what is taken for granted of its seat. */
  readonly seats: readonly Known<null>[]
}

/** A shaft as it is called where something is missing of it. */
export const shaftName = ({ shafts }: Line, index: number): string =>
  shafts.length > 1 ? `shaft ${index + 1}` : 'shaft'

/** A figure that is entered, or what is missing. */
export const told = (line: Line, what: string, ...figures: readonly (number | undefined)[]): Known<null> =>
  figures.includes(undefined) ? unknown(`${line.name}: ${what} not entered`) : known(null)

/** What a check of a line is about. */
export const headOf = (
  line: Line,
  id: string,
  rest: Pick<CheckHead, 'quantity' | 'subject' | 'state' | 'at' | 'speedRpm'>,
): CheckHead => ({
  id: `${line.id}/${id}`,
  lineId: line.id,
  lineName: line.name,
  ...rest,
})

/** A check in each state that some of its limits apply in. */
export function overStates(
  limits: readonly LimitEntry[],
  states: readonly PlannedState[],
  isIn: (limit: LimitEntry, state: StateOfVehicle) => boolean,
  planned: (state: PlannedState) => Pick<PlannedCheck, 'head' | 'needs' | 'value'>,
): CheckPlan[] {
  const inStates = states.flatMap((one): PlannedCheck[] => {
    const bounds = limits.filter((limit) => isIn(limit, one))
    return bounds.length > 0 ? [{ ...planned(one), bounds, window: windowOf(bounds), unknownBounds: [] }] : []
  })
  return inStates.length > 0 ? [{ inStates }] : []
}

/** A check in every state, by bounds of its own. */
export function ownBounds(
  bounds: readonly Bound[],
  states: readonly PlannedState[],
  planned: (state: PlannedState) => Pick<PlannedCheck, 'head' | 'needs' | 'value'>,
): CheckPlan[] {
  const window = windowOf(bounds)
  return bounds.length === 0
    ? []
    : [{ inStates: states.map((one) => ({ ...planned(one), bounds, window, unknownBounds: [] })) }]
}
