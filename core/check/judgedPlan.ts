import { allKnown, known, mapKnown, unknown, type Known } from '../base/known'
import type { Column } from '../base/columns/graph'
import type { LineFigures } from '../line/lineFigures'
import { lockReason } from '../line/turning'
import { isSameState, type Check, type StateOfVehicle } from './check'
import { judge } from './judge'
import { worstOf } from '../file/limits/worst'
import type { CheckPlan, PlannedCheck } from './plannedCheck'

/** A line as it stands in one state. */
export interface JudgedState extends StateOfVehicle {
  readonly figures: Known<LineFigures>
  /** The same, unknown where a joint cannot turn: then only that joint can be spoken of. */
  readonly turning: Known<LineFigures>
}

/**
 * A planned check with its value: the worst of its states.
 *
 * @param figure - reads a column of the model as the levers stand
 * @returns null for an angle that nothing limits
 */
export function judgedPlan(
  plan: CheckPlan,
  states: readonly JudgedState[],
  figure: (column: Column) => number,
): Check | null {
  if ('certain' in plan) return plan.certain
  return worstOf(
    plan.inStates.flatMap((planned) => {
      const state = states.find((one) => isSameState(one, planned.head))
      const check = state && judgedInState(planned, state, figure)
      // A place between the named ones is called by where it is now.
      return check ? [check.at === state.at ? check : { ...check, at: state.at }] : []
    }),
  )
}

function judgedInState(
  planned: PlannedCheck,
  { figures, turning }: JudgedState,
  figure: (column: Column) => number,
): Check | null {
  const { head, bounds, window, unknownBounds, needs, value } = planned
  if (typeof value === 'number') return judge(head, known(value), bounds, [], window)
  const isAngle = head.subject.of === 'joint'
  const all = allKnown<[LineFigures, unknown]>([isAngle ? figures : turning, needs])
  const read: Known<number> =
    all.known && value === null
      ? unknown(NOT_WORKED)
      : mapKnown(all, () => (value ? figure(value.column) : NaN))
  const reason = isAngle && read.known ? lockReason(read.value) : null
  // No limit need be set for a right angle: there nothing turns, whatever the kind of joint.
  if (reason !== null)
    return {
      ...judge(head, read, [...bounds, { basis: reason, failAbove: 90 }]),
      verdict: 'out',
      basis: reason,
    }
  if (isAngle && bounds.length === 0 && unknownBounds.length === 0) return null
  return judge(head, read, bounds, unknownBounds, window)
}

const NOT_WORKED = 'not enough is known to work it out'
