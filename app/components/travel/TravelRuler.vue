<script setup lang="ts">
import { alongRuler } from '~~/core/drawing/travelPicture'
import { travelTexts as words } from '~/texts/travel'

/** The ruler of the wheels' travel, in mm from ride height, with a mark to drag or to move by keys. */
const { along, width } = defineProps<{ along: readonly number[]; width: number; placeWords: string }>()
const atMm = defineModel<number>({ required: true })
const ends = computed(() => [along[0] ?? 0, along.at(-1) ?? 0] as const)
const x = computed(() => alongRuler(along, width))
const ticks = computed(() => {
  const [from, to] = ends.value
  const list: number[] = []
  for (let mm = Math.ceil(from / 10) * 10; mm <= to; mm += 10) list.push(mm)
  return list
})
</script>

<template>
  <div class="ruler" :style="{ width: `${width}px` }">
    <svg :width="width" height="26" aria-hidden="true">
      <rect :width="width" height="26" class="tape" />
      <path v-for="mm in ticks" :key="mm" :d="`M${x(mm)} 0V${mm % 50 === 0 ? 13 : 7}`" class="tick" />
      <template v-for="mm in ticks" :key="`n${mm}`">
        <text v-if="mm % 50 === 0" :x="Math.min(width - 16, Math.max(16, x(mm)))" y="23" class="figure">
          {{ mm === 0 ? words.ride : mm > 0 ? `+${mm}` : `−${-mm}` }}
        </text>
      </template>
    </svg>
    <!-- Its mark stands where the pointer is, at the ends too. -->
    <div class="slider">
      <USlider
        v-model="atMm"
        :min="ends[0]"
        :max="ends[1]"
        :aria-label="words.ruler"
        :aria-valuetext="placeWords"
        thumb-alignment="overflow"
        data-testid="travel-ruler"
      />
    </div>
  </div>
</template>

<style scoped>
.ruler {
  position: relative;
  height: 40px;
}
svg {
  display: block;
  overflow: visible;
}
.tape {
  fill: var(--ruler);
}
.tick {
  stroke: var(--ruler-ink);
  stroke-width: 1.2;
}
.figure {
  font-family: var(--font-figure);
  font-size: 12px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--ruler-ink);
}
.slider {
  position: absolute;
  inset: 0;
  cursor: ew-resize;
}
.slider :deep([data-slot='root']) {
  height: 100%;
  touch-action: pan-y;
}
.slider :deep([data-slot='track']) {
  height: 100%;
  background: none;
}
.slider :deep([data-slot='range']) {
  background: none;
}
/* As narrow as the line that it stands for: its mark hangs on it. */
.slider :deep([data-slot='thumb']) {
  width: 1px;
  height: 40px;
  border-radius: 0;
  background: none;
  box-shadow: none;
}
.slider :deep([data-slot='thumb'])::after {
  content: '';
  position: absolute;
  bottom: 1px;
  left: -9px;
  width: 18px;
  height: 13px;
  background: var(--accent);
  clip-path: polygon(0 0, 100% 0, 50% 100%);
}
.slider :deep([data-slot='thumb']:focus-visible) {
  outline: none;
}
.slider:has(:focus-visible) {
  outline: 2.4px solid var(--accent);
  outline-offset: 2px;
}
</style>
