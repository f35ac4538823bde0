<script setup lang="ts">
import { rulerMarks, type Focus, type Projection } from '~~/core/drawing/projection'
import { formatLength } from '~~/core/base/units/format'
import type { UnitSettings } from '~~/core/base/units/unitSettings'

/** The boxwood ruler both views share; stations rearward of the datum. */
const { focus, projection, width, units } = defineProps<{
  focus: Focus
  projection: Projection
  width: number
  units: UnitSettings
}>()
const LENGTH = { long: 16, middle: 11, short: 7 } as const
const marks = computed(() => rulerMarks(focus, projection.pxPerMm, units.length))
const label = (station: number) =>
  formatLength(station, units)
    .replace(/ (mm|cm|m)$/, '')
    .replace(/\.0+$/, '')
</script>

<template>
  <g class="ruler">
    <rect :width="width" height="34" class="wood" />
    <template v-for="mark in marks" :key="mark.station">
      <line
        :x1="projection.x(mark.station)"
        :x2="projection.x(mark.station)"
        y1="0"
        :y2="LENGTH[mark.rank]"
      />
      <text v-if="mark.rank === 'long'" :x="projection.x(mark.station)" y="29">{{
        label(mark.station)
      }}</text>
    </template>
  </g>
</template>

<style scoped>
.wood {
  fill: var(--ruler);
}
line {
  stroke: var(--ruler-ink);
  stroke-width: 1.1;
}
text {
  fill: var(--ruler-ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 13px;
  text-anchor: middle;
}
</style>
