<script setup lang="ts">
import type { LineEvaluation } from '~~/core/model/lineEvaluation'
import { forcesOf } from '~~/core/line/forcesOf'
import { grouped } from '~~/core/base/units/format'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** What a centre bearing may bear, and what it does over a turn. */
const { evaluation, index, buildId } = defineProps<{
  evaluation: LineEvaluation
  index: number
  buildId: string
}>()
const parts = useParts()
const words = partsOfLine.sheet
const seats = [
  { value: 'straight', label: words.seatStraight },
  { value: 'measured', label: words.seatMeasured },
]
const isMeasured = computed(() => bearing.value?.axis !== undefined)
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
    of="lines.shafts.bearing.limitN"
    :value="bearing?.limitN"
    :help="words.bearingFrom"
    @change="parts.setFigure(evaluation.line.id, ['shafts', index, 'bearing', 'limitN'], $event)"
  />
  <FigureField
    :label="words.bearingAngle"
    unit="°"
    of="lines.shafts.bearing.limitDeg"
    :value="bearing?.limitDeg"
    :help="words.bearingFrom"
    @change="parts.setFigure(evaluation.line.id, ['shafts', index, 'bearing', 'limitDeg'], $event)"
  />
  <UFormField :label="words.seat" :help="words.seatHelp">
    <USelect
      :model-value="isMeasured ? 'measured' : 'straight'"
      :items="seats"
      class="w-full"
      @update:model-value="parts.measureSeat(evaluation.line.id, index, $event === 'measured')"
    />
    <NuxtLink v-if="isMeasured" :to="`/b/${buildId}/readings`">{{ words.seatRead }}</NuxtLink>
  </UFormField>
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
