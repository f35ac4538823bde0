import type { Known } from '../known'
import type { FigureColumn, LineFigureColumns } from '../line/figureColumns'
import type { LimitEntry, Quantity } from '../project/limit'
import type { Line } from '../project/lineSpec'
import { headOf, overStates, shaftName, told } from './lineCheck'
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
    needs: Known<null>,
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
      needs,
      value: (figures && value(figures)) ?? null,
    }))
  return line.shafts.flatMap(({ slip, plunge }, index) => {
    const name = shaftName(line, index)
    return [
      ...(slip
        ? check(
            'slip-left',
            'slip-left',
            index,
            told(line, `${name}, its length pushed home`, slip.closedMm),
            ({ slips }) => slips[index]?.left,
          )
        : []),
      ...(slip
        ? check(
            'spline-engaged',
            'spline-engaged',
            index,
            told(
              line,
              `${name}, spline and its length pushed home`,
              slip.closedMm,
              slip.engagedMm,
              slip.diameterMm,
            ),
            ({ slips }) => slips[index]?.engaged,
          )
        : []),
      ...(plunge
        ? check(
            'plunge-left',
            'plunge-left',
            index,
            told(line, `${name}, middle and reach of its plunge`, plunge.middleMm, plunge.reachMm),
            ({ plunges }) => plunges[index],
          )
        : []),
    ]
  })
}
