import { expose } from 'comlink'
import { cureByTwo, nearestCures, type Judgement } from '~~/core/placement/nearestCure'
import type { Sureness } from '~~/core/uncertainty/monteCarlo'
import { sureEvaluation } from '~~/core/uncertainty/sureness'
import type { CureService } from './protocol'

/** Candidates are judged with the ± of where the levers stand; it changes little on the way. */
const surely =
  (sureness: Sureness | null): Judgement =>
  (evaluation) =>
    sureness ? sureEvaluation(evaluation, sureness) : evaluation

const service: CureService = {
  nearest: async (build, settings, sureness) => nearestCures(build, settings, surely(sureness)),
  byTwo: async (build, settings, [first, second], sureness) => {
    const pair = [first, second].map((id) => build.levers.find((lever) => lever.id === id))
    return pair[0] && pair[1] ? cureByTwo(build, settings, [pair[0], pair[1]], surely(sureness)) : null
  },
}

expose(service)
