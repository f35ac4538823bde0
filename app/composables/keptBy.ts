import { computed, type ComputedRef } from 'vue'

const isSame = (one: unknown, other: unknown): boolean =>
  Array.isArray(one) && Array.isArray(other)
    ? one.length === other.length && one.every((item, i) => item === other[i])
    : one === other

/**
 * A computed value that is handed on as the same object for as long as its key is the same, so that what is drawn from it is not drawn
 * again.
 *
 * @param key - a value, or a list that is compared item by item
 */
export function keptBy<T>(key: () => unknown, make: () => T): ComputedRef<T> {
  let kept: { readonly key: unknown; readonly value: T } | null = null
  return computed(() => {
    const now = key()
    if (!kept || !isSame(kept.key, now)) kept = { key: now, value: make() }
    return kept.value
  })
}
