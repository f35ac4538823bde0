import { proxy } from 'comlink'
import { promiseTimeout, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, toRaw, watch } from 'vue'
import { chosenSettings } from '~~/core/model/evaluateBuild'
import type { LeverSettings } from '~~/core/vehicle/moves/settings'
import type { Build } from '~~/core/file/build/build'
import { LEAST_SAMPLES, type Sureness } from '~~/core/answers/uncertainty/monteCarlo'
import type { SurenessService } from '../workers/protocol'
import { opener } from '../workers/opener'
import { workerClient, WorkerEnded } from '../workers/workerClient'
import { buildBy, COMPILED_PARTS } from './buildParts'
import { useLevers } from './levers'
import { samplesOf } from './unasked'
import { reasonOf } from './reasonOf'
import { useWorkbench } from './workbench'

const startWorker = () =>
  new Worker(new URL('../workers/sureness.worker.ts', import.meta.url), { type: 'module' })

/** A sampling with the build and the setting it belongs to. */
interface Sampled {
  readonly build: Build
  readonly settings: LeverSettings
  readonly result: Sureness
  /** With a lever in the hand, on fewer samples. */
  readonly isRough: boolean
}

/** How sure the figures on screen are: sampled in a worker, in full when all is at rest and roughly while a lever moves. */
export const useSureness = defineStore('sureness', () => {
  const workbench = useWorkbench()
  const levers = useLevers()
  const asPlanned = buildBy(() => workbench.build, COMPILED_PARTS)
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
  const open = opener<SurenessService>()
  /** Number of the last question, and of the last sampling in full. */
  let run = 0
  let full = 0
  let isFollowing = false

  /** The ± to show; a build that changes meanwhile changes it little, so the last one stays until the next is there. */
  const result = computed(() =>
    last.value?.build.id === workbench.build?.id ? (last.value?.result ?? null) : null,
  )
  const isFresh = computed(
    () => last.value !== null && last.value.build === workbench.build && !last.value.isRough,
  )
  const measuredResult = computed(() =>
    atRest.value?.build === workbench.build ? (atRest.value?.result ?? null) : null,
  )

  /** Nobody has touched anything for a while. */
  const rest = useTimeoutFn(() => (workbench.isStoring ? settle() : void sample()), SETTLE_MS, {
    immediate: false,
  })
  watch(
    () => workbench.build,
    (build) => {
      isStopped.value = false
      if (build) settle()
      else rest.stop()
    },
    { immediate: true },
  )
  watch(
    () => levers.held,
    () => {
      if (levers.isHeld) void follow()
      else if (last.value?.isRough) settle()
    },
  )

  function settle(): void {
    rest.start()
  }

  async function sample(): Promise<void> {
    const { build } = workbench
    if (!build) return
    const sampled = await sampledAt({ ...chosenSettings(build) })
    // Whoever holds a lever by now has newer figures.
    if (sampled && !levers.isHeld) last.value = sampled
  }

  /** Keeps up with a lever in the hand whenever the hand pauses: one rough sampling after the other. */
  async function follow(): Promise<void> {
    if (isFollowing || isStopped.value || failure.value !== null || last.value === null) return
    isFollowing = true
    try {
      for (let seen: LeverSettings | null = null; levers.isHeld && seen !== levers.held;) {
        const paused: LeverSettings = levers.held
        // The drawing goes first: while the lever moves, its frame needs all there is.
        await promiseTimeout(HAND_PAUSES_MS)
        if (paused !== levers.held) continue
        seen = paused
        const { build } = workbench
        const settings = { ...levers.settings }
        const result = build && (await answer(settings, FOLLOWING_SAMPLES))
        // The one that is overtaken by the next move is still nearer the truth than the one before.
        if (build && result && levers.isHeld && build.id === workbench.build?.id)
          last.value = { build, settings, result, isRough: true }
      }
    } catch (error) {
      if (!(error instanceof WorkerEnded)) failure.value = reasonOf(error)
    } finally {
      isFollowing = false
    }
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
    isRunning.value = true
    isStopped.value = false
    failure.value = null
    progress.value = 0
    const mine = ++full
    try {
      const result = await answer(settings, samplesOf(LEAST_SAMPLES), (share) => {
        if (mine === full) progress.value = share
      })
      return mine === full && result ? { build, settings, result, isRough: false } : null
    } catch (error) {
      if (mine === full && !(error instanceof WorkerEnded)) failure.value = reasonOf(error)
      return null
    } finally {
      if (mine === full) isRunning.value = false
    }
  }

  /** Asks the worker, which is told of the build first when it does not know it. */
  async function answer(
    settings: LeverSettings,
    samples: number,
    onProgress: (share: number) => void = () => undefined,
  ): Promise<Sureness | null> {
    const question = { run: ++run, settings, samples }
    const build = asPlanned.value
    return client.ask(async (service) => {
      if (build) await open(service, toRaw(build))
      return service.sample(question, proxy(onProgress))
    })
  }

  /** Stops a sampling that runs; the last ± stays on screen. */
  function stop(): void {
    full++
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

/** A build at rest this long, in ms, is worth sampling. */
const SETTLE_MS = 200
/** A lever in the hand that stands still for so long, in ms, has paused. */
const HAND_PAUSES_MS = 150
/** Samples while a lever is in the hand: a tenth of the truths that count, the same ones at each move. */
const FOLLOWING_SAMPLES = 2000
