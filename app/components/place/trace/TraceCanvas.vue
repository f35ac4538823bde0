<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { usePictureCross } from '~/composables/usePictureCross'
import type { Pixel } from '~~/core/measure/tracing/photoScale'
import { cornersText } from '~~/core/show/text/cornerText'
import { useFormat } from '~/composables/useFormat'
import { texts } from '~/texts/en'
import type { ShownPicture } from '~/stores/photos'
import { useTracing, type TraceMark } from '~/stores/tracing'

/** The photograph with A, B and the corners on it; tapped, dragged, or worked by arrow keys. */
const { picture } = defineProps<{ picture: ShownPicture }>()
const tracing = useTracing()
const { units } = useFormat()
const words = texts.trace
const box = useTemplateRef<HTMLElement>('box')
const svg = useTemplateRef<SVGSVGElement>('svg')
const width = useBoxWidth(box, 800)
/** Pixels of the picture in one of the screen: marks keep their size whatever the picture's. */
const perPx = computed(() => picture.widthPx / Math.max(1, width.value))
/** So near to a side, in px of the screen, a tap is meant for it. */
const NEAR_PX = 12
const { cross, pixelAt, stepped } = usePictureCross(() => picture, svg)
const isKeyed = ref(false)
const path = computed(() => tracing.corners.map(([x, y]) => `${x} ${y}`).join('L'))
const isWhole = computed(() => tracing.corners.length > 2)
/** What the loupe looks at: what is in the hand, else the cross of the keys. */
const looked = computed(() => tracing.held?.pixel ?? (isKeyed.value ? cross.value : null))

function tap(event: PointerEvent) {
  if (event.button !== 0 || tracing.held) return
  isKeyed.value = false
  cross.value = pixelAt(event)
  tracing.set(cross.value, NEAR_PX * perPx.value)
}
function grab(event: PointerEvent, mark: TraceMark) {
  ;(event.currentTarget as SVGElement).setPointerCapture(event.pointerId)
  isKeyed.value = false
  tracing.held = { mark, pixel: pixelAt(event) }
}
function drag(event: PointerEvent) {
  if (tracing.held) tracing.held = { ...tracing.held, pixel: pixelAt(event) }
}
function release(event: PointerEvent) {
  const now = tracing.held
  if (now) tracing.moveTo(now.mark, pixelAt(event))
}

