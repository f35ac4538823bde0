<script setup lang="ts">
import type { FigureKind } from '~~/core/base/units/parseFigure'
import { useFigureEntry } from '~/composables/useFigureEntry'

/** A figure of the build in a cell of a table. */
const {
  label,
  value,
  kind = 'length',
  unit = '',
  of,
  least,
  most,
} = defineProps<{
  label: string
  value: number | undefined
  kind?: FigureKind
  unit?: string
  of?: string
  least?: number
  most?: number
}>()
const emit = defineEmits<{ change: [value: number | undefined] }>()
const { text, type, take, fault, units } = useFigureEntry(
  () => ({ value, kind, of, least, most }),
  (changed) => emit('change', changed),
)
</script>

<template>
  <UInput
    :model-value="text"
    class="size"
    :color="fault ? 'error' : undefined"
    :highlight="fault !== undefined"
    maxlength="60"
    autocomplete="off"
    :aria-label="label"
    :aria-invalid="fault !== undefined"
    :title="fault"
    :inputmode="kind === 'length' ? 'text' : 'decimal'"
    @update:model-value="type(String($event))"
    @change="take(($event.target as HTMLInputElement).value)"
  >
    <template #trailing>
      <span class="soft">{{ kind === 'length' ? units.length : unit }}</span>
    </template>
  </UInput>
  <small v-if="fault" role="alert" class="fault">{{ fault }}</small>
</template>

<style scoped>
.size {
  width: 112px;
}
@media (max-width: 720px) {
  .size {
    width: 100%;
  }
}
.fault {
  display: block;
  max-width: 160px;
  color: var(--out);
}
</style>
