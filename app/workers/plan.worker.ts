import { expose } from 'comlink'
import { planAnswer } from '~~/core/jobs/plan/planAnswer'
import type { PlanService } from './protocol'

const service: PlanService = { plan: async (toPlan) => ({ answer: planAnswer(toPlan) }) }

expose(service)
