<script setup lang="ts">
import type { Verdict } from '~~/core/file/build/limit'
import type { FactColumn } from '~/composables/factColumn'
import { texts } from '~/texts/en'

/** Figures of a thing, one a row: each with its ± and where it comes from when it is asked, and with its verdict where it is judged. */
interface AskedRow {
  readonly key: string
  readonly name: string
  readonly value: string
  /** Its place in the published result; null for what is told by hand. */
  readonly place: string | null
  readonly verdict?: Verdict | null
}
const { label, rows, testId } = defineProps<{
  label: string
  rows: readonly AskedRow[]
  testId: string
}>()
const COLUMNS: readonly FactColumn<AskedRow>[] = [
  { key: 'name', label: texts.figures.figure, is: 'head' },
  { key: 'value', label: texts.figures.value, is: 'number' },
]
</script>

<template>
  <FactTable :columns="COLUMNS" :rows="rows" :key-of="({ key }) => key" :label="label" :test-id="testId">
    <template #name="{ row }"
      ><span class="named"
        ><VerdictMark v-if="row.verdict" :verdict="row.verdict" :size="13" /> {{ row.name }}</span
      ></template
    >
    <template #value="{ row }">
      <AskedFigure v-if="row.place" :name="row.place" :title="row.name" :value="row.value" />
      <template v-else>{{ row.value }}</template>
    </template>
  </FactTable>
</template>

<style scoped>
.named {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
</style>
