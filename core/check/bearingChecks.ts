import type { Known } from '../base/known'
import type { FigureColumn, LineFigureColumns } from '../line/figureColumns'
import type { LimitEntry, Quantity } from '../file/build/limit'
import type { Line } from '../file/parts/lineSpec'
import type { Bound } from './judge'
import { headOf, ownBounds, type LineNeeds } from './lineCheck'
import type { PlannedState } from './judgedState'
import type { CheckPlan } from './plannedCheck'

/** One thing that is checked of a bearing. */
interface BearingCheck {
  readonly quantity: Quantity
  /** What its maker allows. */
  readonly own: number | undefined
  readonly needs: Known<unknown> | undefined
  readonly value: (figures: LineFigureColumns) => FigureColumn | null | undefined
}

/**
 * Force and misalignment of every centre bearing, in every state: by its maker's own figures, else by the limits of the build.
 *
 * @see docs/methods/couples.md
 */
export function bearingChecks(
  line: Line,
  of: (quantity: Quantity) => readonly LimitEntry[],
  { torque, seats }: LineNeeds,
  states: readonly PlannedState[],
): CheckPlan[] {
  return line.shafts.slice(0, -1).flatMap(({ bearing }, index) => {
    if (!bearing) return []
    const checks: readonly BearingCheck[] = [
      {
        quantity: 'bearing-force',
        own: bearing.limitN,
        needs: torque,
        value: ({ bearingForces }) => bearingForces[index],
      },
      {
        quantity: 'bearing-misalignment',
        own: bearing.limitDeg,
        needs: seats[index],
        value: ({ misalignments }) => misalignments[index],
      },
    ]
    return checks.flatMap(({ quantity, own, needs, value }) => {
      const bounds: readonly Bound[] = own === undefined ? of(quantity) : [{ basis: MAKER, failAbove: own }]
      return ownBounds(bounds, states, ({ state, at, figures }) => ({
        head: headOf(line, `${quantity}/${index + 1}`, {
          quantity,
          subject: { of: 'shaft', index },
          state,
          at,
          speedRpm: null,
        }),
        needs: needs ?? torque,
        value: (figures && value(figures)) ?? null,
      }))
    })
  })
}

const MAKER = 'what the maker of the bearing allows'
