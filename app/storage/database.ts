import { Dexie, type EntityTable, type Table } from 'dexie'
import type { Patch } from 'immer'

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

/** A record of version 1, which held the whole build. */
interface StoredBuildV1 extends StoredBuild {
  build?: unknown
}

/** A record of version 1 as the record and the snapshot of version 2. */
export function toV2({ build, ...record }: StoredBuildV1): { record: StoredBuild; snapshot: StoredSnapshot } {
  return { record, snapshot: { buildId: record.id, rev: record.rev, build } }
}

/** The browser's database; only the files beside this one use it. */
export class LurvanDatabase extends Dexie {
  builds!: EntityTable<StoredBuild, 'id'>
  snapshots!: EntityTable<StoredSnapshot, 'buildId'>
  steps!: Table<StoredStep, [buildId: string, rev: number]>
  history!: Table<StoredChange, [buildId: string, seq: number]>

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
  }
}
