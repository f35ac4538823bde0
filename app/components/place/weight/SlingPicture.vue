<script setup lang="ts">
import type { SlingScene } from '~~/core/drawing/slingScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { texts } from '~/texts/en'

/** A unit as it hangs, from the side and to scale: hook or ring on top, its centre of gravity straight below. */
const { scene } = defineProps<{ scene: SlingScene }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 360)
const ROOM = 18
const MOST_HIGH = 260
const put = computed(() => {
  const [left, top, right, bottom] = scene.box
  // What it hangs from stays over the middle, and the unit under it.
  const half = Math.max(right, -left, 1)
  const scale = Math.min((width.value - 2 * ROOM) / (2 * half), MOST_HIGH / (bottom - top))
  return {
    height: (bottom - top) * scale + 2 * ROOM,
    x: (mm: number) => width.value / 2 + mm * scale,
    y: (mm: number) => ROOM + (mm - top) * scale,
    mm: scale,
  }
})
const at = ([x, y]: readonly [number, number]) => `${put.value.x(x).toFixed(1)} ${put.value.y(y).toFixed(1)}`
</script>

<template>
  <div ref="box">
    <svg
      :viewBox="`0 0 ${width} ${put.height}`"
      :width="width"
      :height="put.height"
      role="img"
      :aria-label="texts.weight.slingPicture"
      data-testid="sling-picture"
    >
      <template v-for="(shape, i) in scene.shapes" :key="i">
        <circle
          v-if="shape.form === 'circle'"
          :cx="put.x(shape.centre[0])"
          :cy="put.y(shape.centre[1])"
          :r="shape.radius * put.mm"
          :class="shape.part"
        />
        <path
          v-else
          :d="`M${shape.points.map(at).join('L')}${shape.form === 'polygon' ? 'Z' : ''}`"
          :class="[shape.part, { usual: shape.isUsual }]"
        />
      </template>
      <path :d="`M${at(scene.level[0])}L${at(scene.level[1])}`" class="level" />
      <path :d="`M${at([0, 0])}L${at(scene.centre)}`" class="plumb" />
      <g v-for="(leg, i) in scene.legs" :key="`leg${i}`">
        <path :d="`M${at([0, 0])}L${at(leg)}`" class="leg" />
        <circle :cx="put.x(leg[0])" :cy="put.y(leg[1])" r="4" class="end" />
      </g>
      <circle :cx="put.x(0)" :cy="put.y(0)" r="8" class="hook" />
      <circle :cx="put.x(scene.centre[0])" :cy="put.y(scene.centre[1])" r="6" class="centre" />
    </svg>
  </div>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
}
path,
circle {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.4;
  stroke-linejoin: round;
}
.powertrain {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.8;
}
.item,
.shell {
  fill: var(--card);
  fill-opacity: 0.5;
}
.usual {
  stroke-dasharray: 7 5;
}
.level {
  stroke: var(--accent);
  stroke-dasharray: 14 4 2.5 4;
}
.plumb {
  stroke: var(--soft);
  stroke-dasharray: 5 4;
}
.leg {
  stroke: var(--ink);
  stroke-width: 3;
}
.end {
  fill: var(--ink);
}
.hook {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 3;
}
.centre {
  fill: var(--accent);
  stroke: var(--card);
  stroke-width: 2;
}
</style>
