import { castDraft } from 'immer'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Verdict } from '~~/core/project/limit'
import type { Build } from '~~/core/project/build'
import type { Beginning } from '~~/core/layouts/beginBuild'
import type { NewBuild } from '~~/core/project/newBuild'
import { buildText, parseBuild } from '~~/core/project/parseBuild'
import { problemText } from '~~/core/project/problem'
import { newId } from '../storage/newId'
import type { PicturedBuild, ReadFiles, RefusedFile } from '../storage/backup'
import { forgetDrafts } from '../storage/drafts'
import { fileName } from '../storage/fileName'
import { download } from '../storage/download'
import { askToPersist, storageReason, useBuildRepository, usePhotoRepository } from '../storage/storage'
import type { BackupService } from '../workers/protocol'
import { workerClient } from '../workers/workerClient'

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
  const photos = usePhotoRepository()
  const builds = shallowRef<readonly ListedBuild[]>([])
  const deleted = shallowRef<readonly { id: string; name: string }[]>([])
  const isLoaded = ref(false)
  const failure = ref<string | null>(null)
  const refused = shallowRef<readonly RefusedFile[]>([])
  const isImporting = ref(false)
  const reader = workerClient<BackupService>(startWorker)

  let latest = 0

  async function refresh(): Promise<void> {
    const run = ++latest
    try {
      const summaries = await repository.summaries()
      const list = await Promise.all(
        summaries
          .filter((one) => one.deletedAt === null)
          .map((one) => listed(one.id, one.name, one.changedAt)),
      )
      // A newer look at the store has already answered.
      if (run !== latest) return
      builds.value = list
      deleted.value = summaries.filter((one) => one.deletedAt !== null).map(({ id, name }) => ({ id, name }))
      failure.value = null
    } catch (error) {
      if (run === latest) failure.value = storageReason(error)
    }
    isLoaded.value = true
  }

  /** One build of the list; whatever is wrong with it, the others are listed all the same. */
  async function listed(id: string, name: string, changedAt: string): Promise<ListedBuild> {
    const withFault = (fault: string): ListedBuild => ({
      id,
      name,
      vehicle: '',
      changedAt,
      verdict: 'unknown',
      sentence: '',
      fault,
    })
    // What the store itself does not give is a fault of the whole list; what a build does is its own.
    const result = await repository.load(id)
    try {
      if (!result?.ok)
        return withFault(result?.problems[0] ? problemText(result.problems[0]) : 'not stored any more')
      const { build } = result.value
      const { buildState } = await import('./buildState')
      return { id, name, vehicle: build.vehicle ?? '', changedAt, ...buildState(build), fault: null }
    } catch (error) {
      return withFault(error instanceof Error ? error.message : String(error))
    }
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

  async function create(
    wanted: Omit<NewBuild, 'id' | 'date'>,
    layout: Beginning = 'one-piece',
  ): Promise<string | null> {
    askToPersist()
    const date = new Date().toISOString().slice(0, 10)
    const { beginBuild } = await import('~~/core/layouts/beginBuild')
    const build = beginBuild({ ...wanted, id: newId(), date }, layout)
    const stored = await storing(() => repository.add(build, newId))
    await refresh()
    return stored?.id ?? null
  }

  async function duplicate(id: string): Promise<void> {
    await storing(async () => {
      const result = await repository.load(id)
      if (!result?.ok) throw new Error(result?.problems.map(problemText).join('; ') ?? 'not stored any more')
      const { build } = result.value
      const copy = await repository.add({ ...build, id: newId(), name: copyName(build.name) }, newId)
      await photos.copy(id, copy.id)
    })
    await refresh()
  }

  async function remove(id: string): Promise<void> {
    await storing(() => repository.remove(id))
    await refresh()
  }

  /** Throws a deleted build away for good. */
  async function purge(id: string): Promise<void> {
    await storing(async () => {
      await repository.purge(id)
      await photos.purge(id)
    })
    forgetDrafts(id)
    await refresh()
  }

  async function restore(id: string): Promise<void> {
    await storing(() => repository.restore(id))
    await refresh()
  }

  /** Takes in build files and backups; what cannot be read is listed, and nothing stored is overwritten. */
  async function importFiles(files: readonly File[]): Promise<number> {
    isImporting.value = true
    const faults: RefusedFile[] = []
    let count = 0
    for (const file of files) {
      const read = await readAway(file)
      faults.push(...read.refused)
      for (const one of read.builds) {
        const lost = await takeIn(file.name, one)
        faults.push(...lost.refused)
        if (lost.isStored) count++
      }
    }
    reader.end()
    refused.value = faults
    isImporting.value = false
    await refresh()
    return count
  }

  /** Reads one file in a thread of its own; whatever breaks there is a reason like any other. */
  async function readAway(file: File): Promise<ReadFiles> {
    try {
      return await reader.ask((service) => service.readBuildFile(file.name, file))
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error)
      return { builds: [], refused: [{ file: file.name, reasons: [`could not be read: ${reason}`] }] }
    }
  }

  /** A build is worth having without its pictures: what of them cannot be stored is told. */
  async function takeIn(
    file: string,
    { build, pictures }: PicturedBuild,
  ): Promise<{ readonly isStored: boolean; readonly refused: readonly RefusedFile[] }> {
    const notStored = (name: string) => ({ file: name, reasons: [`could not be stored: ${failure.value}`] })
    const stored = await storing(() => repository.add(build, newId))
    if (!stored) return { isStored: false, refused: [notStored(file)] }
    const lost: RefusedFile[] = []
    for (const { id, bytes } of pictures) {
      const put = await storing(async () => (await photos.put({ buildId: stored.id, id, bytes }), true))
      if (put === null) lost.push(notStored(`${file}, picture ${id}`))
    }
    return { isStored: true, refused: lost }
  }

  async function exportBuild(id: string): Promise<void> {
    await storing(async () => {
      const result = await repository.load(id)
      if (result?.ok) {
        const { build } = result.value
        const { backupZip, picturesOf } = await import('../storage/backup')
        const pictures = picturesOf(build, await photos.ofBuild(id))
        const name = fileName(build.name)
        // With photographs a build goes out as a zip: the file itself never holds them.
        if (pictures.length > 0)
          download(name.replace(/json$/, 'zip'), await backupZip([{ build, pictures }]), 'application/zip')
        else download(name, buildText(build), 'application/json')
      } else download(fileName(id), JSON.stringify(await repository.raw(id), null, 2), 'application/json')
    })
  }

  /** All builds that can be read, as one file; what cannot is listed with its reason. */
  async function backup(): Promise<void> {
    await storing(async () => {
      const all: PicturedBuild[] = []
      const faults: RefusedFile[] = []
      for (const { id, name } of builds.value) {
        const result = await repository.load(id)
        if (result?.ok) all.push({ build: result.value.build, pictures: await photos.ofBuild(id) })
        else
          faults.push({ file: name, reasons: result?.problems.map(problemText) ?? ['not stored any more'] })
      }
      const { backupZip } = await import('../storage/backup')
      const day = new Date().toISOString().slice(0, 10)
      download(`lurvan-backup-${day}.zip`, await backupZip(all), 'application/zip')
      refused.value = faults
    })
  }

  /** Opens the demo build, storing it first when it is not there; one that was deleted comes back as it was. */
  async function openDemo(which: DemoId = 'fen-tender'): Promise<string | null> {
    const id = await storing(async () => {
      const demo = await demoBuild(which)
      await repository.restore(demo.id)
      return (await repository.load(demo.id)) ? demo.id : (await repository.add(demo, newId)).id
    })
    await refresh()
    return id
  }

  /** Puts a demo back as shipped, as a change that can be undone. */
  async function resetDemo(which: DemoId): Promise<void> {
    await openDemo(which)
    await storing(async () => {
      const demo = await demoBuild(which)
      await repository.change(demo.id, 0, 'Reset the demo', () => castDraft(demo))
    })
    await refresh()
  }

  return {
    builds,
    deleted,
    isLoaded,
    failure,
    refused,
    isImporting,
    refresh,
    create,
    duplicate,
    remove,
    restore,
    purge,
    importFiles,
    exportBuild,
    backup,
    openDemo,
    resetDemo,
  }
})

