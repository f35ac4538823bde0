import { liveQuery } from 'dexie'
import { applyPatches, produceWithPatches, type Draft, type Patch } from 'immer'
import type { Build } from '~~/core/file/build/build'
import { problemText, type FileProblem, type ReadResult } from '~~/core/file/parts/problem'
import { parseBuild } from '~~/core/file/open/parseBuild'
import { proveChange } from '~~/core/file/open/proveChange'
import type { LurvanDatabase, StoredBuild } from './database'
import { storedBuilds } from './storedBuild'

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

/**
 * A change as a function, so that it can be made again on a build another tab has changed meanwhile. It runs more than once,
 * so ids and times come from outside.
 */
export type Recipe = (draft: Draft<Build>) => void | Draft<Build>

/** A saved change; `merged` when another tab had changed the build since it was loaded. */
export interface SavedChange extends LoadedBuild {
  readonly merged: boolean
}

/** A change to make, with the name by which it is undone. */
export interface WantedChange {
  readonly label: string
  readonly recipe: Recipe
}

/** Several changes saved in one go, but for those that could not be made or kept. */
export interface SavedChanges extends SavedChange {
  readonly refused: readonly { readonly label: string; readonly error: unknown }[]
}

/** A change that would leave a build that cannot be read again. It is not stored. */
export class RefusedChange extends Error {
  constructor(readonly problems: readonly FileProblem[]) {
    super(problems.map(problemText).join('; '))
    this.name = 'RefusedChange'
  }
}

/** A change that could not be made on what is stored now: its recipe threw. */
export class BrokenRecipe extends Error {
  constructor(cause: unknown) {
    super(cause instanceof Error ? cause.message : String(cause))
    this.name = 'BrokenRecipe'
  }
}

/** A build is no longer there: another tab has thrown it away. */
export class BuildGone extends Error {
  constructor() {
    super('the build is no longer stored')
    this.name = 'BuildGone'
  }
}

const now = () => new Date().toISOString()

function madeChange(before: Build, recipe: Recipe): readonly [Build, Patch[], Patch[]] {
  try {
    return produceWithPatches(before, recipe)
  } catch (error) {
    throw new BrokenRecipe(error)
  }
}

/** A change made and proved, or why it cannot be kept. */
function provedChange(before: Build, recipe: Recipe) {
  try {
    const [after, patches, inverse] = madeChange(before, recipe)
    const proved = proveChange(before, after)
    return proved.ok ? { after, patches, inverse } : { error: new RefusedChange(proved.problems) }
  } catch (error) {
    return { error }
  }
}

