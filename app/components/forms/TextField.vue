<script setup lang="ts">
/** A short text under its label, taken when it is left: without the blanks about it, and no longer than the file lets it be. */
const {
  label,
  value,
  most = 200,
  required = false,
  help = '',
  error,
} = defineProps<{
  label: string
  value: string | undefined
  most?: number
  /** It must hold something: what was there comes back. */
  required?: boolean
  help?: string
  error?: string
}>()
const emit = defineEmits<{ change: [text: string] }>()

function take(field: HTMLInputElement): void {
  const text = field.value.trim().slice(0, most)
  if (required && text === '') field.value = value ?? ''
  else if (text !== (value ?? '')) emit('change', text)
}
</script>

<template>
  <UFormField :label="label" :help="help || undefined" :error="error">
    <UInput
      :model-value="value ?? ''"
      class="w-full"
      :maxlength="most"
      autocomplete="off"
      @change="take($event.target as HTMLInputElement)"
    />
  </UFormField>
</template>
