import { castDraft } from 'immer'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Build } from '~~/core/file/build/build'
import type { Cover } from '~~/core/show/result/cover'
import type { Beginning } from '~~/core/file/edits/beginBuild'
import type { NewBuild } from '~~/core/file/edits/newBuild'
import { buildText, parseBuild } from '~~/core/file/open/parseBuild'
import { problemText } from '~~/core/file/parts/problem'
import { newId } from '../storage/newId'
import type { PicturedBuild, ReadFiles, RefusedFile } from '../storage/backup'
import { forgetDrafts } from '../storage/drafts'
import { fileName } from '../storage/fileName'
import { download } from '../storage/download'
import type { BuildSummary } from '../storage/buildRepository'
import type { StoredCover } from '../storage/database'
import { DEMO_IDS, DEMOS, type DemoId } from '../storage/demos'
import { today } from '../storage/today'
import {
  askToPersist,
  storageReason,
  useBuildRepository,
  useCoverRepository,
  usePhotoRepository,
} from '../storage/storage'
import type { LibraryService } from '../workers/protocol'
import { workerClient } from '../workers/workerClient'
import { reasonOf } from './reasonOf'

/** A build in the list. */
export interface ListedBuild {
  readonly id: string
  readonly name: string
  readonly changedAt: string
  /** What is shown of it; null while it is worked out for the first time. */
  readonly cover: Cover | null
  /** Of the build as it stands now, not of an earlier revision. */
  readonly isFresh: boolean
  /** Revision of the cover that is shown, and the program that worked it out. */
  readonly shown: string
}

/** Covers shown at a time as they are worked out: each time the whole list is drawn anew. */
const SHOWN_TOGETHER = 8

/** All builds in this browser, and what goes in and out of it. */
export const useLibrary = defineStore('library', () => {
  const repository = useBuildRepository()
  const photos = usePhotoRepository()
  const covers = useCoverRepository()
  const builds = shallowRef<readonly ListedBuild[]>([])
  const deleted = shallowRef<readonly { id: string; name: string }[]>([])
  const isLoaded = ref(false)
  const failure = ref<string | null>(null)
  const refused = shallowRef<readonly RefusedFile[]>([])
  const isImporting = ref(false)
  const reader = workerClient<LibraryService>(startWorker)

  let latest = 0
  let working: Promise<void> = Promise.resolve()

  async function refresh(): Promise<void> {
    const run = ++latest
    try {
      const [summaries, stored] = await Promise.all([repository.summaries(), covers.all()])
      // A newer look at the store has already answered.
      if (run !== latest) return
      const known = new Map(stored.map((one) => [one.buildId, one]))
      const before = new Map(builds.value.map((one) => [one.id, one]))
      builds.value = summaries.flatMap(({ id, name, changedAt, deletedAt, rev }): ListedBuild[] => {
        if (deletedAt !== null) return []
        const there = known.get(id)
        const shown = there ? `${there.rev}/${there.edition}` : ''
        const made = { id, name, changedAt, cover: there?.cover ?? null, isFresh: there?.rev === rev, shown }
        // What has not changed stays the same object: a long list is not drawn anew for one of it.
        const same = before.get(id)
        return same && same.changedAt === changedAt && same.name === name && same.shown === shown
          ? [same]
          : [made]
      })
      deleted.value = summaries.filter((one) => one.deletedAt !== null).map(({ id, name }) => ({ id, name }))
      failure.value = null
      isLoaded.value = true
      // A list without its covers is a list all the same.
      working = workCovers(run, summaries, known).catch(() => undefined)
    } catch (error) {
      if (run === latest) failure.value = storageReason(error)
    }
    isLoaded.value = true
  }

  /** Works out in the background what the list lacks, or an older program worked out, and keeps it. */
  async function workCovers(
    run: number,
    summaries: readonly BuildSummary[],
    known: ReadonlyMap<string, StoredCover>,
  ): Promise<void> {
    const listed = summaries.filter(({ deletedAt }) => deletedAt === null)
    if (listed.length === 0) return
    const edition = await reader.ask((service) => service.edition())
    const isStale = ({ id, rev }: BuildSummary) =>
      known.get(id)?.rev !== rev || known.get(id)?.edition !== edition
    let done: StoredCover[] = []
    const show = async () => {
      const made = new Map(done.map((one) => [one.buildId, one]))
      const kept = done
      done = []
      if (run !== latest) return
      builds.value = builds.value.map((one) => {
        const found = made.get(one.id)
        if (!found) return one
        return { ...one, cover: found.cover, isFresh: true, shown: `${found.rev}/${found.edition}` }
      })
      await covers.put(kept)
    }
    for (const { id, rev } of listed.filter(isStale)) {
      if (run !== latest) return
      const stored = await repository.raw(id)
      done.push({
        buildId: id,
        rev,
        edition,
        cover: await reader.ask((service) => service.cover(stored)),
      })
      if (done.length >= SHOWN_TOGETHER) await show()
    }
    await show()
  }

  /** Covers of the examples, as they are asked for. */
  const demoCovers = shallowRef<Partial<Record<DemoId, Cover>>>({})
  async function workDemoCovers(): Promise<void> {
    for (const demo of DEMO_IDS) {
      if (demoCovers.value[demo]) continue
      try {
        const cover = await reader.ask((service) => service.demoCover(demo))
        demoCovers.value = { ...demoCovers.value, [demo]: cover }
      } catch {
        // An example without its picture can still be opened.
        return
      }
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
    const date = today()
    const { beginBuild } = await import('~~/core/file/edits/beginBuild')
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
    // Gone from sight at once; what could not be stored comes back with the list.
    builds.value = builds.value.filter((one) => one.id !== id)
    await storing(() => repository.remove(id))
    await refresh()
  }

  /** Throws a deleted build away for good. */
  async function purge(id: string): Promise<void> {
    await storing(async () => {
      await repository.purge(id)
      await photos.purge(id)
      await covers.remove(id)
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
      const reason = reasonOf(error)
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
      const day = today()
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
    demoCovers,
    workDemoCovers,
    deleted,
    isLoaded,
    failure,
    refused,
    isImporting,
    refresh,
    /** Waits until every cover of the list is worked out. */
    covered: () => working,
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
  new Worker(new URL('../workers/library.worker.ts', import.meta.url), { type: 'module' })

/** Names may hold 200 letters; a copy's name keeps its end. */
const COPY = ' (copy)'
const copyName = (name: string): string => `${name.slice(0, 200 - COPY.length)}${COPY}`

async function demoBuild(which: DemoId): Promise<Build> {
  const file = await DEMOS[which]()
  const parsed = parseBuild(structuredClone(file.default))
  if (!parsed.ok) throw new Error(`the demo build is damaged: ${parsed.problems[0]?.message ?? ''}`)
  return parsed.value
}
