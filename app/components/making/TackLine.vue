<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { welds as words } from '~/texts/welds'
import { useWelds } from '~/stores/welds'

/** The seam with its tacks: which are made, which is next. */
const welds = useWelds()
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 700)
const scene = computed(() => welds.scene(Math.max(280, Math.floor(width.value))))
const made = computed(() => welds.weld?.tacked ?? 0)
const HIGH = 64
</script>

<template>
  <section ref="box" aria-labelledby="weld-tacks">
    <h2 id="weld-tacks">{{ words.tacks }}</h2>
    <svg
      v-if="scene"
      :viewBox="`0 0 ${scene.width} ${HIGH}`"
      :width="scene.width"
      :height="HIGH"
      role="img"
      :aria-label="words.seamPicture"
      data-testid="tack-line"
    >
      <path :d="`M18 40H${scene.width - 18}`" class="seam" />
      <g v-for="tack in scene.tacks" :key="tack.number" :class="{ done: tack.isDone, next: tack.isNext }">
        <rect :x="tack.x - tack.long / 2" y="34" :width="tack.long" height="12" rx="5" class="tack" />
        <text :x="tack.x" y="24" text-anchor="middle">{{ tack.number }}</text>
      </g>
    </svg>
    <p class="figure" data-testid="tack-next">
      {{ made < welds.tacks ? words.next(made + 1, welds.tacks) : words.allTacked }}
    </p>
    <div class="does">
      <UButton :disabled="made >= welds.tacks" icon="i-lucide-check" @click="welds.tack(1)">{{
        words.tackDone
      }}</UButton>
      <UButton variant="outline" :disabled="made === 0" @click="welds.tack(-1)">{{ words.tackBack }}</UButton>
    </div>
  </section>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
}
.seam {
  stroke: var(--part-line);
  stroke-width: 3;
}
.tack {
  fill: var(--card);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.done .tack {
  fill: var(--ink);
  stroke: var(--ink);
}
.next .tack {
  fill: var(--accent);
  stroke: var(--accent);
}
text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 15px;
  fill: var(--soft);
}
.next text {
  fill: var(--accent);
  font-size: 18px;
}
.does {
  display: flex;
  gap: 8px;
  margin-top: 6px;
}
</style>
