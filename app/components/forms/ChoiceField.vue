<script setup lang="ts" generic="T extends string | number | undefined">
/** One of a few words or figures under its label; with `unsaid`, none of them too. */
const {
  label,
  value,
  items,
  unsaid,
  help = '',
  error,
  placeholder,
  disabled = false,
} = defineProps<{
  label: string
  value: T
  items: readonly (string | { readonly value: string | number; readonly label: string })[]
  /** What it is called when nothing is said. */
  unsaid?: string
  help?: string
  error?: string
  placeholder?: string
  disabled?: boolean
}>()
const emit = defineEmits<{ change: [value: T] }>()

/** A select has no empty value. */
const UNSAID = '·'
const all = computed(() => {
  const said = items.map((item) => (typeof item === 'string' ? { value: item, label: item } : { ...item }))
  return unsaid === undefined ? said : [{ value: UNSAID, label: unsaid }, ...said]
})
</script>

<template>
  <UFormField :label="label" :help="help || undefined" :error="error">
    <USelect
      :model-value="value ?? (unsaid === undefined ? undefined : UNSAID)"
      :items="all"
      :placeholder="placeholder"
      :disabled="disabled"
      class="w-full"
      :aria-label="label"
      @update:model-value="emit('change', ($event === UNSAID ? undefined : $event) as T)"
    />
  </UFormField>
</template>
