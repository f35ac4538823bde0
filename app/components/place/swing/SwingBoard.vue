<script setup lang="ts">
import { useRafFn } from '@vueuse/core'
import type { Place2 } from '~~/core/base/outline/polygon'
import { labelPlace } from '~~/core/bay/swing/swingPicture'
import { texts } from '~/texts/en'
import { useWayIn } from '~/stores/wayIn'

/** The unit among what it has to pass, seen from the right; a slider and the arrow keys take it along its way. */
const wayIn = useWayIn()
const words = texts.wayIn
/** Seconds the whole way takes when it is shown. */
const SHOWN_S = 9

const view = computed(() => {
  const extent = wayIn.extent
  if (!extent) return null
  const [left, right, low, high] = extent
  return { box: `${left} ${-high} ${right - left} ${high - low}`, label: (right - left) / 46 }
})
const path = (corners: readonly Place2[], isOpen = false) =>
  `M${corners.map(([x, z]) => `${x.toFixed(1)} ${(-z).toFixed(1)}`).join('L')}${isOpen ? '' : 'Z'}`
const obstacles = computed(() =>
  wayIn.setup?.known
    ? wayIn.setup.value.obstacles.map(({ name, outline, isOpen }) => ({
        name,
        isOpen: isOpen === true,
        d: path(outline, isOpen),
        label: labelPlace(outline),
      }))
    : [],
)
const {
  isActive: isPlaying,
  pause,
  resume,
} = useRafFn(
  ({ delta }) => {
    wayIn.along = Math.min(1, wayIn.along + delta / 1000 / SHOWN_S)
    if (wayIn.along >= 1) pause()
  },
  { immediate: false },
)
function toggle() {
  if (isPlaying.value) return pause()
  if (wayIn.along >= 1) wayIn.along = 0
  resume()
}
</script>

<template>
  <div v-if="view && wayIn.picture" class="swing">
    <svg :viewBox="view.box" role="img" :aria-label="words.picture" data-testid="swing">
      <path :d="path(wayIn.picture.ground, true)" class="ground" />
      <path
        v-for="one in obstacles"
        :key="one.name + one.d"
        :d="one.d"
        class="obstacle"
        :class="{ open: one.isOpen }"
      />
      <template v-if="wayIn.way">
        <g v-for="(pieces, end) in wayIn.ends" :key="end" class="ghost">
          <path v-for="(piece, index) in pieces" :key="index" :d="path(piece)" />
        </g>
      </template>
      <g class="unit" data-testid="swing-unit">
        <path v-for="(piece, index) in wayIn.picture.pieces" :key="index" :d="path(piece)" />
      </g>
      <text
        v-for="one in obstacles"
        :key="`${one.name}-name`"
        :x="one.label[0]"
        :y="-one.label[1] - 14"
        :font-size="view.label"
        class="label"
      >
        {{ one.name }}
      </text>
    </svg>
    <div v-if="wayIn.way" class="scrub">
      <UButton
        :icon="isPlaying ? 'i-lucide-pause' : 'i-lucide-play'"
        variant="outline"
        :aria-label="isPlaying ? words.pause : words.play"
        @click="toggle"
      />
      <USlider
        v-model="wayIn.along"
        :min="0"
        :max="1"
        :step="0.005"
        :aria-label="words.scrub"
        data-testid="swing-along"
      />
    </div>
  </div>
</template>

<style scoped>
.swing {
  padding: 8px 12px 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
svg {
  display: block;
  width: 100%;
  max-height: 54vh;
}
.ground {
  stroke: var(--part-line);
  stroke-width: 5;
  stroke-dasharray: 22 12;
}
.obstacle {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 4;
}
.open {
  fill: none;
  stroke-width: 6;
}
.label {
  fill: var(--soft);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 8;
}
.ghost path {
  fill: none;
  stroke: var(--part-line);
  stroke-width: 3;
  stroke-dasharray: 10 8;
  opacity: 0.6;
}
.unit path {
  fill: var(--wash);
  fill-opacity: 0.75;
  stroke: var(--accent);
  stroke-width: 5;
}
.scrub {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-top: 10px;
}
</style>
