<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { TravelRow } from '~~/core/show/text/travelRows'
import { texts } from '~/texts/en'

/** The line from droop to bump: what to find with the wheels there, before the shaft is made. */
const { many } = defineProps<{ rows: readonly TravelRow[]; many: boolean }>()
const words = texts.sheet.travel
const columns = computed((): FactColumn<TravelRow>[] => [
  ...(many ? [{ key: 'line', label: words.line, text: ({ line }: TravelRow) => line }] : []),
  { key: 'place', label: words.place, text: ({ place }) => place },
  { key: 'wheels', label: words.wheels, text: ({ wheels }) => wheels, is: 'figure' },
  { key: 'angles', label: words.angles, text: ({ angles }) => angles, is: 'figure' },
  { key: 'left', label: words.left, text: ({ left }) => left, is: 'figure' },
  { key: 'engaged', label: words.engaged, text: ({ engaged }) => engaged, is: 'figure' },
])
</script>

<template>
  <section class="travel" data-testid="sheet-travel">
    <h2>{{ words.title }}</h2>
    <FactTable
      is-dense
      :columns="columns"
      :rows="rows"
      :key-of="(row) => `${row.line} ${row.place} ${row.wheels}`"
    />
    <p class="soft">{{ words.order }}</p>
  </section>
</template>

<style scoped>
.travel {
  margin-top: 12px;
  overflow-x: auto;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
</style>
