<script setup lang="ts">
import { clockAdvice } from '~~/core/show/text/clockText'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import type { Build } from '~~/core/file/build/build'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** How the splines of a line are best put together, in words and teeth. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const parts = useParts()
const words = partsOfLine.clock
const advice = computed(() =>
  evaluation.ride.known ? clockAdvice(evaluation.line, evaluation.ride.value, build.units) : null,
)
</script>

<template>
  <section v-if="advice" class="clock" :aria-label="words.title" data-testid="clock">
    <h3>{{ words.title }}</h3>
    <p v-if="advice.turns.length === 0">{{ words.best(advice.before) }}</p>
    <template v-else>
      <ul>
        <li v-for="turn in advice.turns" :key="turn">{{ turn }}</li>
      </ul>
      <p class="figures">{{ words.gain(advice.before, advice.after) }}</p>
      <p v-if="advice.isWorthless" class="soft">{{ words.worthless }}</p>
      <p class="soft">{{ advice.paint }}</p>
      <UButton size="sm" variant="outline" @click="parts.setPhases(evaluation.line.id, advice.phasesDeg)">{{
        words.take
      }}</UButton>
    </template>
  </section>
</template>

<style scoped>
.clock {
  display: grid;
  gap: 4px;
  justify-items: start;
  padding: 14px 20px;
  border-bottom: 1px solid var(--hair);
  line-height: 1.35;
}
h3 {
  font-weight: 600;
}
.figures {
  font-variant-numeric: tabular-nums;
}
</style>
