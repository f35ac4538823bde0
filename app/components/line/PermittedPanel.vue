<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import type { LimitEntry } from '~~/core/file/build/limit'
import { permittedCurve } from '~~/core/answers/curves/permittedCurve'
import { permittedChart } from '~/charts/permittedChart'
import { texts } from '~/texts/en'

const { evaluation, limits } = defineProps<{ evaluation: LineEvaluation; limits: readonly LimitEntry[] }>()
const curve = computed(() => permittedCurve(evaluation, limits))
</script>

<template>
  <ChartPanel v-if="curve" :option="(colours) => permittedChart(curve!, colours)" :label="texts.line.speed" />
  <p v-else class="soft">{{ texts.line.noCurve }}</p>
</template>
