<script setup lang="ts">
import type { Estimate } from '~~/core/file/kinds/taskKinds'
import { tasks as words } from '~/texts/tasks'

/** At best, likely, at worst: typed one after the other, kept in order. */
const { label, value, unit, of } = defineProps<{
  label: string
  value: Estimate | undefined
  unit: string
  /** Place of the figures in the file. */
  of: string
}>()
const emit = defineEmits<{ change: [value: Estimate | undefined] }>()
const PARTS = ['low', 'likely', 'high'] as const

/** One that is moved beyond another takes it along; the first that is typed is all three. */
function take(part: (typeof PARTS)[number], figure: number | undefined): void {
  if (figure === undefined) return emit('change', undefined)
  const told = value ?? { low: figure, likely: figure, high: figure }
  const at = PARTS.indexOf(part)
  const moved = PARTS.map((one, k) => {
    if (k === at) return figure
    return k < at ? Math.min(told[one], figure) : Math.max(told[one], figure)
  })
  const [low = figure, likely = figure, high = figure] = moved
  emit('change', { low, likely, high })
}
</script>

<template>
  <fieldset class="estimate">
    <legend>{{ label }}</legend>
    <FigureField
      v-for="part in PARTS"
      :key="part"
      :label="words.fields[part]"
      :value="value?.[part]"
      :unit="unit"
      :of="`${of}.${part}`"
      @change="take(part, $event)"
    />
  </fieldset>
</template>

<style scoped>
.estimate {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 8px;
}
legend {
  grid-column: 1 / -1;
  font-weight: 500;
}
</style>
