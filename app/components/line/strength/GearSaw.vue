<script setup lang="ts">
import { sawTeeth } from '~~/core/answers/curves/sawTooth'
import type { Build } from '~~/core/file/build/build'
import { sawToothChart } from '~/charts/sawToothChart'
import { strength } from '~/texts/strength'

/** Through the gears: engine speed over road speed, as a saw-tooth. */
const { build } = defineProps<{ build: Build }>()
const teeth = computed(() => sawTeeth(build))
</script>

<template>
  <ChartPanel
    v-if="teeth.known"
    :option="(colours) => sawToothChart(teeth.known ? teeth.value : [], colours, strength.saw)"
    :label="strength.saw.title"
    :height="290"
  />
</template>
