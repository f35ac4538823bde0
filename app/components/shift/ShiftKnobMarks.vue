<script setup lang="ts">
import type { KnobDrawn } from '~~/core/drawing/shiftScene'

/** The knob of a lever in every gate, its stem in the one that is looked at, and what a hand may strike. */
const { knob, from } = defineProps<{ knob: KnobDrawn; from: readonly [number, number] }>()
const line = (start: readonly [number, number], end: readonly [number, number]) =>
  `M${start.join(' ')}L${end.join(' ')}`
</script>

<template>
  <g>
    <circle
      v-for="(near, k) in knob.near"
      :key="`near-${k}`"
      :cx="near.at[0]"
      :cy="near.at[1]"
      :r="near.radius"
      class="near"
      :class="{ close: near.isClose }"
    />
    <circle v-for="(at, k) in knob.gates" :key="k" :cx="at[0]" :cy="at[1]" r="6" class="knob-gate" />
    <path :d="line(from, knob.at)" class="stem" />
    <circle :cx="knob.at[0]" :cy="knob.at[1]" r="11" class="knob" />
  </g>
</template>

<style scoped>
.stem {
  stroke: var(--accent);
  stroke-width: 5;
  stroke-linecap: round;
}
.knob {
  fill: var(--accent);
  stroke: var(--card);
  stroke-width: 2;
}
.knob-gate {
  fill: var(--wash);
  stroke: var(--part-line);
}
.near {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 5 4;
  stroke-width: 1.5;
}
.near.close {
  stroke: var(--out);
}
</style>
