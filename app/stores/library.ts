import { castDraft } from 'immer'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Verdict } from '~~/core/limits/limit'
import type { Build } from '~~/core/project/build'
import { newBuild, type NewBuild } from '~~/core/project/newBuild'
import { buildText, parseBuild } from '~~/core/project/parseBuild'
import type { RefusedFile } from '../storage/backup'
import { fileName } from '../storage/fileName'
import { download } from '../storage/download'
import { askToPersist, storageReason, useBuildRepository } from '../storage/storage'

/** A build in the list, with what its checks say. */
export interface ListedBuild {
  readonly id: string
  readonly name: string
  readonly vehicle: string
  readonly changedAt: string
  readonly verdict: Verdict
  readonly sentence: string
  /** Why it cannot be opened, or null. */
  readonly fault: string | null
}

/** All builds in this browser, and what goes in and out of it. */
export const useLibrary = defineStore('library', () => {
  const repository = useBuildRepository()
  const builds = shallowRef<readonly ListedBuild[]>([])
  const deleted = shallowRef<readonly { id: string; name: string }[]>([])
  const isLoaded = ref(false)
  const failure = ref<string | null>(null)
  const refused = shallowRef<readonly RefusedFile[]>([])

  async function refresh(): Promise<void> {
    try {
      const summaries = await repository.summaries()
      builds.value = await Promise.all(
        summaries
          .filter((one) => one.deletedAt === null)
          .map((one) => listed(one.id, one.name, one.changedAt)),
      )
      deleted.value = summaries.filter((one) => one.deletedAt !== null).map(({ id, name }) => ({ id, name }))
      failure.value = null
    } catch (error) {
      failure.value = storageReason(error)
    }
    isLoaded.value = true
  }

  async function listed(id: string, name: string, changedAt: string): Promise<ListedBuild> {
    const result = await repository.load(id)
    if (!result?.ok) {
      const fault = result?.problems[0]?.message ?? 'not stored any more'
      return { id, name, vehicle: '', changedAt, verdict: 'unknown', sentence: '', fault }
    }
    const { build } = result.value
    const { buildState } = await import('./buildState')
    return { id, name, vehicle: build.vehicle ?? '', changedAt, ...buildState(build), fault: null }
  }

  /** Runs a storing action; a failure is kept for the page to show. */
  async function storing<T>(action: () => Promise<T>): Promise<T | null> {
    try {
      const result = await action()
      failure.value = null
      return result
    } catch (error) {
      failure.value = storageReason(error)
      return null
    }
  }

  async function create(wanted: Omit<NewBuild, 'id' | 'date'>): Promise<string | null> {
    askToPersist()
    const date = new Date().toISOString().slice(0, 10)
    const build = newBuild({ ...wanted, id: newId(), date })
    const stored = await storing(() => repository.add(build, newId))
    await refresh()
    return stored?.id ?? null
  }

  async function duplicate(id: string): Promise<void> {
    const result = await repository.load(id)
    if (!result?.ok) return
    const { build } = result.value
    await storing(() => repository.add({ ...build, id: newId(), name: `${build.name} (copy)` }, newId))
    await refresh()
  }

  async function remove(id: string): Promise<void> {
    await storing(() => repository.remove(id))
    await refresh()
  }

  async function restore(id: string): Promise<void> {
    await storing(() => repository.restore(id))
    await refresh()
  }

  /** Takes in build files and backups; what cannot be read is listed, and nothing stored is overwritten. */
  async function importFiles(files: readonly File[]): Promise<number> {
    const { readBuildFile } = await import('../storage/backup')
    const faults: RefusedFile[] = []
    let count = 0
    for (const file of files) {
      const read = await readBuildFile(file.name, new Uint8Array(await file.arrayBuffer()))
      faults.push(...read.refused)
      for (const build of read.builds) {
        const stored = await storing(() => repository.add(build, newId))
        if (stored) count++
        else faults.push({ file: file.name, reasons: [`could not be stored: ${failure.value}`] })
      }
    }
    refused.value = faults
    await refresh()
    return count
  }

  async function exportBuild(id: string): Promise<void> {
    const result = await repository.load(id)
    if (result?.ok)
      download(fileName(result.value.build.name), buildText(result.value.build), 'application/json')
    else download(fileName(id), JSON.stringify(await repository.raw(id), null, 2), 'application/json')
  }

  async function backup(): Promise<void> {
    const all: Build[] = []
    for (const { id } of builds.value) {
      const result = await repository.load(id)
      if (result?.ok) all.push(result.value.build)
    }
    const { backupZip } = await import('../storage/backup')
    const day = new Date().toISOString().slice(0, 10)
    download(`lurvan-backup-${day}.zip`, await backupZip(all), 'application/zip')
  }

  /** Opens the demo build, storing it first when it is not there; one that was deleted comes back as it was. */
  async function openDemo(): Promise<string | null> {
    const demo = await demoBuild()
    const id = await storing(async () => {
      await repository.restore(demo.id)
      return (await repository.load(demo.id)) ? demo.id : (await repository.add(demo, newId)).id
    })
    await refresh()
    return id
  }

  /** Puts the demo back as shipped, as a change that can be undone. */
  async function resetDemo(): Promise<void> {
    const demo = await demoBuild()
    await openDemo()
    await storing(() => repository.change(demo.id, 0, 'Reset the demo', () => castDraft(demo)))
    await refresh()
  }

  return {
    builds,
    deleted,
    isLoaded,
    failure,
    refused,
    refresh,
    create,
    duplicate,
    remove,
    restore,
    importFiles,
    exportBuild,
    backup,
    openDemo,
    resetDemo,
  }
})

/** Id of the demo build, the only one that can be reset. */
export const DEMO_ID = 'fen-tender'

const newId = () => crypto.randomUUID()

async function demoBuild(): Promise<Build> {
  const file = await import('~~/demo/fen-tender.lurvan.json')
  const parsed = parseBuild(structuredClone(file.default))
  if (!parsed.ok) throw new Error(`the demo build is damaged: ${parsed.problems[0]?.message ?? ''}`)
  return parsed.value
}
