<script setup lang="ts">
import { TEXT_MM } from '~~/core/drawing/paper/dimensionRows'
import { paperDrawing } from '~~/core/drawing/paper/paperDrawing'
import type { PaperMark } from '~~/core/drawing/paper/paperMarks'
import type { SheetDrawing } from '~~/core/drawing/paper/sheetDrawing'

/** A drawing with its sizes as it lies on paper. */
const { drawing, name, room } = defineProps<{
  drawing: SheetDrawing
  name: string
  room: readonly [number, number]
}>()
const laid = computed(() => paperDrawing(drawing, room))
const pointsOf = (mark: Extract<PaperMark, { form: 'path' }>) =>
  mark.points.map((at) => at.join(',')).join(' ')
</script>

<template>
  <svg
    class="paper-drawing"
    :viewBox="`0 0 ${laid.size[0]} ${laid.size[1]}`"
    :style="{ '--wide': `${laid.size[0]}mm` }"
    role="img"
    :aria-label="name"
  >
    <template v-for="(mark, i) in laid.marks" :key="i">
      <text
        v-if="mark.form === 'text'"
        :x="mark.at[0]"
        :y="mark.at[1]"
        :font-size="TEXT_MM"
        :class="{ strong: mark.isStrong }"
        :transform="mark.isUpright ? `rotate(-90 ${mark.at[0]} ${mark.at[1]})` : undefined"
      >
        {{ mark.text }}
      </text>
      <circle
        v-else-if="mark.form === 'circle'"
        :cx="mark.at[0]"
        :cy="mark.at[1]"
        :r="mark.radius"
        :class="`look-${mark.look}`"
      />
      <polygon v-else-if="mark.isClosed" :points="pointsOf(mark)" :class="`look-${mark.look}`" />
      <polyline v-else :points="pointsOf(mark)" :class="`look-${mark.look}`" />
    </template>
  </svg>
</template>

<style scoped>
.paper-drawing {
  display: block;
  width: min(100%, calc(var(--wide) * 1.15));
  margin-inline: auto;
}
polygon,
polyline,
circle {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.35;
}
.look-hidden {
  stroke-width: 0.2;
  stroke-dasharray: 1.6 1;
}
.look-centre {
  stroke-width: 0.12;
  stroke-dasharray: 5 1 1 1;
}
.look-dimension {
  stroke-width: 0.15;
}
.look-main {
  stroke-width: 0.4;
}
.look-thin {
  stroke-width: 0.1;
}
.look-arrow {
  fill: var(--ink);
  stroke-width: 0.1;
}
text {
  fill: var(--ink);
  font-family: var(--font-figure);
  font-variant-numeric: tabular-nums;
}
.strong {
  font-weight: 600;
}
@media print {
  .paper-drawing {
    width: min(100%, var(--wide));
  }
}
</style>
