import type { LimitEntry } from '../project/limit'
import { byGravity } from '../limits/verdict'
import type { LineFigureColumns } from '../line/figureColumns'
import type { Check, StateOfVehicle } from './check'

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

/**
 * The worst of one check over its states: the gravest verdict, then the least room; of equals the first.
 *
 * @returns null for none
 */
export function worstState(checks: readonly Check[]): Check | null {
  return checks.reduce<Check | null>(
    (worst, one) => (worst === null || isWorse(one, worst) ? one : worst),
    null,
  )
}

function isWorse(one: Check, other: Check): boolean {
  const gravity = byGravity(one.verdict, other.verdict)
  if (gravity !== 0) return gravity < 0
  return (one.margin ?? Infinity) < (other.margin ?? Infinity)
}
