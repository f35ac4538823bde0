<script setup lang="ts">
import type { Template } from '~~/core/making/templates/template'

/** A template on the screen, as wide as there is room. */
const { template } = defineProps<{ template: Template; label: string }>()
const EDGE = 6
const box = computed(() => {
  const [width, height] = template.size
  return `${-EDGE} ${-height - EDGE} ${width + 2 * EDGE} ${height + 2 * EDGE}`
})
const points = (all: readonly (readonly [number, number])[]) => all.map(([x, y]) => `${x},${-y}`).join(' ')
</script>

<template>
  <svg :viewBox="box" class="template" role="img" :aria-label="label" data-testid="template">
    <template v-for="(mark, i) in template.marks" :key="i">
      <polygon v-if="mark.form === 'outline'" :points="points(mark.points)" :class="mark.layer" />
      <path
        v-else-if="mark.form === 'line'"
        :d="`M${mark.from[0]} ${-mark.from[1]}L${mark.to[0]} ${-mark.to[1]}`"
        :class="mark.layer"
      />
      <circle
        v-else-if="mark.form === 'circle'"
        :cx="mark.at[0]"
        :cy="-mark.at[1]"
        :r="mark.radius"
        :class="mark.layer"
      />
    </template>
  </svg>
</template>

<style scoped>
.template {
  display: block;
  width: 100%;
  max-height: 190px;
}
.template :is(polygon, path, circle) {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.cut {
  stroke: var(--ink);
  stroke-width: 1.75;
}
.drill {
  stroke: var(--out);
}
.bend {
  stroke: var(--accent);
  stroke-dasharray: 7 4;
}
.scribe {
  stroke: var(--part-line);
}
</style>
