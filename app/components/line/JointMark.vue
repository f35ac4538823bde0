<script setup lang="ts">
import type { SceneJoint } from '~~/core/drawing/lineScene'

const { joint, x, y, small } = defineProps<{
  joint: Pick<SceneJoint, 'number' | 'verdict'>
  x: number
  y: number
  small?: boolean
}>()
const radius = computed(() => (small ? 9 : 13))
</script>

<template>
  <g :transform="`translate(${x.toFixed(1)} ${y.toFixed(1)})`" :class="joint.verdict">
    <circle :r="radius" class="ring" :stroke-dasharray="joint.verdict === 'unknown' ? '4 3' : undefined" />
    <text :y="small ? 4.5 : 5.5" :class="{ small }">{{ joint.number }}</text>
  </g>
</template>

<style scoped>
.ring {
  fill: var(--card);
  stroke: var(--unknown);
  stroke-width: 3;
}
.holds .ring {
  stroke: var(--holds);
}
.tight .ring {
  stroke: var(--tight);
}
.out .ring {
  stroke: var(--out);
}
text {
  fill: var(--ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
  text-anchor: middle;
}
.small {
  font-size: 12px;
}
</style>
