<script setup lang="ts">
import { ARROW_TIMES, type PlateScene } from '~~/core/drawing/plateScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { plates as words } from '~/texts/making'

/** A plate with its holes, and the bolts where they come through. */
const { sceneOf } = defineProps<{ sceneOf: (width: number) => PlateScene | null }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scene = computed(() => sceneOf(Math.max(300, Math.floor(width.value))))
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
const hasArrow = computed(() => scene.value?.holes.some(({ opens }) => opens) ?? false)
</script>

<template>
  <div v-if="scene" ref="box" class="drawn">
    <p class="soft caption">{{ words.picture }}</p>
    <svg
      :viewBox="`0 0 ${scene.width} ${scene.height}`"
      :width="scene.width"
      :height="scene.height"
      role="img"
      :aria-label="words.picture"
      data-testid="plate-drawing"
    >
      <polygon :points="points(scene.outline)" class="metal" />
      <polygon
        v-for="zone in scene.zones"
        :key="zone.id"
        :points="points(zone.points)"
        class="zone"
        :class="{ hit: zone.isHit }"
      />
      <g v-for="hole in scene.holes" :key="hole.id">
        <circle
          :cx="hole.at[0]"
          :cy="hole.at[1]"
          :r="hole.radius"
          class="hole"
          :class="{ opens: hole.opens }"
        />
        <circle
          v-if="hole.bolt"
          :cx="hole.bolt.at[0]"
          :cy="hole.bolt.at[1]"
          :r="hole.bolt.radius"
          class="bolt"
        />
        <path
          v-if="hole.opens"
          :d="`M${hole.at.join(' ')}L${hole.opens.join(' ')}`"
          class="arrow"
          marker-end="url(#open)"
        />
        <text :x="hole.at[0] + hole.radius + 7" :y="hole.at[1] - hole.radius - 3">{{ hole.id }}</text>
      </g>
      <defs>
        <marker
          id="open"
          viewBox="0 0 10 10"
          refX="8"
          refY="5"
          markerWidth="4.5"
          markerHeight="4.5"
          orient="auto"
        >
          <path d="M0 0L10 5L0 10z" class="head" />
        </marker>
      </defs>
    </svg>
    <p v-if="hasArrow" class="soft caption">{{ words.arrows(ARROW_TIMES) }}</p>
  </div>
  <div v-else ref="box" />
</template>

<style scoped>
.metal {
  fill: var(--part);
  stroke: var(--ink);
  stroke-width: 2;
}
.zone {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 6 4;
  stroke-width: 2;
}
.zone.hit {
  stroke: var(--out);
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.hole.opens {
  stroke: var(--out);
  stroke-width: 2.5;
}
.bolt {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2;
}
.arrow {
  stroke: var(--out);
  stroke-width: 2.5;
}
.head {
  fill: var(--out);
}
text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 17px;
  fill: var(--ink);
}
</style>
