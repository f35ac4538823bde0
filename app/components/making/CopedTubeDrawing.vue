<script setup lang="ts">
import type { CopedTubeScene } from '~~/core/drawing/copedTubeScene'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { tubes as words } from '~/texts/tubes'

/** A tube between those that it lies on, its match line up. */
const { sceneOf } = defineProps<{ sceneOf: (width: number) => CopedTubeScene | null }>()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 760)
const scene = computed(() => sceneOf(Math.max(300, Math.floor(width.value))))
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
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
        data-testid="tube-drawing"
      >
        <polygon v-for="(main, i) in scene.mains" :key="i" :points="points(main)" class="main" />
        <polygon :points="points(scene.behind)" class="behind" />
        <polygon :points="points(scene.front)" class="front" />
        <path :d="`M${scene.match[0].join(' ')}L${scene.match[1].join(' ')}`" class="match" />
        <text
          :x="(scene.match[0][0] + scene.match[1][0]) / 2"
          :y="scene.match[0][1] - 7"
          text-anchor="middle"
        >
          {{ words.matchLine }}
        </text>
      </svg>
    </template>
  </div>
</template>

<style scoped>
.main {
  fill: var(--wash);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.front {
  fill: var(--part);
  stroke: var(--ink);
  stroke-width: 2;
}
.behind {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.25;
  stroke-dasharray: 5 4;
}
.match {
  fill: none;
  stroke: var(--accent);
  stroke-width: 3;
}
text {
  font-size: 13px;
  fill: var(--accent);
  font-weight: 600;
}
</style>