/** Everything that is stored of builds; each call is one transaction. */
export function buildRepository(db: LurvanDatabase) {
  const stored = storedBuilds(db)
  const tables = [db.builds, db.snapshots, db.steps, db.history] as const

  async function loaded(record: StoredBuild): Promise<ReadResult<LoadedBuild>> {
    const read = await stored.read(record)
    if (!read.ok) return read
    const [undo, redo] = await Promise.all([
      db.history.get([record.id, record.cursor]),
      db.history.get([record.id, record.cursor + 1]),
    ])
    const labels = { undoLabel: undo?.label ?? null, redoLabel: redo?.label ?? null }
    return { ok: true, value: { build: read.value, rev: record.rev, ...labels } }
  }

  async function whole<T>(work: PromiseLike<T>): Promise<T> {
    try {
      return await work
    } catch (error) {
      stored.forget()
      throw error
    }
  }

  const load = (id: string): Promise<ReadResult<LoadedBuild> | null> =>
    db.transaction('r', [...tables], async () => {
      const record = await db.builds.get(id)
      return record && record.deletedAt === null ? loaded(record) : null
    })

  async function requireRecord(id: string): Promise<StoredBuild> {
    const record = await db.builds.get(id)
    if (!record) throw new BuildGone()
    return record
  }

  async function requireLoaded(record: StoredBuild): Promise<LoadedBuild> {
    const result = await loaded(record)
    if (!result.ok) throw new RefusedChange(result.problems)
    return result.value
  }

  async function put(
    record: StoredBuild,
    build: Build,
    cursor: number,
    patches: Patch[],
  ): Promise<StoredBuild> {
    const next = { ...record, name: build.name, rev: record.rev + 1, cursor, changedAt: now() }
    await db.builds.put(next)
    await stored.write(next, build, patches)
    return next
  }

  async function recordChange(id: string, seq: number, label: string, patches: Patch[], inverse: Patch[]) {
    const key = db.history.where('[buildId+seq]')
    await key.between([id, seq], [id, Infinity]).delete()
    if (seq > KEPT_CHANGES)
      await db.history
        .where('[buildId+seq]')
        .between([id, -Infinity], [id, seq - KEPT_CHANGES])
        .delete()
    await db.history.add({ buildId: id, seq, label, at: now(), patches, inverse })
  }

  return {
    load,

    /** The stored form of a build that cannot be read, so that it can still be exported. */
    raw: (id: string): Promise<unknown> => stored.raw(id),

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
    watch: (id: string, onRev: (rev: number | 'deleted' | 'gone') => void): (() => void) => {
      const subscription = liveQuery(() => db.builds.get(id)).subscribe({
        next: (record) => onRev(!record ? 'gone' : record.deletedAt === null ? record.rev : 'deleted'),
        error: () => undefined,
      })
      return () => subscription.unsubscribe()
    },

    /** Stores a sound build under its id, or under a new one when that is taken; an import never overwrites. */
    add: (build: Build, newId: () => string): Promise<Build> =>
      db.transaction('rw', [...tables], async () => {
        const taken = await db.builds.get(build.id)
        const proved = parseBuild(taken ? { ...build, id: newId() } : build)
        if (!proved.ok) throw new RefusedChange(proved.problems)
        const added = proved.value
        const record = {
          id: added.id,
          name: added.name,
          rev: 1,
          cursor: 0,
          changedAt: now(),
          deletedAt: null,
        }
        await db.builds.add(record)
        await stored.writeWhole(record, added)
        return added
      }),

    changeAll,

    /**
     * Makes a change on the newest stored state and records how to undo it.
     *
     * @throws RefusedChange when the result could not be read again; nothing is stored then
     */
    change: async (id: string, knownRev: number, label: string, recipe: Recipe): Promise<SavedChange> => {
      const { refused, ...saved } = await changeAll(id, knownRev, [{ label, recipe }])
      if (refused[0]) throw refused[0].error
      return saved
    },

    undo: (id: string): Promise<LoadedBuild | null> => step(id, -1),
    redo: (id: string): Promise<LoadedBuild | null> => step(id, 1),

    remove: (id: string) => db.builds.update(id, { deletedAt: now() }),
    restore: (id: string) => db.builds.update(id, { deletedAt: null }),

    /** Throws a deleted build away for good, with all that was kept of it. */
    purge: (id: string) =>
      db.transaction('rw', [...tables], async () => {
        await db.builds.delete(id)
        await db.snapshots.delete(id)
        await db.steps.where('buildId').equals(id).delete()
        await db.history.where('buildId').equals(id).delete()
      }),
  }

  /**
   * Makes changes on the newest stored state, each with its own step of undo, in one transaction: two busy tabs that took
   * turns at each single one would run ever farther behind. One that cannot be made or kept holds up no other.
   */
  function changeAll(id: string, knownRev: number, changes: readonly WantedChange[]): Promise<SavedChanges> {
    return whole(
      db.transaction('rw', [...tables], async () => {
        let record = await requireRecord(id)
        let { build } = await requireLoaded(record)
        const merged = record.rev !== knownRev
        const refused: { label: string; error: unknown }[] = []
        let done: string | null = null
        for (const { label, recipe } of changes) {
          const made = provedChange(build, recipe)
          if ('error' in made) refused.push({ label, error: made.error })
          else if (made.patches.length > 0) {
            const seq = record.cursor + 1
            await recordChange(id, seq, label, made.patches, made.inverse)
            record = await put(record, made.after, seq, made.patches)
            build = made.after
            done = label
          }
        }
        // What was just written need not be read: the change is what can be undone, and nothing can be redone after it.
        const after =
          done === null
            ? await requireLoaded(record)
            : { build, rev: record.rev, undoLabel: done, redoLabel: null }
        return { ...after, merged, refused }
      }),
    )
  }

  async function step(id: string, sense: 1 | -1): Promise<LoadedBuild | null> {
    return whole(
      db.transaction('rw', [...tables], async () => {
        const record = await requireRecord(id)
        const seq = sense < 0 ? record.cursor : record.cursor + 1
        const change = await db.history.get([id, seq])
        if (!change) return null
        const { build } = await requireLoaded(record)
        const patches: Patch[] = sense < 0 ? change.inverse : change.patches
        return requireLoaded(await put(record, applyPatches(build, patches), record.cursor + sense, patches))
      }),
    )
  }
}

export type BuildRepository = ReturnType<typeof buildRepository>
