import { expose } from 'comlink'
import { hurriesOf } from '~~/core/jobs/plan/hurries'
import { planAnswer } from '~~/core/jobs/plan/planAnswer'
import type { PlanService } from './protocol'

const service: PlanService = {
  plan: async (toPlan) => ({ answer: planAnswer(toPlan) }),
  hurries: async (toPlan) => hurriesOf(toPlan),
}

expose(service)
