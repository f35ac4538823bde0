<script setup lang="ts">
import type { Projection } from '~~/core/drawing/projection'
import { roomyNames } from '~~/core/drawing/roomyNames'
import type { Shape, View, ViewPoint } from '~~/core/drawing/shape'

/** Shapes of one view, from mm to px; ghosts are drawn as dashed outlines. */
const {
  shapes,
  view,
  projection,
  ghost,
  marked = '',
  named,
} = defineProps<{
  shapes: readonly Shape[]
  view: View
  projection: Projection
  ghost?: boolean
  /** Name of what is looked at. */
  marked?: string
  /** Shapes say their names where there is room. */
  named?: boolean
}>()
const emit = defineEmits<{ look: [name: string] }>()
const y = (value: number) => (view === 'side' ? projection.sideY(value) : projection.topY(value))
const path = (points: readonly ViewPoint[]) =>
  points.map(([station, level]) => `${projection.x(station).toFixed(1)},${y(level).toFixed(1)}`).join(' ')
/** Where the name of what is looked at stands: over its top left corner. */
const names = computed(() =>
  marked === ''
    ? []
    : shapes.flatMap((shape) => {
        if (shape.form === 'circle' || shape.name !== marked) return []
        const left = Math.min(...shape.points.map(([station]) => projection.x(station)))
        const top = Math.min(...shape.points.map(([, level]) => y(level)))
        return [{ name: shape.name, left, top: Math.max(14, top - 5) }]
      }),
)
const roomy = computed(() =>
  named
    ? roomyNames(shapes, ([station, level]) => [projection.x(station), y(level)]).filter(
        ({ name }) => name !== marked,
      )
    : [],
)
</script>

<template>
  <g :class="{ ghost }">
    <template v-for="(shape, i) in shapes" :key="i">
      <ellipse
        v-if="shape.form === 'circle'"
        :class="[shape.part, { usual: shape.isUsual, sweep: shape.isSweep }]"
        :cx="projection.x(shape.centre[0])"
        :cy="y(shape.centre[1])"
        :rx="shape.radius * projection.pxPerMm"
        :ry="shape.radius * projection.pxPerMm * projection.exaggeration"
      />
      <polygon
        v-else-if="shape.form === 'polygon'"
        :class="[
          shape.part,
          {
            usual: shape.isUsual,
            sweep: shape.isSweep,
            cardboard: shape.isProvisional,
            marked: marked !== '' && shape.name === marked,
          },
        ]"
        :points="path(shape.points)"
        @pointerenter="shape.name && emit('look', shape.name)"
        @pointerleave="shape.name && emit('look', '')"
      >
        <title v-if="shape.name">{{ shape.name }}</title>
      </polygon>
      <polyline v-else :class="shape.part" :points="path(shape.points)" />
    </template>
    <text v-for="one in roomy" :key="`in ${one.name}`" :x="one.x" :y="one.y + 4" class="inside">{{
      one.name
    }}</text>
    <text v-for="one in names" :key="`${one.name}${one.left}`" :x="one.left" :y="one.top" class="name">
      {{ one.name }}
    </text>
  </g>
</template>

<style scoped>
polygon,
ellipse,
polyline {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.3;
  stroke-linejoin: round;
}
.powertrain {
  fill: var(--wash);
  stroke: var(--accent);
  stroke-width: 1.8;
}
.axle {
  fill: var(--part);
}
.item {
  fill: var(--card);
  fill-opacity: 0.45;
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.shell {
  stroke: var(--part-line);
  stroke-width: 2.2;
}
polygon.shell {
  fill: var(--part);
}
.rail {
  fill: var(--part);
  stroke: var(--hair);
  fill-opacity: 0.7;
}
.tyre {
  stroke: var(--hair);
  stroke-width: 1.6;
}
.ground {
  stroke: var(--soft);
}
polygon.shaft {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
polyline.shaft {
  stroke: var(--ink);
  stroke-width: 4;
}
.axis-line {
  stroke: var(--accent);
  stroke-dasharray: 14 4 2.5 4;
}
.cardboard {
  stroke-dasharray: 6 4;
}
.name {
  fill: var(--accent);
  font-size: 13px;
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
  pointer-events: none;
}
.inside {
  fill: var(--soft);
  font-size: 12px;
  text-anchor: middle;
  pointer-events: none;
}
.marked {
  stroke: var(--accent);
  stroke-width: 2.6;
}
.usual {
  fill: none;
  stroke-dasharray: 7 5;
}
.sweep {
  fill: none;
  stroke-width: 1;
  stroke-dasharray: 2 4;
}
.ghost > * {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 1.2;
  stroke-dasharray: 5 4;
}
.ghost > .tyre {
  stroke: none;
}
</style>
