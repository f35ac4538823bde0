<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { texts } from '~/texts/en'

/** Gaps to check once it is set, tightest first, in two columns; and what has to be cut. */
const { sheet } = defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
const halves = computed(() => {
  const half = Math.ceil(sheet.gaps.length / 2)
  return [sheet.gaps.slice(0, half), sheet.gaps.slice(half)].filter((list) => list.length > 0)
})
</script>

<template>
  <section class="gaps" data-testid="sheet-gaps">
    <h2>{{ words.gaps }}</h2>
    <div class="two">
      <table v-for="(half, i) in halves" :key="i">
        <thead>
          <tr>
            <th>{{ words.gap }}</th>
            <th>{{ words.measured }}</th>
            <th>{{ words.now }}</th>
            <th>{{ words.keep }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="gap in half" :key="gap.name">
            <td><VerdictMark :verdict="gap.verdict" :size="11" /> {{ gap.name }}</td>
            <td class="figure">{{ gap.measured }}</td>
            <td class="figure set">{{ gap.set }}</td>
            <td class="figure">{{ gap.keep }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  align-self: start;
  width: 100%;
  border-collapse: collapse;
  font-size: 0.875em;
}
th {
  text-align: left;
  font-weight: 500;
}
th,
td {
  padding: 1.5px 8px 1.5px 0;
  border-bottom: 0.5px solid var(--hair);
  line-height: 1.2;
}
.figure {
  white-space: nowrap;
}
.set {
  font-weight: 600;
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
