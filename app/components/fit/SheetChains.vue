<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

/** Chains on the sheet: what each is made of, and what to find once it is set. */
defineProps<{ chains: SettingSheet['chains'] }>()
const words = texts.sheet.chains
</script>

<template>
  <section class="chains" data-testid="sheet-chains">
    <h2>{{ words.title }}</h2>
    <template v-for="chain in chains" :key="chain.name">
      <h3>{{ chain.name }}</h3>
      <p>{{ chain.parts }}</p>
      <p>{{ chain.slack }}</p>
      <p v-for="line in chain.lines" :key="line">{{ line }}</p>
      <table>
        <tbody>
          <tr v-for="check in chain.checks" :key="check.label">
            <th scope="row">{{ check.label }}</th>
            <td class="figure">{{ check.value }}</td>
            <td class="figure"><VerdictMark :verdict="check.verdict" :size="12" /> {{ check.margin }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  width: 100%;
}
th {
  font-weight: 400;
  text-align: left;
}
th,
td {
  padding: 1px 10px 1px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