const startWorker = () =>
  new Worker(new URL('../workers/backup.worker.ts', import.meta.url), { type: 'module' })

/** The demo builds by their ids, the only ones that can be reset; each is loaded when it is opened. */
const DEMOS = {
  'fen-tender': () => import('~~/demo/fen-tender.lurvan.json'),
  'sedge-wagon': () => import('~~/demo/sedge-wagon.lurvan.json'),
  'teasel-runabout': () => import('~~/demo/teasel-runabout.lurvan.json'),
  'sorrel-hauler': () => import('~~/demo/sorrel-hauler.lurvan.json'),
  'osier-van': () => import('~~/demo/osier-van.lurvan.json'),
  'tansy-wagon': () => import('~~/demo/tansy-wagon.lurvan.json'),
  'medlar-hatch': () => import('~~/demo/medlar-hatch.lurvan.json'),
  'burdock-cart': () => import('~~/demo/burdock-cart.lurvan.json'),
  'comfrey-buggy': () => import('~~/demo/comfrey-buggy.lurvan.json'),
} as const
export type DemoId = keyof typeof DEMOS
export const DEMO_IDS = Object.keys(DEMOS) as readonly DemoId[]

/** Names may hold 200 letters; a copy's name keeps its end. */
const COPY = ' (copy)'
const copyName = (name: string): string => `${name.slice(0, 200 - COPY.length)}${COPY}`

async function demoBuild(which: DemoId): Promise<Build> {
  const file = await DEMOS[which]()
  const parsed = parseBuild(structuredClone(file.default))
  if (!parsed.ok) throw new Error(`the demo build is damaged: ${parsed.problems[0]?.message ?? ''}`)
  return parsed.value
}
