import { toValue, watch, ref, type MaybeRefOrGetter, type Ref } from 'vue'
import { draftKey } from '~/storage/drafts'
import { keepNote, keptNote } from '~/storage/notes'
import { draftLike, EMPTY_DRAFT, type ReadingDraft } from '~/stores/readingDraft'
import type { TourStep } from '~~/core/measure/tour/tour'

/**
 * The reading being typed at a step. It outlives a reload or a lost page, and is forgotten once the reading is kept.
 */
export function useReadingDraft(
  buildId: MaybeRefOrGetter<string>,
  step: MaybeRefOrGetter<TourStep | null>,
  fresh: (step: TourStep) => ReadingDraft = (one) => draftLike(one.reading),
): { draft: Ref<ReadingDraft>; set: (part: Partial<ReadingDraft>) => void; forget: () => void } {
  const draft = ref<ReadingDraft>(EMPTY_DRAFT)

  watch(
    () => [toValue(buildId), toValue(step)?.id] as const,
    ([build, id]) => {
      const current = toValue(step)
      draft.value = id && current ? (stored(draftKey(build, id)) ?? fresh(current)) : EMPTY_DRAFT
    },
    { immediate: true },
  )

  function set(part: Partial<ReadingDraft>): void {
    draft.value = { ...draft.value, ...part }
    const current = toValue(step)
    const key = current && draftKey(toValue(buildId), current.id)
    // With nothing typed there is nothing to come back to.
    if (key) keepNote(key, draft.value.text === '' ? null : draft.value)
  }

  function forget(): void {
    const current = toValue(step)
    if (current) keepNote(draftKey(toValue(buildId), current.id), null)
    draft.value = { ...draft.value, text: '', provisional: false, toolId: simulatedAway(draft.value.toolId) }
  }

  return { draft, set, forget }
}

/** The next reading is not taken with the simulation unless it is asked for again. */
const simulatedAway = (toolId: string): string => (toolId.startsWith('simulated-') ? '' : toolId)

function stored(key: string): ReadingDraft | null {
  const value = keptNote(key)
  if (typeof value !== 'object' || value === null) return null
  const known = Object.entries(EMPTY_DRAFT).map(([name, fallback]) => {
    const there = (value as Record<string, unknown>)[name]
    return [name, typeof there === typeof fallback ? there : fallback]
  })
  return Object.fromEntries(known) as ReadingDraft
}
