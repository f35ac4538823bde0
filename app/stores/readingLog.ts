import type { Draft } from 'immer'
import { edited, editedItem } from '~~/core/mistakes/edits'
import type { Edit } from '~~/core/mistakes/mistake'
import type { Build } from '~~/core/project/build'
import type { Reading } from '~~/core/project/reading'
import type { ReadingChange } from '~~/core/project/readingChange'

/** Older entries than this go, so that a build stays a small file. */
const KEPT_ENTRIES = 2000

/** Writes down what is done to a reading, in the same change that does it. */
export function logChange(
  draft: Draft<Build>,
  entry: Pick<ReadingChange, 'what' | 'reading' | 'before' | 'after' | 'why' | 'by'>,
): void {
  const full = { ...entry, id: crypto.randomUUID(), at: new Date().toISOString() }
  // Absent fields stay absent: a file holds no nulls.
  const plain = JSON.parse(JSON.stringify(full)) as Draft<ReadingChange>
  draft.readingLog = [...(draft.readingLog ?? []), plain].slice(-KEPT_ENTRIES)
}

/** Makes the edits of a correction and writes each changed reading down with the reason. */
export function applyEdits(draft: Draft<Build>, edits: readonly Edit[], why: string, by?: string): void {
  const before = JSON.parse(JSON.stringify(draft)) as Build
  const after = edited(before, edits)
  for (const edit of edits) {
    if (edit.of === 'setup') {
      draft.setups = draft.setups.map((setup) => (setup.id === edit.id ? editedItem(setup, edit.set) : setup))
      continue
    }
    const find = (build: Build): Reading | undefined => build.readings.find((one) => one.id === edit.id)
    draft.readings = draft.readings.map((reading) =>
      reading.id === edit.id ? (editedItem(reading, edit.set) as typeof reading) : reading,
    )
    logChange(draft, {
      what: 'corrected',
      reading: edit.id,
      before: find(before),
      after: find(after),
      why,
      by,
    })
  }
}
