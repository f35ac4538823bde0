import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { castDraft, produce } from 'immer'
import type { Build } from '~~/core/file/build/build'
import { problemText, type FileProblem } from '~~/core/file/parts/problem'
import {
  BuildGone,
  RefusedChange,
  type LoadedBuild,
  type Recipe,
  type WantedChange,
} from '../storage/buildRepository'
import { logged } from './logged'
import { isStorageFault, storageReason, useBuildRepository } from '../storage/storage'

/** Where the open build stands. */
export type OpenState = 'closed' | 'loading' | 'open' | 'missing' | 'unreadable'

/** Changes stored in one transaction at the most, so that another tab gets its turn. */
const AT_ONCE = 50

/** What is said when the open build is no longer in the list. */
const LOST = {
  deleted: 'This build was deleted in another tab. It can be restored from the list of builds.',
  gone: 'This build is no longer stored in this browser. It still stands here: your next change stores it again, or save it as a file.',
} as const

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
  /** Says what another tab did, or which change could not be kept; the page shows it and clears it. */
  const notice = ref<string | null>(null)
  /** Changes that are in the build on screen but not yet stored. */
  const pending = shallowRef<readonly WantedChange[]>([])

  /** Steps of undo and redo that wait for their turn. */
  const travels = ref(0)

  let openId = ''
  let rev = 0
  let stopWatching: () => void = () => undefined
  /** One thing at a time: changes, undo, redo and what other tabs did never overtake each other. */
  let queue: Promise<void> = Promise.resolve()

  async function open(id: string): Promise<void> {
    if (openId === id && state.value === 'open') return
    await settled()
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
        watchStored(id)
      }
    } catch (error) {
      if (openId !== id) return
      failure.value = storageReason(error)
      state.value = 'missing'
    }
  }

  /** Follows what other tabs store; again after a fault of the store, which ends every watch on it. */
  function watchStored(id: string): void {
    stopWatching()
    stopWatching = repository.watch(id, (stored) => enqueue(() => follow(id, stored)))
  }

  /** Lets the open build go; who calls it has made sure that nothing is left to store. */
  function close(): void {
    stopWatching()
    stopWatching = () => undefined
    openId = ''
    build.value = null
    pending.value = []
    failure.value = null
    state.value = 'closed'
  }

  /**
   * Makes a change: on screen at once, stored right after; what happened by it stands in the log with it.
   *
   * @returns false when it could not be made at all
   */
  function change(label: string, recipe: Recipe): boolean {
    if (!build.value) return false
    let whole = recipe
    try {
      const before = build.value
      const after = produce(before, recipe)
      const entries = logged(before, after)
      if (entries.length > 0)
        whole = (draft) => {
          const other = recipe(draft)
          const changed = other ?? draft
          changed.log = [...(changed.log ?? []), ...castDraft(structuredClone(entries))]
          return other
        }
      build.value = whole === recipe ? after : produce(before, whole)
    } catch (error) {
      setAside(label, error)
      return false
    }
    pending.value = [...pending.value, { label, recipe: whole }]
    enqueue(storePending)
    return true
  }

  const undo = () => queueTravel('undo')
  const redo = () => queueTravel('redo')
  /** Tries again to store what could not be stored. */
  const retry = () => enqueue(storePending)
  /** Waits until everything is stored or has failed. */
  async function settled(): Promise<void> {
    let seen: Promise<void> | null = null
    while (seen !== queue) {
      seen = queue
      await seen
    }
  }

  /** True when the build may be left: everything is stored. */
  async function mayLeave(): Promise<boolean> {
    await settled()
    if (pending.value.length > 0) {
      retry()
      await settled()
    }
    return pending.value.length === 0
  }

  function enqueue(task: () => Promise<void>): void {
    queue = queue.then(task, task)
  }

  async function storePending(): Promise<void> {
    const id = openId
    while (pending.value.length > 0 && openId === id) {
      const waiting = pending.value.slice(0, AT_ONCE)
      const [first] = waiting
      if (!first) return
      try {
        const { refused, ...saved } = await repository.changeAll(id, rev, waiting)
        if (openId !== id) return
        pending.value = pending.value.slice(waiting.length)
        if (saved.merged) notice.value = 'This build was also changed in another tab; both changes are kept.'
        take(saved, saved.merged || refused.length > 0)
        for (const { label, error } of refused) setAside(label, error)
        if (failure.value !== null) watchStored(id)
        failure.value = null
      } catch (error) {
        if (openId !== id) return
        if (error instanceof BuildGone && (await storedAnew(id))) return
        if (isStorageFault(error)) {
          failure.value = storageReason(error)
          return
        }
        // What cannot be stored at all must not hold up those that wait behind it.
        pending.value = pending.value.slice(1)
        setAside(first.label, error)
        await showStored(id)
      }
    }
  }

  /**
   * The store lost the build: what is on screen is all there is of it, so it is stored whole.
   *
   * @returns false when that could not be done either
   */
  async function storedAnew(id: string): Promise<boolean> {
    const shown = build.value
    const count = pending.value.length
    if (!shown) return false
    try {
      await repository.add(shown, () => id)
    } catch {
      return false
    }
    pending.value = pending.value.slice(count)
    rev = 0
    await showStored(id)
    watchStored(id)
    failure.value = null
    notice.value = 'This build was no longer stored in this browser; it is stored again as it stands here.'
    return true
  }

  /** Says that a change was not kept, and why. */
  function setAside(label: string, error: unknown): void {
    const reason =
      error instanceof RefusedChange
        ? error.problems.map(problemText).join('; ')
        : error instanceof Error
          ? error.message
          : String(error)
    notice.value = `"${label}" was not kept: ${reason}`
  }

  async function showStored(id: string): Promise<void> {
    try {
      const result = await repository.load(id)
      if (result?.ok && openId === id) show(result.value)
    } catch (error) {
      failure.value = storageReason(error)
    }
  }

  function queueTravel(way: 'undo' | 'redo'): void {
    travels.value++
    enqueue(() => travel(way).finally(() => travels.value--))
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

  /** Another tab stored something: take it over; our own changes that still wait are made again on top. */
  async function follow(id: string, stored: number | 'deleted' | 'gone'): Promise<void> {
    if (openId !== id || stored === rev) return
    if (typeof stored === 'string') {
      notice.value = LOST[stored]
      return
    }
    if (stored < rev) return
    try {
      const result = await repository.load(id)
      if (!result?.ok || openId !== id || result.value.rev <= rev) return
      show(result.value)
      notice.value = 'Changed in another tab; this one now shows the newest state.'
    } catch (error) {
      failure.value = storageReason(error)
    }
  }

  /** Takes over what was stored; when it is what the screen shows already, the screen keeps its own object. */
  function take(loaded: LoadedBuild, isNew: boolean): void {
    if (isNew) return show(loaded)
    rev = loaded.rev
    undoLabel.value = loaded.undoLabel
    redoLabel.value = loaded.redoLabel
    savedAt.value = new Date()
  }

  /** Shows a stored state with the changes that still wait made again on top, so nothing typed meanwhile flickers back. */
  function show(loaded: LoadedBuild): void {
    const kept: WantedChange[] = []
    let shown = loaded.build
    for (const one of pending.value) {
      try {
        shown = produce(shown, one.recipe)
        kept.push(one)
      } catch (error) {
        setAside(one.label, error)
      }
    }
    if (kept.length < pending.value.length) pending.value = kept
    build.value = shown
    take(loaded, false)
  }

  const hasUnsaved = computed(() => pending.value.length + travels.value > 0)

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
    hasUnsaved,
    /** Storing is under way: longer work waits, so as not to hold it up. */
    isStoring: computed(() => hasUnsaved.value && failure.value === null),
    open,
    close,
    change,
    undo,
    redo,
    retry,
    settled,
    mayLeave,
  }
})
