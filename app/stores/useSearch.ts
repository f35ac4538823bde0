import { proxy, type Remote } from 'comlink'
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { reasonOf } from './reasonOf'
import { WorkerEnded, type WorkerClient } from '../workers/workerClient'

/** Something that a worker looks for: one question at a time, told how far it is, left when it is overtaken. */
export interface Search<Service, Progress> {
  readonly isSearching: Ref<boolean>
  /** As it was told last; null until something is told. */
  readonly progress: ShallowRef<Progress | null>
  /** Why there is no answer; null while there may be one. */
  readonly failure: Ref<string | null>
  /**
   * Asks the worker, and leaves what was asked before.
   *
   * @returns null when it was overtaken, left or failed
   */
  ask<T>(
    question: (service: Remote<Service>, report: (now: Progress) => void) => Promise<T>,
  ): Promise<{ readonly value: T } | null>
  /** Leaves what is being looked for. */
  stop(): void
}

/**
 * A search by a worker.
 *
 * @param leave - how the worker is told to leave it; it is ended when nothing else is said
 */
export function useSearch<Service, Progress = number>(
  client: WorkerClient<Service>,
  leave: () => void = client.end,
): Search<Service, Progress> {
  const isSearching = ref(false)
  const progress: ShallowRef<Progress | null> = shallowRef(null)
  const failure = ref<string | null>(null)
  let latest = 0

  function stop(): void {
    latest++
    if (isSearching.value) leave()
    isSearching.value = false
  }

  return {
    isSearching,
    progress,
    failure,
    stop,
    ask: async (question) => {
      stop()
      const run = latest
      isSearching.value = true
      progress.value = null
      failure.value = null
      try {
        const report = proxy((now: Progress) => {
          if (run === latest) progress.value = now
        })
        const value = await client.ask((service) => question(service, report))
        return run === latest ? { value } : null
      } catch (error) {
        if (run === latest && !(error instanceof WorkerEnded)) failure.value = reasonOf(error)
        return null
      } finally {
        if (run === latest) isSearching.value = false
      }
    },
  }
}
