import { computed, ref, toValue, watch, type ComputedRef, type MaybeRefOrGetter } from 'vue'

/**
 * The text of a field whose figure is kept elsewhere: what is being typed wins over the kept figure, however often the
 * field is drawn anew meanwhile, until the figure changes or the typing is settled.
 */
export function useTyping(kept: MaybeRefOrGetter<string>): {
  text: ComputedRef<string>
  type: (text: string) => void
  settle: () => void
} {
  const typed = ref<string | null>(null)
  watch(
    () => toValue(kept),
    () => (typed.value = null),
  )
  return {
    text: computed(() => typed.value ?? toValue(kept)),
    type: (text) => (typed.value = text),
    settle: () => (typed.value = null),
  }
}
