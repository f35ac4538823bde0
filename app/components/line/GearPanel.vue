<script setup lang="ts">
import { gearCurves } from '~~/core/answers/curves/gearCurves'
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import type { Build } from '~~/core/file/build/build'
import { gearChart } from '~/charts/gearChart'
import { texts } from '~/texts/en'
import { strength } from '~/texts/strength'

/** How a line is swung in each gear, against road speed. */
const { build, evaluation } = defineProps<{ build: Build; evaluation: LineEvaluation }>()
const curves = computed(() => gearCurves(build, evaluation))
const words = texts.line.gearChart
</script>

<template>
  <ChartPanel
    v-if="curves.known"
    :option="
      (colours) =>
        gearChart(curves.known ? curves.value : { gears: [], warn: null, fail: null }, colours, words)
    "
    :label="texts.line.gears"
  />
  <p v-else class="soft">{{ strength.waitsFor }} <MissingWords :missing="curves.missing" /></p>
</template>
