import { useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, toRaw, watch } from 'vue'
import type { Cure } from '~~/core/answers/solver/cure'
import { likelihoodText } from '~~/core/show/text/checkText'
import { cureBrief, cureInstruction, cureRemark } from '~~/core/show/told/stateSentence'
import type { CureService } from '../workers/protocol'
import { opener } from '../workers/opener'
import { workerClient } from '../workers/workerClient'
import { useEvaluation } from './evaluation'
import { useLevers } from './levers'
import { useSureness } from './sureness'
import { seeksCures } from './unasked'
import { useSearch } from './useSearch'
import { useWorkbench } from './workbench'

/** A cure as a button: what to do, what it leaves. */
export interface OfferedCure {
  readonly cure: Cure
  readonly instruction: string
  /** The same in few words. */
  readonly brief: string
  readonly remark: string
  /** How likely all limits are kept then, "97 %"; empty while it is not known. */
  readonly likely: string
}

const startWorker = () =>
  new Worker(new URL('../workers/cures.worker.ts', import.meta.url), { type: 'module' })

/** Cures for the state on screen, searched for in a worker after the levers come to rest. */
export const useCures = defineStore('cures', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const levers = useLevers()
  const sureness = useSureness()
  const cures = shallowRef<readonly Cure[]>([])
  const client = workerClient<CureService>(startWorker)
  // The worker goes on living, for a new one would have to compile all its program again.
  const open = opener<CureService>()
  const { ask, stop, isSearching, progress, failure } = useSearch(client, () =>
    client.tell((service) => service.leave()),
  )
  /** Settings looked at in the search that runs. */
  const looked = computed(() => progress.value ?? 0)

  const isWanted = computed(() => {
    const verdict = evaluation.current?.verdict
    return verdict === 'out' || verdict === 'tight'
  })
  const described = computed<OfferedCure[]>(() => {
    const { build } = workbench
    return build
      ? cures.value.map((cure) => ({
          cure,
          instruction: cureInstruction(build, cure),
          brief: cureBrief(build, cure),
          remark: cureRemark(build, cure),
          likely: cure.likelihood === null ? '' : likelihoodText(cure.likelihood),
        }))
      : []
  })
  /** Cures that help, best first. */
  const offered = computed(() =>
    described.value.filter(
      ({ cure, instruction }, i, all) =>
        cure.reaches !== 'none' &&
        cure.changes.some(({ change }) => change !== 0) &&
        // All levers together may find what one of them does alone.
        all.findIndex((other) => other.instruction === instruction) === i,
    ),
  )
  /** Why the other levers do not. */
  const refused = computed(() => described.value.filter(({ cure }) => cure.reaches === 'none'))

  /** Nobody has touched anything for a while. */
  const rest = useTimeoutFn(searchAtRest, SETTLE_MS, { immediate: false })
  function searchAtRest(): void {
    if (workbench.isStoring) rest.start()
    else void search()
  }
  watch(
    // The first ± may turn a cure that just holds into one that is tight; later ones change little.
    () =>
      [
        workbench.build,
        levers.settings,
        isWanted.value,
        sureness.result !== null || sureness.isStopped || sureness.failure !== null,
      ] as const,
    () => {
      if (cures.value.length > 0) cures.value = []
      // What it looks for is of no use by now, and the hand on the lever needs the processor.
      if (levers.isHeld && isSearching.value) stop()
      rest.start()
    },
    { immediate: true },
  )

  async function search(): Promise<void> {
    stop()
    const { build } = workbench
    if (!build || !isWanted.value || levers.isHeld || !seeksCures()) return
    // A cure has to hold with its ±: nothing is offered before that is known, or cannot be.
    if (sureness.result === null && !sureness.isStopped && sureness.failure === null) return
    const settings = { ...levers.settings }
    const isSampled = sureness.result !== null
    const alone = await ask(async (service) => {
      await open(service, toRaw(build))
      return service.nearest(settings, isSampled)
    })
    if (!alone) return
    cures.value = alone.value
    if (build.levers.length < 2 || alone.value.some((cure) => cure.reaches === 'holds')) return
    const together = await ask((service, report) => service.together(settings, isSampled, report))
    if (together && together.value.reaches !== 'none') cures.value = [together.value, ...alone.value]
  }

  /** Applies a cure: one change that can be undone. */
  function apply({ cure, instruction }: OfferedCure): void {
    levers.set(instruction, Object.fromEntries(cure.changes.map(({ lever, amount }) => [lever.id, amount])))
  }

  return { offered, refused, isSearching, looked, failure, stop, apply }
})

/** Levers at rest this long, in ms, are worth a search. */
const SETTLE_MS = 180
