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
/** One path: the marks are many, and all of them move when the picture does. */
const ticks = computed(() =>
  marks.value.map(({ station, rank }) => `M${projection.x(station)} 0v${LENGTH[rank]}`).join(''),
)
const numbered = computed(() => marks.value.filter(({ rank }) => rank === 'long'))
const label = (station: number) =>
  formatLength(station, units)
    .replace(/ (mm|cm|m)$/, '')
    .replace(/\.0+$/, '')
</script>

<template>
  <g class="ruler">
    <rect :width="width" height="34" class="wood" />
    <path :d="ticks" />
    <text v-for="{ station } in numbered" :key="station" :x="projection.x(station)" y="29">{{
      label(station)
    }}</text>
  </g>
</template>

<style scoped>
.wood {
  fill: var(--ruler);
}
path {
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
