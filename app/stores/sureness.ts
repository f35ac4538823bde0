import { proxy } from 'comlink'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { chosenSettings } from '~~/core/check/evaluateBuild'
import type { LeverSettings } from '~~/core/placement/settings'
import type { Build } from '~~/core/project/build'
import { DEFAULT_SEED, LEAST_SAMPLES, type Sureness } from '~~/core/uncertainty/monteCarlo'
import type { SurenessService } from '../workers/protocol'
import { workerClient, WorkerEnded } from '../workers/workerClient'
import { useWorkbench } from './workbench'

const startWorker = () =>
  new Worker(new URL('../workers/sureness.worker.ts', import.meta.url), { type: 'module' })

/** A sampling with the build and the setting it belongs to. */
interface Sampled {
  readonly build: Build
  readonly settings: LeverSettings
  readonly result: Sureness
}

/** How sure the figures on screen are: sampled in a worker after each change comes to rest. */
export const useSureness = defineStore('sureness', () => {
  const workbench = useWorkbench()
  /** The last result, with the build and the setting it belongs to. */
  const last = shallowRef<Sampled | null>(null)
  /** The same as measured, before any lever is moved; only while somebody asks for it. */
  const atRest = shallowRef<Sampled | null>(null)
  const isRunning = ref(false)
  const isStopped = ref(false)
  /** Why no ± can be told; null while it can. */
  const failure = ref<string | null>(null)
  const progress = ref(0)
  const client = workerClient<SurenessService>(startWorker)
  let timer: ReturnType<typeof setTimeout> | undefined
  let run = 0

  /** The ± to show; a lever that moves meanwhile changes it little, so the last one stays until the next is there. */
  const result = computed(() =>
    last.value?.build.id === workbench.build?.id ? (last.value?.result ?? null) : null,
  )
  const isFresh = computed(() => last.value !== null && last.value.build === workbench.build)
  const measuredResult = computed(() =>
    atRest.value?.build === workbench.build ? (atRest.value?.result ?? null) : null,
  )

  watch(
    () => workbench.build,
    (build) => {
      clearTimeout(timer)
      isStopped.value = false
      if (build) timer = setTimeout(sampleAtRest, SETTLE_MS)
    },
    { immediate: true },
  )

  function sampleAtRest(): void {
    if (workbench.isStoring) timer = setTimeout(sampleAtRest, SETTLE_MS)
    else void sample()
  }

  async function sample(): Promise<void> {
    const { build } = workbench
    if (!build) return
    const sampled = await sampledAt({ ...chosenSettings(build) })
    if (sampled) last.value = sampled
  }

  /** Samples the build as measured too, for whoever sets the two side by side. */
  async function sampleMeasured(): Promise<void> {
    if (!workbench.build || atRest.value?.build === workbench.build) return
    const isAtRest = Object.values(chosenSettings(workbench.build)).every((amount) => amount === 0)
    if (isAtRest && isFresh.value) {
      atRest.value = last.value
      return
    }
    const sampled = await sampledAt({})
    if (sampled) atRest.value = sampled
  }

  async function sampledAt(settings: LeverSettings): Promise<Sampled | null> {
    const { build } = workbench
    if (!build) return null
    const mine = ++run
    isRunning.value = true
    isStopped.value = false
    failure.value = null
    progress.value = 0
    try {
      const options = { samples: LEAST_SAMPLES, seed: DEFAULT_SEED }
      const report = proxy((share: number) => {
        if (mine === run) progress.value = share
      })
      const sampled = await client.ask((service) =>
        service.sample(mine, toRaw(build), settings, options, report),
      )
      return mine === run && sampled ? { build, settings, result: sampled } : null
    } catch (error) {
      if (mine === run && !(error instanceof WorkerEnded)) failure.value = reasonOf(error)
      return null
    } finally {
      if (mine === run) isRunning.value = false
    }
  }

  /** Stops a sampling that runs; the last ± stays on screen. */
  function stop(): void {
    run++
    client.end()
    isRunning.value = false
    isStopped.value = true
  }

  return {
    result,
    measuredResult,
    isFresh,
    isRunning,
    isStopped,
    failure,
    progress,
    sample,
    sampleMeasured,
    stop,
  }
})

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

/** A build at rest this long, in ms, is worth sampling. */
const SETTLE_MS = 200
