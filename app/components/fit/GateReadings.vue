<script setup lang="ts">
import type { GateReading } from '~~/core/show/text/gateReadings'
import { gates as words } from '~/texts/gates'

/** What was read for a gate: any of these changed makes it fall. */
const { rows } = defineProps<{ rows: readonly GateReading[] }>()
</script>

<template>
  <FoldedPart v-if="rows.length > 0" :title="words.readings(rows.length)">
    <div class="scroll">
      <table data-testid="gate-readings">
        <thead>
          <tr>
            <th scope="col">{{ words.readingColumns.name }}</th>
            <th scope="col">{{ words.readingColumns.value }}</th>
            <th scope="col">{{ words.readingColumns.taken }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <th scope="row">{{ row.name }}</th>
            <td class="figure">
              {{ row.value }}<span v-if="row.isGuess" class="guess">, {{ words.guess }}</span>
            </td>
            <td class="soft">{{ row.taken }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </FoldedPart>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  padding: 4px 0 4px 20px;
}
table {
  border-collapse: collapse;
}
th,
td {
  padding: 3px 18px 3px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-weight: inherit;
  vertical-align: top;
}
thead th {
  color: var(--soft);
}
tbody th:first-letter {
  text-transform: capitalize;
}
.guess {
  color: var(--tight);
}
</style>
