import { Dexie, type EntityTable, type Table } from 'dexie'
import type { Patch } from 'immer'

/** A build as stored. The build itself is of unknown shape until `parseBuild` has read it. */
export interface StoredBuild {
  id: string
  name: string
  /** Counts every change from any tab; a writer that knows another count looks again before it writes. */
  rev: number
  /** Sequence number of the last change in force; later ones in the history can be redone. */
  cursor: number
  changedAt: string
  deletedAt: string | null
  build: unknown
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

/** The browser's database; only the files beside this one use it. */
export class LurvanDatabase extends Dexie {
  builds!: EntityTable<StoredBuild, 'id'>
  history!: Table<StoredChange, [buildId: string, seq: number]>

  constructor(name = 'lurvan') {
    super(name)
    this.version(1).stores({ builds: 'id, changedAt', history: '[buildId+seq], buildId' })
  }
}
