import type { Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { evaluate, type Evaluation } from '~~/core/model/evaluateBuild'
import { lockedSettings, type LeverSettings } from '~~/core/vehicle/moves/settings'
import { settingsAfter } from '~~/core/answers/solver/cure'
import type { FoundSetting, FoundSettings } from '~~/core/answers/solver/differentSettings'
import { GOALS, type Goal, type GoalFound } from '~~/core/answers/solver/goals'
import { checkLabel, likelihoodText } from '~~/core/show/text/checkText'
import { whatFrees } from '~~/core/show/told/freeText'
import { positionFacts } from '~~/core/show/told/positionFacts'
import { cureInstruction } from '~~/core/show/told/stateSentence'
import type { CureService } from '../workers/protocol'
import { opener } from '../workers/opener'
import { workerClient } from '../workers/workerClient'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useSureness } from './sureness'
import { useSearch } from './useSearch'
import { useWorkbench } from './workbench'

/** A setting as a card: what to do, what it takes, what is closest then, and how it stands. */
export interface SettingCard {
  readonly settings: LeverSettings
  readonly evaluation: Evaluation | null
  readonly cuts: string | null
  readonly instruction: string
  readonly effort: string
  readonly likely: string
  readonly closest: string
  readonly leaves: string
  readonly take: () => void
}

const startWorker = () =>
  new Worker(new URL('../workers/cures.worker.ts', import.meta.url), { type: 'module' })

/** Settings that are looked for when somebody asks, in a worker of their own. */
export const useFoundSettings = defineStore('found-settings', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const sureness = useSureness()
  const found = shallowRef<FoundSettings | null>(null)
  const open = opener<CureService>()
  const {
    ask,
    stop: leave,
    isSearching,
    progress,
    failure,
  } = useSearch(workerClient<CureService>(startWorker))
  const looked = computed(() => progress.value ?? 0)
  /** What each goal that was asked for came to. */
  const byGoal = shallowRef<Partial<Record<Goal, GoalFound>>>({})
  const asking = ref<Goal | null>(null)
  /** A setting has to hold with its ±: before that is known, or cannot be, there is nothing to prove it by. */
  const isReady = computed(() => sureness.result !== null || sureness.isStopped || sureness.failure !== null)
  /** What was found is of the build as it was: a change makes it stale. */
  watch(
    () => [workbench.build?.id, evaluation.compiled] as const,
    () => {
      stop()
      found.value = null
      byGoal.value = {}
    },
  )

  /** Asks the worker for something, with the build as it stands; what is overtaken is never kept. */
  async function asked<T>(
    question: (
      service: Remote<CureService>,
      isSampled: boolean,
      report: (count: number) => void,
    ) => Promise<T>,
    keep: (result: T) => void,
  ): Promise<void> {
    const { build } = workbench
    if (!build || !isReady.value) return
    const isSampled = sureness.result !== null
    const result = await ask(async (service, report) => {
      await open(service, toRaw(build))
      return question(service, isSampled, report)
    })
    if (result) keep(result.value)
  }

  const base = (): LeverSettings => lockedSettings(workbench.build?.levers ?? [], levers.settings)

  async function search(): Promise<void> {
    found.value = null
    asking.value = null
    const from = base()
    await asked(
      (service, isSampled, report) => service.different(from, isSampled, report),
      (result) => {
        found.value = result
      },
    )
  }

  async function searchFor(goal: Goal): Promise<void> {
    asking.value = goal
    const from = base()
    await asked<GoalFound>(
      async (service, isSampled, report) => service.goal(from, goal, isSampled, report),
      (result) => {
        byGoal.value = { ...byGoal.value, [goal]: result }
      },
    )
    if (asking.value === goal) asking.value = null
  }

  function stop(): void {
    leave()
    asking.value = null
  }

  const cards = computed(() => (found.value?.settings ?? []).map(cardOf))
  const goals = computed(() =>
    GOALS.map((goal) => {
      const result = byGoal.value[goal] ?? null
      return { goal, result, card: result?.kind === 'found' ? cardOf(result.setting) : null }
    }),
  )
  const nearest = computed(() => (found.value?.nearest ? cardOf(found.value.nearest) : null))

  /** What would free a build in which nothing holds. */
  const frees = computed(() => {
    const { build } = workbench
    const cure = found.value?.nearest?.cure
    return build && cure ? whatFrees(build, cure, base()) : null
  })

  function cardOf({ cure, effort }: FoundSetting): SettingCard {
    const { build } = workbench
    const { compiled } = evaluation
    const settings = settingsAfter(base(), cure)
    const instruction = build ? cureInstruction(build, cure) : ''
    const there = build && compiled ? evaluate(toRaw(compiled), settings) : null
    const facts = build && there ? positionFacts(build, there) : null
    return {
      settings,
      evaluation: there,
      cuts: facts?.cutCost ?? null,
      instruction,
      effort: effort.toFixed(1),
      likely: cure.likelihood === null ? '' : likelihoodText(cure.likelihood),
      closest: facts?.worst ?? '',
      leaves: cure.leaves.map((check) => checkLabel(check, (build?.lines.length ?? 0) > 1)).join(', '),
      take: () =>
        levers.set(instruction, {
          ...Object.fromEntries((build?.levers ?? []).map(({ id }) => [id, 0])),
          ...settings,
        }),
    }
  }

  return {
    cards,
    goals,
    asking,
    nearest,
    frees,
    proof: computed(() => found.value),
    isFound: computed(() => found.value !== null),
    isReady,
    isSearching,
    looked,
    failure,
    search,
    searchFor,
    stop,
  }
})
