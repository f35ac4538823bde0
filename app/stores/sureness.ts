import { proxy, wrap, type Remote } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { chosenSettings } from '~~/core/check/evaluateBuild'
import type { LeverSettings } from '~~/core/placement/bodyMoves'
import type { Build } from '~~/core/project/build'
import { DEFAULT_SEED, LEAST_SAMPLES, type Sureness } from '~~/core/uncertainty/monteCarlo'
import type { SurenessService } from '../workers/protocol'
import { useWorkbench } from './workbench'

/** How sure the figures on screen are: sampled in a worker after each change comes to rest. */
export const useSureness = defineStore('sureness', () => {
  const workbench = useWorkbench()
  /** The last result, with the build and the setting it belongs to. */
  const last = shallowRef<{ build: Build; settings: LeverSettings; result: Sureness } | null>(null)
  const isRunning = ref(false)
  const isStopped = ref(false)
  const progress = ref(0)
  let worker: { readonly thread: Worker; readonly service: Remote<SurenessService> } | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  let run = 0

  /** The ± to show; a lever that moves meanwhile changes it little, so the last one stays until the next is there. */
  const result = computed(() =>
    last.value?.build.id === workbench.build?.id ? (last.value?.result ?? null) : null,
  )
  const isFresh = computed(() => last.value !== null && last.value.build === workbench.build)

  watch(
    () => workbench.build,
    (build) => {
      clearTimeout(timer)
      isStopped.value = false
      if (build) timer = setTimeout(() => void sample(), SETTLE_MS)
    },
    { immediate: true },
  )

  async function sample(): Promise<void> {
    const { build } = workbench
    if (!build) return
    const mine = ++run
    const settings = { ...chosenSettings(build) }
    isRunning.value = true
    isStopped.value = false
    progress.value = 0
    try {
      const options = { samples: LEAST_SAMPLES, seed: DEFAULT_SEED }
      const report = proxy((share: number) => {
        if (mine === run) progress.value = share
      })
      const sampled = await service().sample(mine, toRaw(build), settings, options, report)
      if (mine === run && sampled) last.value = { build, settings, result: sampled }
    } finally {
      if (mine === run) isRunning.value = false
    }
  }

  function service(): Remote<SurenessService> {
    if (!worker) {
      const thread = new Worker(new URL('../workers/sureness.worker.ts', import.meta.url), { type: 'module' })
      worker = { thread, service: wrap<SurenessService>(thread) }
    }
    return worker.service
  }

  /** Stops a sampling that runs; the last ± stays on screen. */
  function stop(): void {
    run++
    void worker?.service.stop()
    isRunning.value = false
    isStopped.value = true
  }

  return { result, isFresh, isRunning, isStopped, progress, sample, stop }
})

/** A build at rest this long, in ms, is worth sampling. */
const SETTLE_MS = 200
