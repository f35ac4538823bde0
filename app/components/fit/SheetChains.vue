<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

/** Chains on the sheet: what each is made of, and what to find once it is set. */
defineProps<{ chains: SettingSheet['chains'] }>()
const words = texts.sheet.chains
type ChainCheck = SettingSheet['chains'][number]['checks'][number]
const COLUMNS: readonly FactColumn<ChainCheck>[] = [
  { key: 'check', text: ({ label }) => label, is: 'head' },
  { key: 'value', text: ({ value }) => value, is: 'figure' },
  { key: 'margin', is: 'figure' },
]
</script>

<template>
  <section class="chains" data-testid="sheet-chains">
    <h2>{{ words.title }}</h2>
    <template v-for="chain in chains" :key="chain.name">
      <h3>{{ chain.name }}</h3>
      <p>{{ chain.parts }}</p>
      <p>{{ chain.slack }}</p>
      <p v-for="line in chain.lines" :key="line">{{ line }}</p>
      <FactTable is-dense :columns="COLUMNS" :rows="chain.checks" :key-of="({ label }) => label">
        <template #margin="{ row }"
          ><VerdictMark :verdict="row.verdict" :size="12" /> {{ row.margin }}</template
        >
      </FactTable>
    </template>
  </section>
</template>

<style scoped>
.chains {
  margin-top: 12px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
h3 {
  margin-top: 6px;
  font-weight: 600;
}
</style>
