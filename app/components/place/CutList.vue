<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { cutCostText, cutRows } from '~~/core/show/text/cutText'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'

/** Where two things lie in each other: where to cut or dent, how deep, what that takes, and what is left then. */
const { evaluation, units } = defineProps<{ evaluation: Evaluation; units: UnitSettings }>()
const drawer = useDrawer()
const words = texts.place.cutList
const rows = computed(() => cutRows(evaluation, units))
const cost = computed(() => cutCostText(evaluation))
</script>

<template>
  <section v-if="rows.length" class="cuts" :aria-label="words.title">
    <h3>{{ words.title }} · {{ cost }}</h3>
    <ul data-testid="cut-list">
      <li v-for="row in rows" :key="row.gap">
        <button type="button" class="name" @click="drawer.open('gaps', row.gap)">{{ row.name }}</button>
        <span class="figure depth">{{ words.deep(row.depth) }}</span>
        <span class="soft">{{ row.where }}</span>
        <span class="figure">{{ row.toKeep }}</span>
        <span class="soft"
          >{{ row.cost === null ? words.noCost : words.cost(row.cost) }} ·
          {{
            row.isStructural === null ? words.unsaid : row.isStructural ? words.structural : words.sheet
          }}</span
        >
      </li>
    </ul>
    <p v-if="rows.some(({ isStructural }) => isStructural !== false)" class="caution">
      <VerdictMark verdict="tight" :size="14" silent /> {{ texts.place.cutCaution }}
    </p>
  </section>
</template>

<style scoped>
.cuts {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
h3 {
  font-weight: 600;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) 7rem minmax(0, 1.2fr) minmax(0, 1.3fr) minmax(0, 1fr);
  gap: 4px 14px;
  align-items: baseline;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.name {
  text-align: left;
  font-weight: 600;
  text-decoration: underline;
  text-decoration-color: var(--hair);
  cursor: pointer;
}
.depth {
  color: var(--out);
  font-weight: 600;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  max-width: 70ch;
  margin-top: 8px;
  color: var(--soft);
}
@media (max-width: 1120px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
