import { Dexie, type EntityTable, type Table } from 'dexie'
import { applyPatches, enablePatches, type Patch } from 'immer'
import type { Cover } from '~~/core/show/result/cover'
import { migrate } from '~~/core/file/open/migrate'
import { patchFromVersion1 } from './patchFromVersion1'

enablePatches()

/** What is kept of a build beside the build itself; small, so that an edit writes little. */
export interface StoredBuild {
  id: string
  name: string
  /** Counts every change from any tab; a writer that knows another count looks again before it writes. */
  rev: number
  /** Sequence number of the last change in force; later ones in the history can be redone. */
  cursor: number
  changedAt: string
  deletedAt: string | null
}

/** A build as it stood at one revision, of unknown shape until `parseBuild` has read it. */
export interface StoredSnapshot {
  buildId: string
  rev: number
  build: unknown
}

/** What one revision changed; a build is its snapshot and the steps after it. */
export interface StoredStep {
  buildId: string
  rev: number
  patches: Patch[]
}

/** One change of a build, both ways. */
export interface StoredChange {
  buildId: string
  seq: number
  label: string
  at: string
  patches: Patch[]
  inverse: Patch[]
}

/** A part of the builder's own as it is stored: of unknown shape until it has been read. */
export interface StoredPart {
  id: string
  part: unknown
}

/** A picture of a build, scaled down. */
export interface StoredPhoto {
  buildId: string
  id: string
  bytes: Uint8Array
}

/** What the list shows of a build, as it stood at a revision, worked out by an edition of the program. */
export interface StoredCover {
  buildId: string
  rev: number
  edition: string
  cover: Cover
}

/** A record of version 1, which held the whole build. */
interface StoredBuildV1 extends StoredBuild {
  build?: unknown
}

/** A record of version 1 as the record and the snapshot of version 2. */
export function toV2({ build, ...record }: StoredBuildV1): { record: StoredBuild; snapshot: StoredSnapshot } {
  return { record, snapshot: { buildId: record.id, rev: record.rev, build } }
}

/**
 * A stored build of file version 1 and its undo history as ones of version 2: a step recorded on the one cannot be taken back
 * on the other.
 *
 * @returns null for a build that is no version 1, or whose steps do not fit it; it stays as it is
 */
export function toBuildV2(
  { buildId, rev, build }: StoredSnapshot,
  steps: readonly StoredStep[],
  changes: readonly StoredChange[],
): { readonly snapshot: StoredSnapshot; readonly changes: StoredChange[] } | null {
  try {
    const after = steps.filter((step) => step.rev > rev)
    const current = after.reduce<unknown>((now, { patches }) => applyPatches(now as object, patches), build)
    if ((current as { version?: unknown } | null)?.version !== 1) return null
    const migrated = migrate(current)
    if (!migrated.ok) return null
    return {
      snapshot: { buildId, rev: after.at(-1)?.rev ?? rev, build: migrated.value.build },
      changes: changes.map((change) => ({
        ...change,
        patches: change.patches.map(patchFromVersion1),
        inverse: change.inverse.map(patchFromVersion1),
      })),
    }
  } catch {
    return null
  }
}

/** The browser's database; only the files beside this one use it. */
export class LurvanDatabase extends Dexie {
  builds!: EntityTable<StoredBuild, 'id'>
  snapshots!: EntityTable<StoredSnapshot, 'buildId'>
  steps!: Table<StoredStep, [buildId: string, rev: number]>
  history!: Table<StoredChange, [buildId: string, seq: number]>
  parts!: Table<StoredPart, string>
  photos!: Table<StoredPhoto, [buildId: string, id: string]>
  covers!: Table<StoredCover, string>

  constructor(name = 'lurvan') {
    super(name)
    this.version(1).stores({ builds: 'id, changedAt', history: '[buildId+seq], buildId' })
    this.version(2)
      .stores({
        builds: 'id, changedAt',
        snapshots: 'buildId',
        steps: '[buildId+rev], buildId',
        history: '[buildId+seq], buildId',
      })
      .upgrade(async (tx) => {
        const records = await tx.table<StoredBuildV1>('builds').toArray()
        for (const old of records) {
          const { record, snapshot } = toV2(old)
          await tx.table('snapshots').put(snapshot)
          await tx.table('builds').put(record)
        }
      })
    this.version(3)
      .stores({})
      .upgrade(async (tx) => {
        const snapshots = await tx.table<StoredSnapshot>('snapshots').toArray()
        for (const snapshot of snapshots) {
          const { buildId } = snapshot
          const steps = await tx.table<StoredStep>('steps').where('buildId').equals(buildId).sortBy('rev')
          const changes = await tx.table<StoredChange>('history').where('buildId').equals(buildId).toArray()
          const moved = toBuildV2(snapshot, steps, changes)
          if (!moved) continue
          await tx.table('snapshots').put(moved.snapshot)
          await tx.table('steps').where('buildId').equals(buildId).delete()
          await tx.table('history').bulkPut(moved.changes)
        }
      })
    this.version(4).stores({ parts: 'id' })
    this.version(5).stores({ photos: '[buildId+id], buildId' })
    this.version(6).stores({ covers: 'buildId' })
  }
}
