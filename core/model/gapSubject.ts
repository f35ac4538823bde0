import type { PlannedCheck } from '../check/plannedCheck'
import { compileGaps, evaluateGap, gapWants, type CompiledGap, type GapEvaluation } from './gaps'
import type { Subject } from './subject'

/** The gaps of a build, between two of its bodies, a body and a turning shaft, or one and the ground. */
export const GAPS: Subject<CompiledGap, GapEvaluation> = {
  key: 'gaps',
  compile: ({ build, measured, places, travel }) => {
    const things = compileGaps(build, measured, places, travel?.between)
    const swept = travel ? compileGaps(build, measured, places, [travel.through], true) : []
    return {
      key: 'gaps',
      things,
      plans: plansOf(things),
      mustKeep: [],
      wants: things.flatMap(gapWants),
      swept: { plans: plansOf(swept), wants: [] },
      spares: [],
      // A gap is shown as its check.
      figures: [],
      look: () => ({
        set: [],
        found: ({ figure, reaches, calledNow }) =>
          things.map((gap) => evaluateGap(gap, figure, reaches, calledNow)),
      }),
    }
  },
  checksOf: (found) => found.map(({ check }) => check),
  rejudged: (found, change) => found.map((gap) => ({ ...gap, check: change(gap.check) })),
}

const plansOf = (gaps: readonly CompiledGap[]): PlannedCheck[] =>
  gaps.flatMap(({ plans }) => plans.map(({ planned }) => planned))
