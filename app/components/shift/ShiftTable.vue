<script setup lang="ts">
import type { ShiftRow } from '~~/core/show/text/shiftText'
import type { FactColumn } from '~/composables/factColumn'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'

/** Every gate of a linkage; one is chosen to be drawn. */
const shifts = useShifts()
const COLUMNS = computed((): readonly FactColumn<ShiftRow>[] => [
  { key: 'gate', label: words.columns.gate, is: 'head' },
  { key: 'lever', label: words.columns.lever, is: 'number', text: ({ lever }) => lever },
  { key: 'box', label: words.columns.box, is: 'number', text: ({ box }) => box },
  { key: 'error', label: words.columns.error, is: 'number' },
  ...(shifts.isRocked ? [{ key: 'rocked', label: words.columns.rocked, is: 'number' as const }] : []),
  { key: 'left', label: words.columns.left, is: 'number' },
  {
    key: 'transmission',
    label: words.columns.transmission,
    is: 'number',
    text: ({ transmission }) => transmission,
  },
])
</script>

<template>
  <section aria-labelledby="shift-table">
    <h2 id="shift-table">{{ words.gates }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="shifts.rows"
      :key-of="({ id }) => id"
      :label="words.gates"
      is-cards
      test-id="shift-table"
    >
      <template #gate="{ row }">
        <button
          v-if="row.only === ''"
          type="button"
          class="gate"
          :aria-pressed="row.id === shifts.gateId"
          @click="shifts.gate = row.id"
        >
          <VerdictMark :verdict="row.verdict" :size="13" /> {{ row.name }}
        </button>
        <template v-else
          >{{ row.name }} <span class="soft">{{ row.only }}</span></template
        >
      </template>
      <template #error="{ row }">
        <AskedFigure
          v-if="row.place"
          :name="`${row.place}.errorDeg`"
          :title="`${words.columns.error}: ${row.name}`"
          :value="row.error"
        />
        <template v-else>{{ row.error }}</template>
      </template>
      <template #rocked="{ row }">
        <AskedFigure
          v-if="row.place"
          :name="`${row.place}.rockedDeg`"
          :title="`${words.columns.rocked}: ${row.name}`"
          :value="row.rocked"
        />
        <template v-else>{{ row.rocked }}</template>
      </template>
      <template #left="{ row }">
        <AskedFigure
          v-if="row.place"
          :name="`${row.place}.leftDeg`"
          :title="`${words.columns.left}: ${row.name}`"
          :value="row.left"
        />
        <template v-else>{{ row.left }}</template>
      </template>
    </FactTable>
  </section>
</template>

<style scoped>
.gate {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  min-width: 64px;
  padding-inline: 6px;
  border-radius: 3px;
  font-weight: 600;
  cursor: pointer;
}
.gate[aria-pressed='true'] {
  background: var(--wash);
}
</style>
