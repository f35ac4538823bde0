<script setup lang="ts">
import type { GateReading } from '~~/core/show/text/gateReadings'
import type { FactColumn } from '~/composables/factColumn'
import { gates as words } from '~/texts/gates'

/** What was read for a gate: any of these changed makes it fall. */
const { rows } = defineProps<{ rows: readonly GateReading[] }>()
const COLUMNS: readonly FactColumn<GateReading>[] = [
  { key: 'name', label: words.readingColumns.name, is: 'head', text: ({ name }) => name },
  {
    key: 'value',
    label: words.readingColumns.value,
    is: 'words',
    text: ({ value, isGuess }) => (isGuess ? `${value}, ${words.guess}` : value),
  },
  { key: 'taken', label: words.readingColumns.taken, is: 'words', text: ({ taken }) => taken },
]
</script>

<template>
  <FoldedPart v-if="rows.length > 0" :title="words.readings(rows.length)">
    <FactTable
      :columns="COLUMNS"
      :rows="rows"
      :key-of="({ id }) => id"
      :label="words.readings(rows.length)"
      test-id="gate-readings"
    />
  </FoldedPart>
</template>
