<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

/** Gaps to check once it is set, tightest first, in two columns; and what has to be cut. */
const { sheet } = defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
const COLUMNS: readonly FactColumn<SettingSheet['gaps'][number]>[] = [
  { key: 'gap', label: words.gap },
  { key: 'measured', label: words.measured, text: ({ measured }) => measured, is: 'figure' },
  { key: 'set', label: words.now, is: 'figure' },
  { key: 'keep', label: words.keep, text: ({ keep }) => keep, is: 'figure' },
]
const halves = computed(() => {
  const half = Math.ceil(sheet.gaps.length / 2)
  return [sheet.gaps.slice(0, half), sheet.gaps.slice(half)].filter((list) => list.length > 0)
})
</script>

<template>
  <section class="gaps" data-testid="sheet-gaps">
    <h2>{{ words.gaps }}</h2>
    <div class="two">
      <FactTable
        v-for="(half, i) in halves"
        :key="i"
        is-dense
        class="half"
        :columns="COLUMNS"
        :rows="half"
        :key-of="({ name }) => name"
      >
        <template #gap="{ row }"><VerdictMark :verdict="row.verdict" :size="11" /> {{ row.name }}</template>
        <template #set="{ row }"
          ><strong>{{ row.set }}</strong></template
        >
      </FactTable>
    </div>
    <template v-if="sheet.cuts.length">
      <h2>{{ words.cuts }}</h2>
      <ul>
        <li v-for="cut in sheet.cuts" :key="cut">{{ cut }}</li>
      </ul>
      <p class="mind"><VerdictMark verdict="tight" :size="12" silent /> {{ texts.place.cutCaution }}</p>
    </template>
  </section>
</template>

<style scoped>
.gaps {
  margin-top: 8px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 26px;
}
.half {
  font-size: 0.875em;
  line-height: 1.2;
}
.mind {
  display: grid;
  grid-template-columns: 14px 1fr;
  gap: 6px;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
