<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { usePictureCross } from '~/composables/usePictureCross'
import { cards as words } from '~/texts/cards'
import { useCards } from '~/stores/cards'
import type { ShownPicture } from '~/stores/photos'

/** The card with its marks on it; tapped, or worked by arrow keys and Enter. */
const { picture } = defineProps<{ picture: ShownPicture }>()
const cards = useCards()
const box = useTemplateRef<HTMLElement>('box')
const svg = useTemplateRef<SVGSVGElement>('svg')
const width = useBoxWidth(box, 600)
/** Pixels of the picture in one of the screen: marks keep their size whatever the picture's. */
const perPx = computed(() => picture.widthPx / Math.max(1, width.value))
const { cross, pixelAt, stepped } = usePictureCross(() => picture, svg)
const isKeyed = ref(false)
const path = computed(() => cards.outline.map(([x, y]) => `${x} ${y}`).join('L'))

function tap(event: PointerEvent) {
  if (event.button !== 0) return
  isKeyed.value = false
  cross.value = pixelAt(event)
  cards.set(cross.value)
}
function key(event: KeyboardEvent) {
  const next = stepped(cross.value, event)
  if (next) {
    isKeyed.value = true
    cross.value = next
  } else if (event.key === 'Enter') cards.set(cross.value)
  else return
  event.preventDefault()
}
/** An upright cross about a place. */
const plus = ([x, y]: readonly [number, number], long: number) =>
  `M${x - long} ${y}h${2 * long}M${x} ${y - long}v${2 * long}`
</script>

<template>
  <div ref="box" class="canvas">
    <svg
      ref="svg"
      :viewBox="`0 0 ${picture.widthPx} ${picture.heightPx}`"
      tabindex="0"
      role="application"
      :aria-label="words.canvas(words.toolName(cards.tool))"
      data-testid="card-picture"
      @pointerup="tap"
      @keydown="key"
      @blur="isKeyed = false"
    >
      <image :href="picture.url" :width="picture.widthPx" :height="picture.heightPx" />
      <g :style="{ '--px': perPx }">
        <path
          v-if="cards.outline.length > 1"
          :d="`M${path}${cards.outline.length > 2 ? 'Z' : ''}`"
          class="metal"
        />
        <g v-for="{ tool, at } in cards.marks" :key="words.toolName(tool)" class="mark">
          <circle :cx="at[0]" :cy="at[1]" :r="11 * perPx" />
          <path :d="plus(at, 9 * perPx)" />
          <text :x="at[0] + 12 * perPx" :y="at[1] - 8 * perPx" :font-size="15 * perPx">
            {{ words.toolShort(tool) }}
          </text>
        </g>
        <path v-if="isKeyed" class="cross" :d="plus(cross, 16 * perPx)" />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.canvas {
  background: var(--wash);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
svg {
  display: block;
  width: 100%;
  max-height: 64vh;
  touch-action: pan-y;
  cursor: crosshair;
}
svg:focus-visible {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
.mark circle {
  fill: rgb(255 255 255 / 0.55);
}
.mark path {
  fill: none;
  stroke: #b3261e;
  stroke-width: calc(2px * var(--px));
}
.mark text {
  fill: #b3261e;
  font-weight: 600;
  paint-order: stroke;
  stroke: #fff;
  stroke-width: calc(4px * var(--px));
}
.metal {
  fill: rgb(11 79 138 / 0.16);
  stroke: #0b4f8a;
  stroke-width: calc(2px * var(--px));
}
.cross {
  fill: none;
  stroke: #d97706;
  stroke-width: calc(2px * var(--px));
}
</style>
