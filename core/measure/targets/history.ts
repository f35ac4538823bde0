import { isGiven } from '../../file/build/readingKinds'
import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import type { ReadingChange } from '../../file/build/readingChange'
import { isSameQuantity } from './target'

/** One event in the life of a quantity: read, given, or something done to a reading of it. */
export interface HistoryEntry {
  /** ISO 8601; empty where nobody wrote it down. */
  readonly at: string
  readonly by: string
  readonly what: 'read' | 'given' | 'copied' | ReadingChange['what']
  readonly setup: string
  readonly tool: string
  /** The reading before and after; the one is absent for a new reading, the other for one taken out. */
  readonly before: Reading | null
  readonly after: Reading | null
  readonly why: string
  /** The reading that counts now. */
  readonly inForce: boolean
}

/**
 * Everything that happened to a quantity: all its readings in any setup, and what was done to them, oldest first.
 *
 * @param reading - any reading of the quantity
 */
export function readingHistory(build: Build, reading: Reading): HistoryEntry[] {
  const readings = build.readings.filter((one) => isSameQuantity(one, reading))
  const changes = (build.readingLog ?? []).filter((change) => {
    const about = change.after ?? change.before
    return about ? isSameQuantity(about, reading) : false
  })
  const last = readings.filter((one) => !isGiven(one)).at(-1) ?? readings.at(-1)
  // A reading is shown as it was taken: before the first thing that was done to it.
  const asTaken = (one: Reading): Reading =>
    changes.find((change) => change.reading === one.id && change.before)?.before ?? one
  const removed = changes.flatMap((change) =>
    change.what === 'removed' && change.before && !readings.some(({ id }) => id === change.reading)
      ? [change.before]
      : [],
  )
  const entries = [
    ...[...readings, ...removed].map((one) => takenEntry(build, asTaken(one), one.id === last?.id)),
    ...changes.map((change) => changeEntry(build, change)),
  ]
  return entries.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
}

function takenEntry(build: Build, reading: Reading, inForce: boolean): HistoryEntry {
  const isCopy = 'copiedFrom' in reading && reading.copiedFrom !== undefined
  return {
    at: reading.takenAt ?? '',
    by: reading.takenBy ?? '',
    what: isGiven(reading) ? 'given' : isCopy ? 'copied' : 'read',
    ...whereWith(build, reading),
    before: null,
    after: reading,
    why: ('copyReason' in reading && reading.copyReason) || reading.note || '',
    inForce,
  }
}

function changeEntry(build: Build, change: ReadingChange): HistoryEntry {
  const about = change.after ?? change.before
  return {
    at: change.at,
    by: change.by ?? '',
    what: change.what,
    ...(about ? whereWith(build, about) : { setup: '', tool: '' }),
    before: change.before ?? null,
    after: change.after ?? null,
    why: change.why ?? '',
    inForce: false,
  }
}

function whereWith(build: Build, reading: Reading): { readonly setup: string; readonly tool: string } {
  const nameIn = (items: readonly { readonly id: Id; readonly name: string }[], id: Id | undefined) =>
    items.find((item) => item.id === id)?.name ?? ''
  return 'setup' in reading
    ? { setup: nameIn(build.setups, reading.setup), tool: nameIn(build.tools, reading.tool) }
    : { setup: '', tool: ('source' in reading && reading.source) || '' }
}
