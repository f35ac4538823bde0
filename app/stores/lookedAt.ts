import { computed, ref, type ComputedRef, type Ref } from 'vue'

/** Of some things the one that is looked at: the first of them until another is. */
export function lookedAt<T>(
  all: ComputedRef<readonly T[]>,
  idOf: (one: T) => string,
): { readonly looked: Ref<string>; readonly one: ComputedRef<T | null> } {
  const looked = ref('')
  const one = computed(() => all.value.find((other) => idOf(other) === looked.value) ?? all.value[0] ?? null)
  return { looked, one }
}
