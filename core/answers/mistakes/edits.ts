import type { Build } from '../../file/build/build'
import type { Setup } from '../../file/build/setup'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import type { Edit } from './mistake'

/** A build with edits made, for looking at what they would do. */
export function edited(build: Build, edits: readonly Edit[]): Build {
  const change = <T extends { readonly id: Id }>(items: readonly T[], of: Edit['of']): T[] =>
    items.map((item) =>
      edits
        .filter((edit) => edit.of === of && edit.id === item.id)
        .reduce((one, { set }) => editedItem(one, set), item),
    )
  return {
    ...build,
    readings: change<Reading>(build.readings, 'reading'),
    setups: change<Setup>(build.setups, 'setup'),
  }
}

/** An item with fields set; those set to undefined are gone. */
export function editedItem<T extends object>(item: T, set: Edit['set']): T {
  const after: Record<string, unknown> = { ...item, ...set }
  for (const [key, value] of Object.entries(set)) if (value === undefined) Reflect.deleteProperty(after, key)
  // Edits only set fields that the reading's own kind has; the file's schema proves it again when it is stored.
  return after as T
}

const OTHER: Readonly<Record<string, string>> = {
  front: 'rear',
  rear: 'front',
  left: 'right',
  right: 'left',
  rearward: 'forward',
  forward: 'rearward',
  above: 'below',
  below: 'above',
}

/** The field in which a reading says which way, and the other word; null when it says none. */
export function turnedRound(reading: Reading): { readonly key: string; readonly word: string } | null {
  const words = reading as { low?: string; lean?: string; side?: string; way?: string }
  for (const key of ['low', 'lean', 'side', 'way'] as const) {
    const word = OTHER[words[key] ?? '']
    if (word) return { key, word }
  }
  return null
}

/** The edit that turns a reading's word round. */
export function turnRound(reading: Reading): Edit | null {
  const turned = turnedRound(reading)
  return turned && { of: 'reading', id: reading.id, set: { [turned.key]: turned.word } }
}
