<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { turnCurves } from '~~/core/answers/curves/curves'
import { turnChart } from '~/charts/turnChart'
import { texts } from '~/texts/en'

const { evaluation } = defineProps<{ evaluation: LineEvaluation }>()
const figures = computed(() => (evaluation.drive?.known ? evaluation.drive : evaluation.ride))
const curves = computed(() =>
  figures.value.known
    ? turnCurves(
        evaluation.line,
        figures.value.value,
        evaluation.speed.known ? evaluation.speed.value.speedRpm : null,
      )
    : null,
)
</script>

<template>
  <ChartPanel
    v-if="curves"
    :height="460"
    :option="(colours) => turnChart(curves!, colours)"
    :label="texts.line.turn"
  />
  <p v-else class="soft">{{ texts.line.nothing }}</p>
</template>
