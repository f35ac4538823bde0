import { liveQuery } from 'dexie'
import { applyPatches, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer'
import type { Build } from '~~/core/project/build'
import { parseBuild } from '~~/core/project/parseBuild'
import type { ReadResult } from '~~/core/project/problem'
import type { LurvanDatabase, StoredBuild } from './database'

enablePatches()

/** Steps kept for undo; the promise is 200. */
export const KEPT_CHANGES = 500

/** What the list of builds shows without reading each one. */
export type BuildSummary = Pick<StoredBuild, 'id' | 'name' | 'changedAt' | 'deletedAt' | 'rev'>

/** A build as loaded, with what can be undone and redone. */
export interface LoadedBuild {
  readonly build: Build
  readonly rev: number
  readonly undoLabel: string | null
  readonly redoLabel: string | null
}

/** A change as a function, so that it can be made again on a build another tab has changed meanwhile. */
export type Recipe = (draft: Draft<Build>) => void | Draft<Build>

/** A saved change; `merged` when another tab had changed the build since it was loaded. */
export interface SavedChange extends LoadedBuild {
  readonly merged: boolean
}

const now = () => new Date().toISOString()

/** Everything that is stored of builds; each call is one transaction. */
export function buildRepository(db: LurvanDatabase) {
  /** The last build this tab has read or written: the same revision need not be proved sound twice. */
  let proven: { readonly id: string; readonly rev: number; readonly build: Build } | null = null

  async function loaded(record: StoredBuild): Promise<ReadResult<LoadedBuild>> {
    const isProven = proven?.id === record.id && proven.rev === record.rev
    const parsed = isProven && proven ? { ok: true as const, value: proven.build } : parseBuild(record.build)
    if (!parsed.ok) return parsed
    proven = { id: record.id, rev: record.rev, build: parsed.value }
    const [undo, redo] = await Promise.all([
      db.history.get([record.id, record.cursor]),
      db.history.get([record.id, record.cursor + 1]),
    ])
    return {
      ok: true,
      value: {
        build: parsed.value,
        rev: record.rev,
        undoLabel: undo?.label ?? null,
        redoLabel: redo?.label ?? null,
      },
    }
  }

  /** A transaction that breaks off has stored nothing, so what was taken for proven in it may not be kept. */
  async function whole<T>(work: PromiseLike<T>): Promise<T> {
    try {
      return await work
    } catch (error) {
      proven = null
      throw error
    }
  }

  async function load(id: string): Promise<ReadResult<LoadedBuild> | null> {
    const record = await db.builds.get(id)
    return record && record.deletedAt === null ? loaded(record) : null
  }

  async function requireRecord(id: string): Promise<StoredBuild> {
    const record = await db.builds.get(id)
    if (!record) throw new Error(`build ${id} is no longer stored`)
    return record
  }

  async function requireLoaded(record: StoredBuild): Promise<LoadedBuild> {
    const result = await loaded(record)
    if (!result.ok) throw new Error(result.problems.map((one) => `${one.path}: ${one.message}`).join('; '))
    return result.value
  }

  async function put(record: StoredBuild, build: Build, cursor: number): Promise<StoredBuild> {
    const next = { ...record, name: build.name, build, rev: record.rev + 1, cursor, changedAt: now() }
    await db.builds.put(next)
    proven = { id: next.id, rev: next.rev, build }
    return next
  }

  return {
    load,

    /** The stored form of a build that cannot be read, so that it can still be exported. */
    raw: async (id: string): Promise<unknown> => (await db.builds.get(id))?.build ?? null,

    summaries: async (): Promise<BuildSummary[]> => {
      const records = await db.builds.orderBy('changedAt').reverse().toArray()
      return records.map(({ id, name, changedAt, deletedAt, rev }) => ({
        id,
        name,
        changedAt,
        deletedAt,
        rev,
      }))
    },

    /** Calls back with the revision whenever a build changes in any tab; returns how to stop. */
    watch: (id: string, onRev: (rev: number | null) => void): (() => void) => {
      const subscription = liveQuery(() => db.builds.get(id)).subscribe({
        next: (record) => onRev(record && record.deletedAt === null ? record.rev : null),
        error: () => undefined,
      })
      return () => subscription.unsubscribe()
    },

    /** Stores a build under its id, or under a new one when that is taken; an import never overwrites. */
    add: (build: Build, newId: () => string): Promise<Build> =>
      db.transaction('rw', db.builds, async () => {
        const taken = await db.builds.get(build.id)
        const stored = taken ? { ...build, id: newId() } : build
        await db.builds.add({
          id: stored.id,
          name: stored.name,
          rev: 1,
          cursor: 0,
          changedAt: now(),
          deletedAt: null,
          build: stored,
        })
        return stored
      }),

    /** Makes a change on the newest stored state and records how to undo it. */
    change: (id: string, knownRev: number, label: string, recipe: Recipe): Promise<SavedChange> =>
      whole(
        db.transaction('rw', db.builds, db.history, async () => {
          const record = await requireRecord(id)
          const before = (await requireLoaded(record)).build
          const [after, patches, inverse] = produceWithPatches(before, recipe)
          const merged = record.rev !== knownRev
          if (patches.length === 0) return { ...(await requireLoaded(record)), merged }
          const seq = record.cursor + 1
          await db.history.where('[buildId+seq]').between([id, seq], [id, Infinity]).delete()
          await db.history
            .where('[buildId+seq]')
            .between([id, -Infinity], [id, seq - KEPT_CHANGES])
            .delete()
          await db.history.add({ buildId: id, seq, label, at: now(), patches, inverse })
          return { ...(await requireLoaded(await put(record, after, seq))), merged }
        }),
      ),

    undo: (id: string): Promise<LoadedBuild | null> => step(id, -1),
    redo: (id: string): Promise<LoadedBuild | null> => step(id, 1),

    remove: (id: string) => db.builds.update(id, { deletedAt: now() }),
    restore: (id: string) => db.builds.update(id, { deletedAt: null }),
  }

  async function step(id: string, sense: 1 | -1): Promise<LoadedBuild | null> {
    return whole(
      db.transaction('rw', db.builds, db.history, async () => {
        const record = await requireRecord(id)
        const seq = sense < 0 ? record.cursor : record.cursor + 1
        const change = await db.history.get([id, seq])
        if (!change) return null
        const { build } = await requireLoaded(record)
        const patches: Patch[] = sense < 0 ? change.inverse : change.patches
        return requireLoaded(await put(record, applyPatches(build, patches), record.cursor + sense))
      }),
    )
  }
}

export type BuildRepository = ReturnType<typeof buildRepository>
