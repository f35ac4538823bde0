import type { Draft } from 'immer'
import { editedItem } from '~~/core/answers/mistakes/edits'
import type { Edit } from '~~/core/answers/mistakes/mistake'
import type { Build } from '~~/core/file/build/build'
import type { Reading } from '~~/core/file/build/reading'
import type { ReadingChange } from '~~/core/file/build/readingChange'
import { newId } from '../storage/newId'

/** Older entries than this go, so that a build stays a small file. */
const KEPT_ENTRIES = 2000

/** When and under which ids changes are written down: made once, for the recipe that uses it may run again. */
export interface LogStamp {
  readonly at: string
  readonly ids: readonly string[]
  readonly by?: string
}

/** A stamp for as many entries as a change will write. */
export const newStamp = (by: string | undefined, count = 1): LogStamp => ({
  at: new Date().toISOString(),
  ids: Array.from({ length: count }, newId),
  ...(by && { by }),
})

/** Writes down what is done to a reading, in the same change that does it. */
export function logChange(
  draft: Draft<Build>,
  entry: Pick<ReadingChange, 'what' | 'reading' | 'before' | 'after' | 'why'>,
  { at, ids, by }: LogStamp,
  index = 0,
): void {
  // Absent fields stay absent: a file holds no nulls.
  const plain = JSON.parse(JSON.stringify({ ...entry, id: ids[index], at, by })) as Draft<ReadingChange>
  draft.readingLog ??= []
  draft.readingLog.push(plain)
  // In place, so that a long log is not stored anew with each entry.
  if (draft.readingLog.length > KEPT_ENTRIES)
    draft.readingLog.splice(0, draft.readingLog.length - KEPT_ENTRIES)
}

/** Makes the edits of a correction and writes each changed reading down with the reason; the stamp has an id for each edit. */
export function applyEdits(draft: Draft<Build>, edits: readonly Edit[], why: string, stamp: LogStamp): void {
  edits.forEach((edit, index) => {
    if (edit.of === 'setup') {
      const at = draft.setups.findIndex((setup) => setup.id === edit.id)
      const setup = draft.setups[at]
      if (setup) draft.setups[at] = editedItem(plainCopy(setup), edit.set)
      return
    }
    const at = draft.readings.findIndex((reading) => reading.id === edit.id)
    const reading = draft.readings[at]
    if (!reading) return
    const before = plainCopy(reading) as Reading
    const after = editedItem(before, edit.set)
    draft.readings[at] = plainCopy(after) as typeof reading
    logChange(draft, { what: 'corrected', reading: edit.id, before, after, why }, stamp, index)
  })
}

/** A copy that no draft holds on to. */
const plainCopy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
