import { defineStore } from 'pinia'
import { wrap, type Remote } from 'comlink'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import type { Cure } from '~~/core/placement/nearestCure'
import { cureInstruction, cureRemark } from '~~/core/text/stateSentence'
import type { CureService } from '../workers/protocol'
import { useEvaluation } from './evaluation'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** A cure as a button: what to do, what it leaves. */
export interface OfferedCure {
  readonly cure: Cure
  readonly instruction: string
  readonly remark: string
}

/** Cures for the state on screen, searched for in a worker after the levers come to rest. */
export const useCures = defineStore('cures', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const sureness = useSureness()
  const cures = shallowRef<readonly Cure[]>([])
  const isSearching = ref(false)
  /** The proxy is kept beside its worker: once collected, it would close the worker's ears. */
  let worker: { readonly thread: Worker; readonly service: Remote<CureService> } | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let latest = 0

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
          remark: cureRemark(build, cure),
        }))
      : []
  })
  /** Cures that help, best first. */
  const offered = computed(() =>
    described.value.filter(
      ({ cure }) => cure.reaches !== 'none' && cure.changes.some(({ change }) => change !== 0),
    ),
  )
  /** Why the other levers do not. */
  const refused = computed(() => described.value.filter(({ cure }) => cure.reaches === 'none'))

  watch(
    // The first ± may turn a cure that just holds into one that is tight; later ones change little.
    () => [workbench.build, evaluation.settings, isWanted.value, sureness.result !== null] as const,
    () => {
      clearTimeout(timer)
      cures.value = []
      timer = setTimeout(() => void search(), SETTLE_MS)
    },
    { immediate: true },
  )

  async function search(): Promise<void> {
    const run = ++latest
    // A search that was overtaken is of no use: its worker goes with it.
    if (isSearching.value) stop()
    const { build } = workbench
    if (!build || !isWanted.value || Object.keys(evaluation.held).length > 0) return
    isSearching.value = true
    try {
      const service = startWorker()
      const plain = toRaw(build)
      const settings = { ...evaluation.settings }
      const sure = toRaw(sureness.result)
      const alone = await service.nearest(plain, settings, sure)
      if (run !== latest) return
      cures.value = alone
      const [first, second] = build.levers
      if (first && second && !alone.some((cure) => cure.reaches === 'holds')) {
        const both = await service.byTwo(plain, settings, [first.id, second.id], sure)
        if (run === latest && both) cures.value = [both, ...alone]
      }
    } finally {
      if (run === latest) isSearching.value = false
    }
  }

  function startWorker(): Remote<CureService> {
    if (!worker) {
      const thread = new Worker(new URL('../workers/cures.worker.ts', import.meta.url), { type: 'module' })
      worker = { thread, service: wrap<CureService>(thread) }
    }
    return worker.service
  }

  /** Ends a search that runs. */
  function stop(): void {
    worker?.thread.terminate()
    worker = null
    isSearching.value = false
  }

  /** Applies a cure: one change that can be undone. */
  function apply({ cure, instruction }: OfferedCure): void {
    evaluation.set(
      instruction,
      Object.fromEntries(cure.changes.map(({ lever, amount }) => [lever.id, amount])),
    )
  }

  return { offered, refused, isSearching, stop, apply }
})

/** Levers at rest this long, in ms, are worth a search. */
const SETTLE_MS = 180
