import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { produce } from 'immer'
import type { Build } from '~~/core/project/build'
import { problemText, type FileProblem } from '~~/core/project/problem'
import type { LoadedBuild, Recipe } from '../storage/buildRepository'
import { storageReason, useBuildRepository } from '../storage/storage'

/** Where the open build stands. */
export type OpenState = 'closed' | 'loading' | 'open' | 'missing' | 'unreadable'

/** A change that is in the build on screen but not yet stored. */
interface PendingChange {
  readonly label: string
  readonly recipe: Recipe
}

/** The build a person works on: every change is stored at once, can be undone, and follows what other tabs do. */
export const useWorkbench = defineStore('workbench', () => {
  const repository = useBuildRepository()
  const build = shallowRef<Build | null>(null)
  const state = ref<OpenState>('closed')
  const problems = shallowRef<readonly FileProblem[]>([])
  const undoLabel = ref<string | null>(null)
  const redoLabel = ref<string | null>(null)
  const failure = ref<string | null>(null)
  const savedAt = ref<Date | null>(null)
  /** Says what another tab did; the page shows it and clears it. */
  const notice = ref<string | null>(null)
  const pending = shallowRef<readonly PendingChange[]>([])

  let openId = ''
  let rev = 0
  let stopWatching: () => void = () => undefined
  let queue: Promise<void> = Promise.resolve()

  async function open(id: string): Promise<void> {
    if (openId === id && state.value === 'open') return
    close()
    openId = id
    state.value = 'loading'
    try {
      const result = await repository.load(id)
      if (openId !== id) return
      if (result === null) state.value = 'missing'
      else if (!result.ok) {
        problems.value = result.problems
        state.value = 'unreadable'
      } else {
        show(result.value)
        state.value = 'open'
        stopWatching = repository.watch(id, (stored) => void follow(id, stored))
      }
    } catch (error) {
      failure.value = storageReason(error)
      state.value = 'missing'
    }
  }

  function close(): void {
    stopWatching()
    stopWatching = () => undefined
    openId = ''
    build.value = null
    pending.value = []
    failure.value = null
    state.value = 'closed'
  }

  /** Makes a change: on screen at once, stored right after. */
  function change(label: string, recipe: Recipe): void {
    if (!build.value) return
    build.value = produce(build.value, recipe)
    pending.value = [...pending.value, { label, recipe }]
    enqueue(storePending)
  }

  const undo = () => enqueue(() => travel('undo'))
  const redo = () => enqueue(() => travel('redo'))
  /** Tries again to store what could not be stored. */
  const retry = () => enqueue(storePending)
  /** Waits until everything is stored or has failed. */
  const settled = () => queue

  function enqueue(task: () => Promise<void>): void {
    queue = queue.then(task, task)
  }

  async function storePending(): Promise<void> {
    const id = openId
    while (pending.value.length > 0 && openId === id) {
      const [first] = pending.value
      if (!first) return
      try {
        const saved = await repository.change(id, rev, first.label, first.recipe)
        if (openId !== id) return
        pending.value = pending.value.slice(1)
        if (saved.merged) notice.value = 'This build was also changed in another tab; both changes are kept.'
        // Later changes still waiting are made again on top, so nothing typed meanwhile flickers back.
        show(saved, pending.value)
        failure.value = null
      } catch (error) {
        failure.value = storageReason(error)
        return
      }
    }
  }

  async function travel(way: 'undo' | 'redo'): Promise<void> {
    const id = openId
    if (pending.value.length > 0) await storePending()
    if (pending.value.length > 0) return
    try {
      const result = await repository[way](id)
      if (result && openId === id) show(result)
      failure.value = null
    } catch (error) {
      failure.value = storageReason(error)
    }
  }

  /** Another tab stored something: take it over unless our own changes are still on their way, which will meet it. */
  async function follow(id: string, stored: number | null): Promise<void> {
    if (openId !== id || stored === rev || pending.value.length > 0) return
    if (stored === null) {
      notice.value = 'This build was deleted in another tab. It can be restored from the list of builds.'
      return
    }
    await queue
    if (openId !== id || stored <= rev || pending.value.length > 0) return
    const result = await repository.load(id)
    if (result?.ok && openId === id && result.value.rev > rev && pending.value.length === 0) {
      show(result.value)
      notice.value = 'Changed in another tab; this one now shows the newest state.'
    }
  }

  function show(loaded: LoadedBuild, waiting: readonly PendingChange[] = []): void {
    rev = loaded.rev
    build.value = waiting.reduce((current, { recipe }) => produce(current, recipe), loaded.build)
    undoLabel.value = loaded.undoLabel
    redoLabel.value = loaded.redoLabel
    savedAt.value = new Date()
  }

  return {
    build,
    state,
    problems,
    problemTexts: computed(() => problems.value.map(problemText)),
    undoLabel,
    redoLabel,
    failure,
    savedAt,
    notice,
    pending,
    hasUnsaved: computed(() => pending.value.length > 0),
    open,
    close,
    change,
    undo,
    redo,
    retry,
    settled,
  }
})
