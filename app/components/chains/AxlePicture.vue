<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import type { LiveAxleFigures } from '~~/core/model/liveAxle'
import { chainTexts } from '~/texts/chains'

/** A live axle from behind: what sits where along it, to scale along; the vehicle's left is to the left. */
const { axle } = defineProps<{ axle: LiveAxleFigures }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 520)
const PAD = 20
const MIDDLE = 62
const HALF = { bearing: 22, hub: 34, sprocket: 46, brake: 38 } as const
const shown = computed(() => {
  const wide = Math.max(160, width.value)
  const lefts = axle.stations.map(({ leftMm }) => leftMm)
  const [most, least] = [Math.max(...lefts), Math.min(...lefts)]
  const reach = axle.lengthMm.known ? (axle.body.beyondMm ?? 0) : 0
  const span = Math.max(1, most - least + 2 * reach)
  const x = (leftMm: number) => PAD + ((most + reach - leftMm) / span) * (wide - 2 * PAD)
  return {
    wide,
    shaft: { x: x(most + reach), width: wide - 2 * PAD },
    marks: axle.stations.map((station) => ({ ...station, x: x(station.leftMm), half: HALF[station.what] })),
  }
})
</script>

<template>
  <figure ref="box">
    <svg
      v-if="axle.stations.length > 1"
      :viewBox="`0 0 ${shown.wide} 124`"
      height="124"
      width="100%"
      role="img"
      :aria-label="chainTexts.axle.picture(axle.body.name)"
    >
      <rect v-bind="shown.shaft" :y="MIDDLE - 5" height="10" rx="2" class="shaft" />
      <g v-for="mark in shown.marks" :key="`${mark.what} ${mark.name}`">
        <title>{{ mark.name }}</title>
        <rect
          v-if="mark.what === 'bearing'"
          :x="mark.x - 9"
          :y="MIDDLE - mark.half"
          width="18"
          :height="mark.half * 2"
          rx="5"
          class="block"
        />
        <rect
          v-else
          :x="mark.x - (mark.what === 'hub' ? 5 : 3)"
          :y="MIDDLE - mark.half"
          :width="mark.what === 'hub' ? 10 : 6"
          :height="mark.half * 2"
          :class="mark.what"
        />
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.shaft,
.block,
.hub,
.brake {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.4;
}
.block {
  fill: var(--card);
  stroke: var(--ink);
}
.sprocket {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 2;
}
</style>
