import type { Known } from '../base/known'
import type { FigureColumn, LineFigureColumns } from '../line/figureColumns'
import type { LimitEntry, Quantity } from '../file/build/limit'
import { slidesAtYoke } from '../line/lineColumns'
import type { Line } from '../file/parts/lineSpec'
import { headOf, overStates, shaftName, told } from './lineCheck'
import { appliesIn, type PlannedState } from './judgedState'
import type { CheckPlan } from './plannedCheck'

const leftOf = ({ slips }: LineFigureColumns, index: number) => slips[index]?.left
const engagedOf = ({ slips }: LineFigureColumns, index: number) => slips[index]?.engaged

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
    value: (figures: LineFigureColumns, index: number) => FigureColumn | null | undefined,
    inStates = states,
  ): CheckPlan[] =>
    overStates(of(quantity), inStates, appliesIn, ({ state, at, figures }) => ({
      head: headOf(line, `${id}/${index + 1}`, {
        quantity,
        subject: { of: 'shaft', index },
        state,
        at,
        speedRpm: null,
      }),
      needs,
      value: (figures && value(figures, index)) ?? null,
    }))
  return line.shafts.flatMap(({ slip, plunge, drivingEnd }, index) => {
    const name = shaftName(line, index)
    // A yoke's set-in is judged at ride height by itself; what is left of it matters where the wheels have moved.
    const yoke = index === 0 && slidesAtYoke(line) && drivingEnd?.kind === 'slip-yoke' ? drivingEnd : null
    const away = states.filter(({ at }) => at !== null)
    return [
      ...(yoke && away.length > 0
        ? [
            ...check(
              'slip-left',
              'slip-left',
              index,
              told(line, 'set-in of the slip yoke', yoke.setInMm),
              leftOf,
              away,
            ),
            ...check(
              'spline-engaged',
              'spline-engaged',
              index,
              told(
                line,
                'spline engaged in the slip yoke and its diameter',
                yoke.engagedMm,
                yoke.splineDiameterMm,
              ),
              engagedOf,
              away,
            ),
          ]
        : []),
      ...(slip
        ? check(
            'slip-left',
            'slip-left',
            index,
            told(line, `${name}, its length pushed home`, slip.closedMm),
            leftOf,
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
            engagedOf,
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
