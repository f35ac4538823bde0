<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
type Fact = SettingSheet['shafts'][number]['facts'][number]
const COLUMNS: readonly FactColumn<Fact>[] = [
  { key: 'name' },
  { key: 'value', text: ({ value }) => value, is: 'figure' },
  { key: 'plusMinus', text: ({ plusMinus }) => plusMinus, is: 'figure' },
  { key: 'remark' },
]
</script>

<template>
  <section class="lengths">
    <h2>{{ words.lengths }}</h2>
    <FactTable
      v-for="shaft in sheet.shafts"
      :key="shaft.title"
      is-dense
      class="shaft"
      :columns="COLUMNS"
      :rows="shaft.facts"
      :key-of="({ name }) => name"
    >
      <template #name="{ row }"
        >{{ sheet.shafts.length > 1 ? `${shaft.title}, ` : '' }}{{ row.name }}</template
      >
      <template #remark="{ row }"
        ><span class="soft">{{ row.remark }}</span></template
      >
    </FactTable>
    <p class="soft">{{ words.round }}</p>
  </section>
</template>

<style scoped>
.lengths {
  margin-top: 12px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.shaft :deep(td:first-child) {
  width: 37%;
}
@media screen and (max-width: 720px) {
  .shaft :deep(td) {
    display: block;
    border: 0;
    padding: 0;
  }
  .shaft :deep(td:first-child) {
    padding-top: 6px;
  }
}
</style>
