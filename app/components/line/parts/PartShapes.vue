<script setup lang="ts">
import type { PartShape } from '~~/core/show/parts/partsScene'

/** What is drawn of one part, about the axis of the line. */
defineProps<{ shapes: readonly PartShape[] }>()
const corners = (points: readonly (readonly [number, number])[]) =>
  points.map((point) => point.join(',')).join(' ')
</script>

<template>
  <g>
    <template v-for="(shape, i) in shapes" :key="i">
      <polygon v-if="shape.kind === 'outline'" :points="corners(shape.points)" :class="shape.look" />
      <circle v-else-if="shape.kind === 'circle'" :cx="shape.x" :r="shape.r" :class="shape.look" />
      <path v-else :d="`M${shape.from.join(' ')}L${shape.to.join(' ')}`" class="part" />
    </template>
  </g>
</template>

<style scoped>
.part {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.body {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.8;
}
.support {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.8;
}
.missing {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.8;
  stroke-dasharray: 6 4;
}
</style>
