import { known } from '../known'
import type { FigureColumn, LineFigureColumns } from '../line/figureColumns'
import type { LimitEntry, Quantity } from '../project/limit'
import type { Line } from '../project/lineSpec'
import { headOf, overStates } from './lineCheck'
import { appliesIn, type PlannedState } from './judgedState'
import type { CheckPlan } from './plannedCheck'

/** A spline inside a shaft between bottoming and coming apart, and a joint that plunges between its stops, in every state. */
export function slipChecks(
  line: Line,
  of: (quantity: Quantity) => readonly LimitEntry[],
  states: readonly PlannedState[],
): CheckPlan[] {
  const check = (
    id: string,
    quantity: Quantity,
    index: number,
    value: (figures: LineFigureColumns) => FigureColumn | null | undefined,
  ): CheckPlan[] =>
    overStates(of(quantity), states, appliesIn, ({ state, at, figures }) => ({
      head: headOf(line, `${id}/${index + 1}`, {
        quantity,
        subject: { of: 'shaft', index },
        state,
        at,
        speedRpm: null,
      }),
      needs: known(null),
      value: (figures && value(figures)) ?? null,
    }))
  return line.shafts.flatMap(({ slip, plunge }, index) => [
    ...(slip ? check('slip-left', 'slip-left', index, ({ slips }) => slips[index]?.left) : []),
    ...(slip?.engagedMm !== undefined && slip.diameterMm !== undefined
      ? check('spline-engaged', 'spline-engaged', index, ({ slips }) => slips[index]?.engaged)
      : []),
    ...(plunge ? check('plunge-left', 'plunge-left', index, ({ plunges }) => plunges[index]) : []),
  ])
}