function keyOnPicture(event: KeyboardEvent) {
  const next = stepped(cross.value, event)
  if (next) {
    isKeyed.value = true
    cross.value = next
  } else if (event.key === 'Enter') tracing.set(cross.value, NEAR_PX * perPx.value)
  else if (event.key === 'Backspace' && tracing.corners.length > 0)
    tracing.removeCorner(tracing.corners.length - 1)
  else return
  event.preventDefault()
}
function keyOnMark(event: KeyboardEvent, mark: TraceMark, at: Pixel) {
  const next = stepped(at, event)
  if (next) tracing.moveTo(mark, next)
  else if (mark.tool === 'corner' && (event.key === 'Delete' || event.key === 'Backspace'))
    tracing.removeCorner(mark.index)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const spotText = (pixel: Pixel): string => {
  const place = tracing.placeOf(pixel)
  return place ? cornersText([place], units.value) : `${pixel[0]}, ${pixel[1]} px`
}
const ends = computed(() =>
  (['first', 'second'] as const).flatMap((tool) => {
    const at = tracing.points[tool]
    return at ? [{ tool, at, name: words[tool] }] : []
  }),
)
/** Half the side of what the loupe shows, in px of the picture. */
const LOUPE = 40
</script>

<template>
  <div ref="box" class="canvas">
    <svg
      ref="svg"
      class="picture"
      :viewBox="`0 0 ${picture.widthPx} ${picture.heightPx}`"
      tabindex="0"
      role="application"
      :aria-label="words.canvas"
      data-testid="trace-picture"
      @pointerup="tap"
      @keydown="keyOnPicture"
      @blur="isKeyed = false"
    >
      <image :href="picture.url" :width="picture.widthPx" :height="picture.heightPx" />
      <g :style="{ '--px': perPx }">
        <path v-if="tracing.corners.length > 1" :d="`M${path}${isWhole ? 'Z' : ''}`" class="under" />
        <path
          v-if="tracing.corners.length > 1"
          :d="`M${path}${isWhole ? 'Z' : ''}`"
          class="traced"
          :class="{ whole: isWhole }"
        />
        <line
          v-if="ends.length === 2"
          class="span"
          :x1="ends[0]!.at[0]"
          :y1="ends[0]!.at[1]"
          :x2="ends[1]!.at[0]"
          :y2="ends[1]!.at[1]"
        />
        <circle
          v-for="(at, i) in tracing.corners"
          :key="i"
          class="corner"
          tabindex="0"
          role="button"
          :aria-label="words.corner(i + 1, spotText(at))"
          :cx="at[0]"
          :cy="at[1]"
          :r="6 * perPx"
          @pointerdown.stop="grab($event, { tool: 'corner', index: i })"
          @pointermove="drag"
          @pointerup.stop="release"
          @pointercancel="tracing.held = null"
          @keydown="keyOnMark($event, { tool: 'corner', index: i }, at)"
        />
        <g
          v-for="{ tool, at, name } in ends"
          :key="tool"
          class="end"
          tabindex="0"
          role="button"
          :aria-label="words.where(name, spotText(at))"
          @pointerdown.stop="grab($event, { tool })"
          @pointermove="drag"
          @pointerup.stop="release"
          @pointercancel="tracing.held = null"
          @keydown="keyOnMark($event, { tool }, at)"
        >
          <circle :cx="at[0]" :cy="at[1]" :r="14 * perPx" class="reach" />
          <path
            :d="`M${at[0] - 12 * perPx} ${at[1]}h${24 * perPx}M${at[0]} ${at[1] - 12 * perPx}v${24 * perPx}`"
          />
          <text :x="at[0] + 12 * perPx" :y="at[1] - 8 * perPx" :font-size="18 * perPx">{{ name }}</text>
        </g>
        <path
          v-if="isKeyed"
          class="cross"
          :d="`M${cross[0] - 16 * perPx} ${cross[1]}h${32 * perPx}M${cross[0]} ${cross[1] - 16 * perPx}v${32 * perPx}`"
        />
      </g>
    </svg>
    <svg
      v-if="looked"
      class="loupe"
      :class="{ other: looked[0] < picture.widthPx / 3 && looked[1] < picture.heightPx / 2 }"
      :viewBox="`${looked[0] - LOUPE} ${looked[1] - LOUPE} ${2 * LOUPE} ${2 * LOUPE}`"
      aria-hidden="true"
    >
      <image :href="picture.url" :width="picture.widthPx" :height="picture.heightPx" />
      <path :d="`M${looked[0] - 12} ${looked[1]}h24M${looked[0]} ${looked[1] - 12}v24`" />
    </svg>
  </div>
</template>

<style scoped>
.canvas {
  position: relative;
  background: var(--wash);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.picture {
  display: block;
  width: 100%;
  max-height: 72vh;
  touch-action: pan-y;
  cursor: crosshair;
}
.picture:focus-visible {
  outline: 3px solid var(--accent);
  outline-offset: 2px;
}
path,
line {
  fill: none;
}
.under {
  stroke: #fff;
  stroke-width: calc(4.5px * var(--px));
  stroke-linejoin: round;
  opacity: 0.75;
}
.traced {
  stroke: #0b4f8a;
  stroke-width: calc(2px * var(--px));
  stroke-linejoin: round;
}
.whole {
  fill: rgb(11 79 138 / 0.16);
}
.span {
  stroke: #fff;
  stroke-width: calc(1.5px * var(--px));
  stroke-dasharray: calc(7px * var(--px)) calc(5px * var(--px));
}
.corner {
  fill: #fff;
  stroke: #0b4f8a;
  stroke-width: calc(2px * var(--px));
  cursor: move;
  touch-action: none;
}
.end {
  cursor: move;
  touch-action: none;
}
.end path {
  stroke: #b3261e;
  stroke-width: calc(2.5px * var(--px));
}
.reach {
  fill: rgb(255 255 255 / 0.55);
}
.end text {
  fill: #b3261e;
  font-weight: 600;
  paint-order: stroke;
  stroke: #fff;
  stroke-width: calc(4px * var(--px));
}
.corner:focus-visible,
.end:focus-visible .reach {
  outline: none;
  stroke: #d97706;
  stroke-width: calc(5px * var(--px));
}
.end:focus-visible {
  outline: none;
}
.cross {
  stroke: #d97706;
  stroke-width: calc(2px * var(--px));
}
.loupe {
  position: absolute;
  top: 10px;
  left: 10px;
  width: 160px;
  height: 160px;
  border: 2px solid #fff;
  border-radius: 50%;
  box-shadow: 0 1px 6px rgb(0 0 0 / 0.4);
  background: #777;
  pointer-events: none;
}
.loupe.other {
  left: auto;
  right: 10px;
}
.loupe path {
  stroke: #b3261e;
  stroke-width: 0.8px;
}
</style>
