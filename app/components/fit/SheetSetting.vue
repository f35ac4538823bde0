<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
</script>

<template>
  <div class="setting">
    <section class="two">
      <div>
        <h2>{{ words.set }}</h2>
        <ol v-if="sheet.instructions.length">
          <li v-for="one in sheet.instructions" :key="one">
            <span class="tick" aria-hidden="true" /> {{ one }}
          </li>
        </ol>
        <p v-else-if="sheet.isOut" class="undecided">{{ words.asMeasuredOut }}</p>
        <p v-else>{{ words.asMeasured }}</p>
      </div>
      <div>
        <h2>{{ words.goalTitle }}</h2>
        <p class="goal">{{ words.goal }}</p>
        <ul>
          <li v-for="one in sheet.goals" :key="one">{{ one }}</li>
        </ul>
      </div>
    </section>
    <section v-if="sheet.joints.length + sheet.checks.length > 0">
      <h2>{{ words.angles }}</h2>
      <table>
        <thead>
          <tr>
            <th />
            <th>{{ words.measured }}</th>
            <th>{{ words.now }}</th>
            <template v-if="sheet.hasDrive">
              <th>{{ words.drive }}</th>
              <th>{{ words.coast }}</th>
            </template>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="joint in sheet.joints" :key="joint.name">
            <td>{{ joint.name }}</td>
            <td class="figure">{{ joint.measured }}</td>
            <td class="figure">{{ joint.set }}</td>
            <template v-if="sheet.hasDrive">
              <td class="figure">{{ joint.drive }}</td>
              <td class="figure">{{ joint.coast }}</td>
            </template>
            <td><VerdictMark :verdict="joint.verdict" :size="12" /> {{ texts.verdicts[joint.verdict] }}</td>
          </tr>
          <tr v-for="check in sheet.checks" :key="check.label">
            <td :colspan="sheet.hasDrive ? 3 : 1">{{ check.label }}</td>
            <td class="figure" :colspan="2">{{ check.value }}</td>
            <td><VerdictMark :verdict="check.verdict" :size="12" /> {{ check.margin }}</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.setting {
  display: grid;
  gap: 8px;
  margin-top: 8px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 26px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
ol li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 5px 0;
  font-size: 1.125em;
  font-weight: 600;
}
.tick {
  flex: none;
  width: 14px;
  height: 14px;
  border: 1.5px solid var(--ink);
}
.goal {
  margin-top: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding-left: 14px;
  text-align: right;
  white-space: nowrap;
  font-weight: 500;
  color: var(--soft);
}
td {
  padding: 2px 0 2px 8px;
  border-bottom: 1px solid var(--hair);
}
td:first-child {
  padding-left: 0;
}
td:not(:first-child) {
  white-space: nowrap;
}
td.figure {
  text-align: right;
}
@media screen and (max-width: 720px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
