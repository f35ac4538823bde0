<script setup lang="ts">
import type { BulkheadScene } from '~~/core/drawing/bulkheadScene'
import type { HolePlace } from '~~/core/model/cableBand'
import { placeInDrawing } from '~/composables/placeInDrawing'
import { useBoxWidth } from '~/composables/useBoxWidth'
import { cables as words } from '~/texts/cables'

/** A bulkhead from the driver's side: the band where the hole may be, and the hole, dragged or moved by key. */
const { sceneOf, hole } = defineProps<{
  sceneOf: (width: number) => BulkheadScene | null
  hole: HolePlace
  /** What the way takes through the place where the hole is held; empty while it is not. */
  told: string
}>()
const emit = defineEmits<{ hold: [place: HolePlace | null]; move: [place: HolePlace] }>()
const box = useTemplateRef<HTMLElement>('box')
const svg = useTemplateRef<SVGSVGElement>('svg')
const width = useBoxWidth(box, 600)
const scene = computed(() => sceneOf(Math.max(280, Math.floor(width.value))))
const points = (all: readonly (readonly [number, number])[]) => all.map((one) => one.join(',')).join(' ')
/** Where it is held, in px. */
const held = ref<readonly [number, number] | null>(null)
let frame = 0

function grab(event: PointerEvent) {
  if (event.button !== 0) return
  const target = event.currentTarget
  if (target instanceof Element) target.setPointerCapture(event.pointerId)
  follow(event)
}
function follow(event: PointerEvent) {
  const px = placeInDrawing(svg.value, event)
  if (!px) return
  cancelAnimationFrame(frame)
  frame = requestAnimationFrame(() => {
    held.value = px
    if (scene.value) emit('hold', scene.value.placeAt(px))
  })
}
function drag(event: PointerEvent) {
  if (held.value) follow(event)
}
function drop(event: PointerEvent) {
  const px = placeInDrawing(svg.value, event)
  cancelAnimationFrame(frame)
  if (px && held.value && scene.value) emit('move', scene.value.placeAt(px))
  cancel()
}
function cancel() {
  held.value = null
  emit('hold', null)
}
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ...{ ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] },
}
const COARSE = 10
/** By a millimetre, by ten with Shift, to the side that the arrow shows. */
function step(event: KeyboardEvent) {
  const way = STEPS[event.key]
  const now = scene.value
  if (!way || !now) return
  event.preventDefault()
  const by = event.shiftKey ? COARSE : 1
  const side = now.placeAt([now.mark[0] + 1, now.mark[1]]).leftMm > 0 ? 1 : -1
  emit('move', { leftMm: hole.leftMm + side * by * way[0], upMm: hole.upMm + by * way[1] })
}
</script>

<template>
  <div ref="box" class="drawn">
    <p class="soft caption">{{ words.sheetPicture }}</p>
    <svg
      v-if="scene"
      ref="svg"
      :viewBox="`0 0 ${scene.width} ${scene.height}`"
      :width="scene.width"
      :height="scene.height"
      role="group"
      :aria-label="words.bulkhead"
      data-testid="bulkhead-picture"
    >
      <rect v-bind="scene.sheet" class="sheet" />
      <polygon v-for="(piece, k) in scene.band" :key="k" :points="points(piece)" class="band" />
      <g v-for="kept in scene.keptOff" :key="kept.id">
        <rect :x="kept.x" :y="kept.y" :width="kept.width" :height="kept.height" class="kept" />
        <text :x="kept.x + 4" :y="kept.y + 15" class="word">{{ kept.name }}</text>
      </g>
      <path
        :d="`M${scene.mark[0] - 9} ${scene.mark[1]}h18M${scene.mark[0]} ${scene.mark[1] - 9}v18`"
        class="mark"
      />
      <text :x="scene.mark[0] + 10" :y="scene.mark[1] - 6" class="word">{{ words.markWord }}</text>
      <template v-for="one in scene.holes" :key="one.id">
        <circle v-if="!one.isLooked" :cx="one.at[0]" :cy="one.at[1]" :r="one.radius" class="hole" />
        <g
          v-else
          class="own"
          tabindex="0"
          role="button"
          :aria-label="words.holeOf(one.name)"
          data-testid="cable-hole"
          @pointerdown="grab"
          @pointermove="drag"
          @pointerup="drop"
          @pointercancel="cancel"
          @keydown="step"
        >
          <circle :cx="(held ?? one.at)[0]" :cy="(held ?? one.at)[1]" r="22" class="room" />
          <circle :cx="(held ?? one.at)[0]" :cy="(held ?? one.at)[1]" :r="one.radius" class="hole" />
        </g>
      </template>
    </svg>
    <p class="caption" :class="told ? 'figure' : 'soft'" aria-live="polite" data-testid="hole-held">
      {{ told || words.sheetKey }}
    </p>
  </div>
</template>

<style scoped>
svg {
  display: block;
  max-width: 100%;
  touch-action: pan-y;
}
.sheet {
  fill: var(--part);
  fill-opacity: 0.5;
  stroke: var(--part-line);
  stroke-width: 2;
}
.band {
  fill: var(--holds);
  fill-opacity: 0.45;
  shape-rendering: crispEdges;
}
.kept {
  fill: var(--wash);
  stroke: var(--out);
  stroke-dasharray: 6 4;
}
.word {
  font-size: 12px;
  fill: var(--ink);
}
.mark {
  stroke: var(--ink);
  stroke-width: 2;
}
.hole {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.own {
  cursor: grab;
  touch-action: none;
}
.own .hole {
  stroke: var(--accent);
  stroke-width: 3;
}
.own .room {
  fill: transparent;
}
.own:focus-visible {
  outline: none;
}
.own:focus-visible .room {
  stroke: var(--accent);
  stroke-width: 2;
}
</style>
