<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/evaluateBuild'
import { forcesOf } from '~~/core/line/forcesOf'
import { grouped } from '~~/core/units/format'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** What a centre bearing may bear, and what it does over a turn. */
const { evaluation, index } = defineProps<{ evaluation: LineEvaluation; index: number }>()
const parts = useParts()
const words = partsOfLine.sheet
const bearing = computed(() => evaluation.line.shafts[index]?.bearing)
const force = computed(() => {
  const { line, ride, torque } = evaluation
  if (!ride.known || !torque.known) return null
  return (
    forcesOf(line, ride.value, torque.value.designNm).bearings.find(({ shaft }) => shaft === index) ?? null
  )
})
</script>

<template>
  <FigureField
    :label="words.bearingLimit"
    unit="N"
    :most="1000000"
    :value="bearing?.limitN"
    :help="words.bearingFrom"
    @change="parts.setFigure(evaluation.line.id, ['shafts', index, 'bearing', 'limitN'], $event)"
  />
  <FigureField
    :label="words.bearingAngle"
    unit="°"
    :most="90"
    :value="bearing?.limitDeg"
    :help="words.bearingFrom"
    @change="parts.setFigure(evaluation.line.id, ['shafts', index, 'bearing', 'limitDeg'], $event)"
  />
  <p class="force" data-testid="bearing-force">
    <strong>{{ words.force }}</strong>
    {{
      force
        ? words.forceText(grouped(force.maxN), grouped(force.minN), grouped(force.upwardSwingN))
        : words.unknown
    }}
  </p>
</template>

<style scoped>
.force {
  grid-column: 1 / -1;
}
</style>
