import { known } from '../base/known'
import type { Check } from '../check/check'
import type { Bound } from '../check/judge'
import { plainCheck } from '../check/plainCheck'
import type { PlannedCheck } from '../check/plannedCheck'
import { thingPlan } from '../check/thingPlan'
import type { Column } from '../base/columns/graph'
import type { Build } from '../file/build/build'
import type { Manoeuvre } from '../file/parts/control'
import { shareJobs, type Share } from '../shift/hands/share'
import { plannedColumns, type Ground, type Subject } from './subject'

interface CompiledManoeuvre {
  readonly manoeuvre: Manoeuvre
  readonly share: Share
  readonly jobs: Column
  readonly plan: PlannedCheck
}

/** A manoeuvre with its jobs shared out; they do not hang on where the levers stand. */
export interface ManoeuvreEvaluation {
  readonly manoeuvre: Manoeuvre
  readonly share: Share
  readonly checks: readonly Check[]
}

const ONE_JOB: Bound = { failAbove: 1, basis: 'a hand or a foot does one thing at one moment' }

/** The manoeuvres of a build. */
export const MANOEUVRES: Subject<CompiledManoeuvre, ManoeuvreEvaluation> = {
  key: 'manoeuvres',
  compile: (ground) => {
    const things = (ground.build.manoeuvres ?? []).map((one) => compileManoeuvre(ground, one))
    const plans = things.map(({ plan }) => plan)
    return {
      key: 'manoeuvres',
      things,
      plans,
      mustKeep: [],
      wants: plannedColumns(plans),
      swept: { plans: [], wants: [] },
      spares: [],
      figures: things.map(({ manoeuvre: { id }, jobs }, k) => ({
        ...{ id: `manoeuvre/${id}/jobs`, place: `manoeuvres[${k}].jobs`, column: jobs },
        stands: () => true,
      })),
      look: () => ({
        set: [],
        found: ({ figure }) =>
          things.map(({ manoeuvre, share, plan }) => ({
            ...{ manoeuvre, share, checks: [plainCheck(plan, figure)] },
          })),
      }),
    }
  },
  checksOf: (found) => found.flatMap(({ checks }) => checks),
  json: (all) =>
    all.map(({ manoeuvre: { id, name }, share: { by, most, clash } }) => ({
      ...{ id, name, jobs: most },
      by: [...by].map(([control, limb]) => ({ control, limb })),
      clash: clash ? clash.jobs : [],
    })),
  rejudged: (found, change) => found.map((one) => ({ ...one, checks: one.checks.map(change) })),
}

function compileManoeuvre({ build, graph }: Ground, manoeuvre: Manoeuvre): CompiledManoeuvre {
  const share = shareJobs(jobsOf(build, manoeuvre))
  const jobs = graph.source(share.most)
  const head = {
    ...{ id: `manoeuvre/${manoeuvre.id}/jobs`, quantity: 'limb-jobs' as const },
    ...{ thing: manoeuvre.id, name: manoeuvre.name },
  }
  return {
    ...{ manoeuvre, share, jobs },
    plan: thingPlan(head, build.limits.entries, [ONE_JOB], known(null), jobs),
  }
}

const jobsOf = ({ controls = [] }: Build, { at }: Manoeuvre) =>
  at.flatMap(({ control }) => controls.filter(({ id }) => id === control))
