<script setup lang="ts">
import type { FactColumn } from '~/composables/factColumn'
import { shift as words } from '~/texts/shift'
import { useShiftKnobs } from '~/stores/shiftKnobs'

/** Where the knob goes, what it comes near, the opening that the lever wants. */
const knobs = useShiftKnobs()
type Told = (typeof knobs.told)[number]
const COLUMNS: readonly FactColumn<Told>[] = [
  { key: 'title', label: words.knob.title, is: 'head', text: ({ title }) => title },
  { key: 'value', label: words.knob.size, is: 'number' },
]
</script>

<template>
  <section v-if="knobs.told.length > 0" aria-labelledby="knob-told">
    <h2 id="knob-told">{{ words.knob.title }}</h2>
    <FactTable
      :columns="COLUMNS"
      :rows="knobs.told"
      :key-of="({ name }) => name"
      :label="words.knob.title"
      test-id="knob-table"
    >
      <template #value="{ row }">
        <AskedFigure :name="row.place" :title="row.title" :value="row.value" />
      </template>
    </FactTable>
  </section>
</template>
