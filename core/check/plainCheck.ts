import { mapKnown } from '../base/known'
import type { Column } from '../base/columns/graph'
import type { Check } from './check'
import { judge } from './judge'
import type { PlannedCheck } from './plannedCheck'

/** A planned check of a thing that is looked at in one state, with its value as the levers stand. */
export const plainCheck = (
  { head, needs, value, bounds, window }: PlannedCheck,
  figure: (column: Column) => number,
): Check =>
  judge(
    head,
    mapKnown(needs, () => (value === null || typeof value === 'number' ? NaN : figure(value.column))),
    bounds,
    [],
    window,
  )
