<script setup lang="ts">
import type { CableRow } from '~~/core/show/text/cableText'
import type { FactColumn } from '~/composables/factColumn'
import { cables as words } from '~/texts/cables'
import { useCables } from '~/stores/cables'

/** Every figure of a cable. */
const cables = useCables()
const COLUMNS: readonly FactColumn<CableRow>[] = [
  { key: 'name', label: words.columns.figure, is: 'head' },
  { key: 'value', label: words.columns.value, is: 'number' },
]
</script>

<template>
  <section aria-labelledby="cable-table">
    <h2 id="cable-table">{{ words.table }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="cables.rows"
      :key-of="({ key }) => key"
      :label="words.table"
      test-id="cable-table"
    >
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
  </section>
</template>

<style scoped>
.named {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
</style>
