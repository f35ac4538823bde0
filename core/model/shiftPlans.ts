import type { Bound } from '../check/judge'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import { andThen, known, unknown, type Known } from '../base/known'
import type { Shift } from '../file/parts/shiftLinkage'
import { DEAD_DEG } from '../shift/rod/gates'
import { lockState } from '../shift/rod/locks'
import type { ShiftGateFigure } from './gateFigures'
import type { ShiftColumns } from './shiftColumns'
import type { Ground } from './subject'

const REACHES: Bound = { failAbove: 0, basis: 'a rod that does not reach from pin to pin shifts nothing' }
const CATCHES: Bound = {
  failBelow: 0,
  basis: 'a detent draws in a quarter of the step to the next, less half the lost motion',
}
const WANTS = { rod: 'length of its rod', cable: 'the gate that its cable is set in' } as const
const TURNS: Bound = {
  failBelow: DEAD_DEG,
  basis: 'in line with the rod an arm is at its dead centre and does not follow',
}

const LOCKED: Bound = {
  failAbove: 0,
  basis:
    'the engine starts in park and neutral alone, the lamp burns in reverse alone, and a lock that is filed away locks nothing',
}
const ENGAGED: Bound = {
  failBelow: 1.5,
  basis: 'a rod’s end is engaged by one and a half times its thread at the least',
}

/** The locks of each gate that is told what it is, as they were tried; the thread of the rod's ends. */
export function shiftTrials({ build, graph }: Ground, shift: Shift): PlannedCheck[] {
  const { entries } = build.limits
  const { threadMm, engagedMm } = shift
  const head = (key: string, quantity: 'shift-locks' | 'shift-thread', name: string) => ({
    ...{ id: `shift/${shift.id}/${key}`, quantity, thing: shift.id, name },
  })
  const locks = shift.gates.flatMap((gate) => {
    if (gate.is === undefined && gate.lock === undefined) return []
    const name = `${shift.name}, ${gate.name}`
    const { wrong, untried } = lockState(gate)
    const needs: Known<null> =
      wrong.length === 0 && untried.length > 0
        ? unknown(`${name}: its locks not tried`, 'shifts')
        : known(null)
    return [
      thingPlan(
        head(`${gate.id}/locks`, 'shift-locks', name),
        entries,
        [LOCKED],
        needs,
        graph.source(wrong.length),
      ),
    ]
  })
  if (threadMm === undefined) return locks
  const needs: Known<null> =
    engagedMm === undefined ? unknown(`${shift.name}: thread engaged at its ends`, 'shifts') : known(null)
  const share = engagedMm === undefined ? undefined : graph.source(engagedMm / threadMm)
  return [...locks, thingPlan(head('thread', 'shift-thread', shift.name), entries, [ENGAGED], needs, share)]
}

/** Each gate of both ends: whether the rod reaches, whether the detent draws it in, whether the arm follows. */
export function shiftPlans({ build }: Ground, shift: Shift, columns: Known<ShiftColumns>): PlannedCheck[] {
  const withRod = andThen(columns, (all) =>
    shift.rodMm === undefined && shift.setIn === undefined
      ? unknown(`${shift.name}: ${WANTS[shift.cable === undefined ? 'rod' : 'cable']}`, 'shifts')
      : known(all),
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
