<script setup lang="ts">
import { windowBar } from '~~/core/drawing/windowBar'
import type { Check } from '~~/core/check/check'

const { check } = defineProps<{ check: Check }>()
const WIDTH = 100
const bar = computed(() => windowBar(check))
const stretch = ({ from, to }: { from: number; to: number }) => ({
  x: from * WIDTH,
  width: Math.max(0, to - from) * WIDTH,
})
const whiskerPath = ({ from, to }: { from: number; to: number }) =>
  `M${from * WIDTH} 4.5V10.5M${from * WIDTH} 7.5H${to * WIDTH}M${to * WIDTH} 4.5V10.5`
</script>

<template>
  <svg class="bar" :viewBox="`0 0 ${WIDTH} 16`" preserveAspectRatio="none" aria-hidden="true">
    <rect
      v-for="(strip, i) in bar.warning"
      :key="i"
      v-bind="stretch(strip)"
      y="3"
      height="9"
      class="warning"
    />
    <rect v-if="bar.allowed" v-bind="stretch(bar.allowed)" y="3" height="9" class="allowed" />
    <line x1="0" y1="12.5" :x2="WIDTH" y2="12.5" class="base" vector-effect="non-scaling-stroke" />
    <path
      v-if="bar.whisker"
      :d="whiskerPath(bar.whisker)"
      class="whisker"
      vector-effect="non-scaling-stroke"
    />
    <line
      v-if="bar.tick !== null"
      :x1="Math.max(1, Math.min(WIDTH - 1, bar.tick * WIDTH))"
      :x2="Math.max(1, Math.min(WIDTH - 1, bar.tick * WIDTH))"
      y1="0"
      y2="16"
      class="tick"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>

<style scoped>
.bar {
  width: 100%;
  height: 16px;
  display: block;
}
.allowed {
  fill: var(--holds-band);
}
.warning {
  fill: var(--tight-band);
}
.base {
  stroke: var(--hair);
  stroke-width: 1;
}
.whisker {
  stroke: var(--ink);
  stroke-width: 1.5;
  fill: none;
}
.tick {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
