<script setup lang="ts">
import type { Pattern } from '~~/core/vehicle/halfshaft/pattern'
import { patternPicture } from '~~/core/drawing/patternPicture'
import type { DonorPattern } from '~~/core/file/parts/donorPattern'
import { useFormat } from '~/composables/useFormat'

/** Both pieces side by side, with the two marks and the middle between them. */
const { read, pattern } = defineProps<{ read: DonorPattern; pattern: Pattern }>()
const { length } = useFormat()
const drawn = computed(() => patternPicture(read, pattern))
</script>

<template>
  <svg :viewBox="`0 0 ${drawn.width} 150`" role="img" :aria-label="length(pattern.shaftMm)">
    <rect :x="drawn.inner.from" y="40" :width="drawn.inner.to - drawn.inner.from" height="16" class="inner" />
    <rect :x="drawn.outer.from" y="60" :width="drawn.outer.to - drawn.outer.from" height="16" class="outer" />
    <circle :cx="drawn.inner.from" cy="58" r="22" class="joint" />
    <circle :cx="drawn.outer.to" cy="58" r="22" class="joint" />
    <path
      v-for="mark in drawn.marks"
      :key="mark.key"
      :d="`M${mark.x} 30V86`"
      class="mark"
      :class="mark.key"
    />
    <path :d="`M${drawn.inner.from} 84V124M${drawn.outer.to} 84V124`" class="hair" />
    <path :d="`M${drawn.inner.from} 116H${drawn.outer.to}`" class="dimension" />
    <text :x="drawn.width / 2" y="140">{{ length(pattern.shaftMm) }}</text>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  max-width: 640px;
}
.inner {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.5;
}
.outer {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.joint {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.mark {
  stroke: var(--part-line);
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
}
.mark.set {
  stroke: var(--accent);
  stroke-width: 2.6;
  stroke-dasharray: none;
}
.hair {
  stroke: var(--hair);
}
.dimension {
  stroke: var(--ink);
  stroke-width: 1.4;
}
text {
  fill: var(--ink);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 17px;
  text-anchor: middle;
}
</style>
