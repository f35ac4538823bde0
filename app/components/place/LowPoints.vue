<script setup lang="ts">
import { lowPoints } from '~~/core/drawing/placeScene'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { formatLength } from '~~/core/units/format'
import type { UnitSettings } from '~~/core/units/unitSettings'
import { texts } from '~/texts/en'

/** The lowest points in the order in which they strike the ground. */
const { evaluation } = defineProps<{ evaluation: Evaluation; units: UnitSettings }>()
const points = computed(() => lowPoints(evaluation))
</script>

<template>
  <section :aria-label="texts.place.lowest">
    <h2>{{ texts.place.lowest }}</h2>
    <p v-if="points.length === 0" class="soft">{{ texts.place.lowestNone }}</p>
    <ol v-else data-testid="low-points">
      <li v-for="point in points.slice(0, 5)" :key="point.id">
        <VerdictMark :verdict="point.check.verdict" :size="13" />
        <span>{{ point.name }}</span>
        <span class="figure">{{ formatLength(point.gapMm, units) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  font-weight: 600;
}
ol {
  margin-top: 4px;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  min-height: 26px;
}
.figure {
  font-weight: 600;
}
</style>
