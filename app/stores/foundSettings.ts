import { proxy } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { evaluate } from '~~/core/model/evaluateBuild'
import { settingsAfter } from '~~/core/solver/cure'
import type { FoundSetting, FoundSettings } from '~~/core/solver/differentSettings'
import { checkLabel, likelihoodText } from '~~/core/text/checkText'
import { positionFacts } from '~~/core/text/positionFacts'
import { cureInstruction } from '~~/core/text/stateSentence'
import type { CureService } from '../workers/protocol'
import { workerClient, WorkerEnded } from '../workers/workerClient'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** A setting as a card: what to do, what it takes, what is closest then. */
export interface SettingCard {
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
  const isSearching = ref(false)
  const looked = ref(0)
  const failure = ref<string | null>(null)
  const client = workerClient<CureService>(startWorker)
  let latest = 0
  /** A setting has to hold with its ±: before that is known, or cannot be, there is nothing to prove it by. */
  const isReady = computed(() => sureness.result !== null || sureness.isStopped || sureness.failure !== null)
  /** What was found is of the build as it was: a change makes it stale. */
  watch(
    () => [workbench.build?.id, evaluation.compiled] as const,
    () => {
      stop()
      found.value = null
    },
  )

  async function search(): Promise<void> {
    const run = ++latest
    if (isSearching.value) stop()
    const { build } = workbench
    if (!build || !isReady.value) return
    isSearching.value = true
    looked.value = 0
    failure.value = null
    found.value = null
    try {
      const report = proxy((count: number) => {
        if (run === latest) looked.value = count
      })
      const plain = toRaw(build)
      const isSampled = sureness.result !== null
      const result = await client.ask((service) => service.different(plain, {}, isSampled, report))
      if (run === latest) found.value = result
    } catch (error) {
      if (run === latest && !(error instanceof WorkerEnded))
        failure.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (run === latest) isSearching.value = false
    }
  }

  function stop(): void {
    client.end()
    isSearching.value = false
  }

  const cards = computed(() => (found.value?.settings ?? []).map(cardOf))
  const nearest = computed(() => (found.value?.nearest ? cardOf(found.value.nearest) : null))

  function cardOf({ cure, effort }: FoundSetting): SettingCard {
    const { build } = workbench
    const { compiled } = evaluation
    const settings = settingsAfter({}, cure)
    const instruction = build ? cureInstruction(build, cure) : ''
    const facts = build && compiled ? positionFacts(build, evaluate(toRaw(compiled), settings)) : null
    return {
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
    nearest,
    isFound: computed(() => found.value !== null),
    isReady,
    isSearching,
    looked,
    failure,
    search,
    stop,
  }
})
