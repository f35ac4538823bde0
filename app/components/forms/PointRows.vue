<script setup lang="ts">
import { useWorkbench } from '~/stores/workbench'

/** Points of the build in a row each, with a length beside every one. */
const { rows, point, length, of, isNeeded } = defineProps<{
  rows: readonly { readonly point: string; readonly mm: number | undefined }[]
  /** What the point and the length are called. */
  point: string
  length: string
  /** Place of the length in the file. */
  of: string
  /** A row is nothing without its length. */
  isNeeded?: boolean
  /** What taking a row away is called, by the name of its point. */
  remove: (name: string) => string
  testId: string
}>()
const emit = defineEmits<{
  change: [row: number, changed: { readonly point?: string; readonly mm?: number | undefined }]
  remove: [row: number]
}>()
const workbench = useWorkbench()
const points = computed(() =>
  (workbench.build?.points ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const nameOf = (id: string) => points.value.find(({ value }) => value === id)?.label ?? id
</script>

<template>
  <ol class="rows" :data-testid="testId">
    <li v-for="(row, k) in rows" :key="k">
      <ChoiceField
        :label="point"
        :value="row.point"
        :items="points"
        @change="emit('change', k, { point: $event })"
      />
      <FigureField
        :label="length"
        kind="length"
        :of="of"
        :value="row.mm"
        :required="isNeeded"
        @change="emit('change', k, { mm: $event })"
      />
      <RemoveButton :label="remove(nameOf(row.point))" @click="emit('remove', k)" />
    </li>
  </ol>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 4px;
  margin-block: 6px 8px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px 36px;
  gap: 8px;
  align-items: end;
}
</style>
