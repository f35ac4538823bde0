<script setup lang="ts">
import type { TravelRow } from '~~/core/show/text/travelRows'
import { texts } from '~/texts/en'

/** The line from droop to bump: what to find with the wheels there, before the shaft is made. */
defineProps<{ rows: readonly TravelRow[]; many: boolean }>()
const words = texts.sheet.travel
</script>

<template>
  <section class="travel" data-testid="sheet-travel">
    <h2>{{ words.title }}</h2>
    <table>
      <thead>
        <tr>
          <th v-if="many">{{ words.line }}</th>
          <th>{{ words.place }}</th>
          <th>{{ words.wheels }}</th>
          <th>{{ words.angles }}</th>
          <th>{{ words.left }}</th>
          <th>{{ words.engaged }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="`${row.line} ${row.place} ${row.wheels}`">
          <td v-if="many">{{ row.line }}</td>
          <td>{{ row.place }}</td>
          <td class="figure">{{ row.wheels }}</td>
          <td class="figure">{{ row.angles }}</td>
          <td class="figure">{{ row.left }}</td>
          <td class="figure">{{ row.engaged }}</td>
        </tr>
      </tbody>
    </table>
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
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
  color: var(--soft);
}
th,
td {
  padding: 2px 10px 2px 0;
  border-bottom: 1px solid var(--hair);
  vertical-align: top;
}
</style>
