import { applyPatches, enablePatches, type Patch } from 'immer'
import type { Build } from '~~/core/file/build/build'
import { parseBuild } from '~~/core/file/open/parseBuild'
import type { ReadResult } from '~~/core/file/parts/problem'
import { repaired } from '~~/core/file/open/repair'
import type { LurvanDatabase, StoredBuild } from './database'

enablePatches()

/** Steps after which the whole build is written again. */
const STEPS_KEPT = 40

/** A build that this tab has read or written, proved sound: later steps of any tab are applied to it. */
interface Proven {
  readonly id: string
  readonly rev: number
  readonly build: Build
}

/** Reads and writes builds as a snapshot and the steps after it, inside the caller's transaction. */
export function storedBuilds(db: LurvanDatabase) {
  let proven: Proven | null = null

  const stepsAfter = (id: string, rev: number) =>
    db.steps.where('[buildId+rev]').between([id, rev], [id, Infinity], false, true).toArray()

  /** The build of a record as unproved data: what `parseBuild` has to read. */
  async function raw(id: string): Promise<unknown> {
    const snapshot = await db.snapshots.get(id)
    if (!snapshot) return null
    const steps = await stepsAfter(id, snapshot.rev)
    return applied(snapshot.build, steps)
  }

  /** Every step was proved before it was stored, so only what this tab never read is looked at whole. */
  async function read(record: StoredBuild): Promise<ReadResult<Build>> {
    if (proven?.id === record.id && proven.rev === record.rev) return { ok: true, value: proven.build }
    if (proven?.id === record.id && proven.rev < record.rev) {
      const steps = await stepsAfter(record.id, proven.rev)
      if (steps.length === record.rev - proven.rev)
        return remember(record, applied(proven.build, steps) as Build)
    }
    const stored = await raw(record.id)
    const parsed = parseBuild(stored)
    const result = parsed.ok ? parsed : parseBuild(repaired(stored))
    // What cannot be read even so is told of as it is stored.
    if (!result.ok) return parsed
    return remember(record, result.value)
  }

  function remember({ id, rev }: StoredBuild, build: Build): ReadResult<Build> {
    proven = { id, rev, build }
    return { ok: true, value: build }
  }

  /** Writes one more step, and the whole build now and then. */
  async function write(record: StoredBuild, build: Build, patches: Patch[]): Promise<void> {
    const steps = await db.steps.where('buildId').equals(record.id).count()
    if (steps >= STEPS_KEPT) await writeWhole(record, build)
    else await db.steps.put({ buildId: record.id, rev: record.rev, patches })
    remember(record, build)
  }

  /** Writes the whole build, which stands for all steps up to it. */
  async function writeWhole({ id, rev }: StoredBuild, build: Build): Promise<void> {
    await db.snapshots.put({ buildId: id, rev, build })
    await db.steps.where('[buildId+rev]').between([id, -Infinity], [id, rev], true, true).delete()
  }

  return {
    raw,
    read,
    write,
    writeWhole,
    /** A transaction that broke off has stored nothing, so what was taken for proven in it may not be kept. */
    forget: () => void (proven = null),
  }
}

const applied = (build: unknown, steps: readonly { readonly patches: Patch[] }[]): unknown =>
  steps.reduce<unknown>((current, { patches }) => applyPatches(current as object, patches), build)
