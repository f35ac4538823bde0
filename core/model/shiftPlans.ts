import type { Bound } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import { andThen, known, unknown, type Known } from '../base/known'
import type { Shift } from '../file/parts/shiftLinkage'
import { DEAD_DEG } from '../shift/rod/gates'
import type { ShiftColumns, ShiftGateFigure } from './shiftColumns'
import type { Ground } from './subject'

const REACHES: Bound = { failAbove: 0, basis: 'a rod that does not reach from pin to pin shifts nothing' }
const CATCHES: Bound = {
  failBelow: 0,
  basis: 'a detent draws in a quarter of the step to the next, less half the lost motion',
}
const TURNS: Bound = {
  failBelow: DEAD_DEG,
  basis: 'in line with the rod an arm is at its dead centre and does not follow',
}

/** Each gate of both ends: whether the rod reaches, whether the detent draws it in, whether the arm follows. */
export function shiftPlans({ build }: Ground, shift: Shift, columns: Known<ShiftColumns>): PlannedCheck[] {
  const withRod = andThen(columns, (all) =>
    all.rodMm === null ? unknown(`${shift.name}: length of its rod`, 'shifts') : known(all),
  )
  return shift.gates.flatMap((gate) => {
    if (gate.only !== undefined) return []
    const figures = columns.known
      ? columns.value.gates.find((one) => one.gate.id === gate.id)?.figures
      : undefined
    const plan = (
      key: string,
      quantity: 'shift-reach' | 'shift-catch' | 'shift-dead',
      bound: Bound,
      of: ShiftGateFigure,
    ): PlannedCheck => {
      const head = {
        ...{ id: `shift/${shift.id}/${gate.id}/${key}`, quantity, thing: shift.id },
        name: `${shift.name}, ${gate.name}`,
      }
      return thingPlan(head, build.limits.entries, [bound], withRod, figures?.[of])
    }
    return [
      plan('reach', 'shift-reach', REACHES, 'missesMm'),
      plan('catch', 'shift-catch', CATCHES, 'leftDeg'),
      plan('dead', 'shift-dead', TURNS, 'transmissionDeg'),
    ]
  })
}
