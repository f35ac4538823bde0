<script setup lang="ts">
import type { HumpScene } from '~~/core/drawing/humpScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { useFormat } from '~/composables/useFormat'
import { humps as words } from '~/texts/ways'

/** A vehicle on its way over a hump, and the hand that rolls it. */
const { sceneOf, from, to, at, order } = defineProps<{
  sceneOf: (width: number) => HumpScene | null
  from: number
  to: number
  at: number
  /** Low points as they are numbered. */
  order: readonly string[]
}>()
const emit = defineEmits<{ roll: [frontMm: number] }>()
const { length } = useFormat()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scene = computed(() => sceneOf(Math.max(300, Math.floor(width.value))))
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
const where = computed(() => `${words.at} ${length(Math.abs(at))} ${at >= 0 ? words.past : words.before}`)
const STEP_MM = 10
</script>

<template>
  <div ref="box" class="drawn">
    <template v-if="scene">
      <p class="soft caption">{{ words.picture }}</p>
      <svg
        :viewBox="`0 0 ${scene.width} ${scene.height}`"
        :width="scene.width"
        :height="scene.height"
        role="img"
        :aria-label="words.picture"
        data-testid="hump-drawing"
      >
        <polygon :points="points(scene.ground)" class="ground" />
        <polyline :points="points(scene.belly)" class="belly" />
        <circle
          v-for="(tyre, i) in scene.tyres"
          :key="i"
          :cx="tyre.at[0]"
          :cy="tyre.at[1]"
          :r="tyre.radius"
          class="tyre"
        />
        <g v-for="low in scene.lows" :key="low.id" :class="{ out: low.gapMm <= 0 }" class="low">
          <path :d="`M${low.at.join(' ')}L${low.ground.join(' ')}`" />
          <circle :cx="low.at[0]" :cy="low.at[1]" r="4.5" />
          <text :x="low.at[0]" :y="low.at[1] - 9" text-anchor="middle">{{ order.indexOf(low.id) + 1 }}</text>
        </g>
      </svg>
      <div class="roll">
        <span class="figure">{{ where }}</span>
        <USlider
          :model-value="Math.round(at)"
          :min="Math.round(from)"
          :max="Math.round(to)"
          :step="STEP_MM"
          thumb-alignment="overflow"
          :aria-label="words.roll"
          :aria-valuetext="where"
          class="slider"
          @update:model-value="emit('roll', Number($event))"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.ground {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.tyre {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
.belly {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
.low circle {
  fill: var(--accent);
}
.low path {
  stroke: var(--accent);
  stroke-width: 2;
}
text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
  fill: var(--ink);
}
.low.out circle {
  fill: var(--out);
}
.low.out path {
  stroke: var(--out);
}
.roll {
  display: grid;
  gap: 2px;
  padding: 6px 14px 8px;
}
.slider {
  min-height: 32px;
}
</style>
