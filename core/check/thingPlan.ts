import type { Column } from '../base/columns/graph'
import { mapKnown, type Known } from '../base/known'
import type { LimitEntry, Quantity } from '../file/build/limit'
import type { Id } from '../file/parts/id'
import { combinedWindow } from '../file/limits/verdict'
import type { Bound } from './judge'
import type { PlannedCheck } from './plannedCheck'

/** What of a thing is checked, as the vehicle stands. */
export interface CheckedThing {
  /** Of the check. */
  readonly id: string
  readonly quantity: Quantity
  readonly thing: Id
  readonly name: string
}

/**
 * The check of something that is no line, gap or chain, in the one state that it is looked at in.
 *
 * @param own - what the thing itself asks for, besides the limits of the build
 * @param column - absent while what it needs is not known
 */
export function thingPlan(
  { id, quantity, thing, name }: CheckedThing,
  limits: readonly LimitEntry[],
  own: readonly Bound[],
  needs: Known<unknown>,
  column: Column | undefined,
): PlannedCheck {
  const bounds = [...limits.filter((limit) => limit.quantity === quantity), ...own]
  return {
    head: {
      ...{ id, quantity, lineId: null, lineName: null },
      subject: { of: 'thing', id: thing, name },
      ...{ state: 'ride', at: null, speedRpm: null },
    },
    bounds,
    window: combinedWindow(bounds),
    unknownBounds: [],
    needs: mapKnown(needs, () => null),
    value: column === undefined ? null : { column },
  }
}
