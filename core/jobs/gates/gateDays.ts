import type { Gate } from '../../file/kinds/gateKinds'
import type { WorkPlan } from '../plan/planned'
import type { Maker } from '../tasks/makers'
import type { GateState } from './gateStates'

/** What has to be done before a gate can be passed, besides what the gates before it wait for. */
const AFTER: Readonly<Record<Gate, readonly Maker[]>> = {
  position: ['measure'],
  checks: ['again', 'cure'],
  tacked: ['make'],
  bolted: [],
  welded: ['cutout', 'weld'],
  torqued: ['fit', 'install'],
  road: [],
}

/** A gate and the day of the plan at whose end it can be passed; the first is 0. */
export interface GateDay {
  readonly gate: Gate
  readonly day: number
}

/** When the gates that are not passed can be, by the plan: none before those that stand before it, the last when all is done. */
export function gateDays(plan: WorkPlan, states: readonly GateState[]): GateDay[] {
  let day = 0
  return states
    .filter(({ state }) => state !== 'passed')
    .map(({ gate }) => {
      const before = plan.planned.filter(({ node }) => {
        const by = node.task?.made?.by
        return by !== undefined && AFTER[gate].includes(by)
      })
      day = Math.max(day, ...before.map(({ endDay }) => endDay), ...(gate === 'road' ? [plan.finishDay] : []))
      return { gate, day }
    })
}
