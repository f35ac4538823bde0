<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
</script>

<template>
  <section class="lengths">
    <h2>{{ words.lengths }}</h2>
    <table v-for="shaft in sheet.shafts" :key="shaft.title">
      <tbody>
        <tr v-for="fact in shaft.facts" :key="fact.name">
          <td>{{ sheet.shafts.length > 1 ? `${shaft.title}, ` : '' }}{{ fact.name }}</td>
          <td class="figure">{{ fact.value }}</td>
          <td class="figure plus-minus">{{ fact.plusMinus }}</td>
          <td class="soft">{{ fact.remark }}</td>
        </tr>
      </tbody>
    </table>
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
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 2px 10px 2px 0;
  border-bottom: 1px solid var(--hair);
  vertical-align: top;
}
td:first-child {
  width: 37%;
}
td.figure {
  white-space: nowrap;
}
@media screen and (max-width: 720px) {
  td {
    display: block;
    border: 0;
    padding: 0;
  }
  td:first-child {
    padding-top: 6px;
  }
}
</style>
