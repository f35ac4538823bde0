<script setup lang="ts">
import { isDay } from '~~/core/base/days'

/** A day of the calendar under its label; empty for none. */
const { label, value, help = '' } = defineProps<{ label: string; value: string | undefined; help?: string }>()
const emit = defineEmits<{ change: [day: string | undefined] }>()
function take(field: HTMLInputElement): void {
  if (field.value === '' && !field.validity.badInput) emit('change', undefined)
  else if (isDay(field.value)) emit('change', field.value)
}
</script>

<template>
  <UFormField :label="label" :help="help || undefined">
    <UInput
      type="date"
      class="w-full"
      :model-value="value ?? ''"
      @change="take($event.target as HTMLInputElement)"
    />
  </UFormField>
</template>
