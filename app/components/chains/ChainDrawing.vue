<script setup lang="ts">
import type { ChainPicture, PictureHandle } from '~~/core/drawing/chainScene'
import type { PicturePlace } from '~~/core/drawing/chainWay'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { Build } from '~~/core/file/build/build'
import { leverAmount, leverName } from '~~/core/show/told/leverText'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import type { ChainFrame } from '~/composables/useChainFrame'
import { useHandleDrag } from '~/composables/useHandleDrag'

/** A chain from the side, link by link and to scale: which run is pulled, how far the other hangs, and what tightens it to drag. */
const { build, now, picture, frame, settings } = defineProps<{
  build: Build
  now: ChainEvaluation
  picture: ChainPicture
  frame: ChainFrame
  settings: Readonly<Record<string, number>>
}>()
const emit = defineEmits<{ hold: [leverId: string, amount: number]; release: []; mark: [leverId: string] }>()
const { length, units } = useFormat()
const words = chainTexts.side
const put = (place: PicturePlace) => frame.put(place)
const outline = (corners: readonly PicturePlace[]) => `M${corners.map(put).join('L')}Z`

/** Plates of every other link, and rollers as dots: three paths however many links there are. */
const links = computed(() => {
  const pins = picture.pins
  const plates = (odd: 0 | 1) =>
    pins
      .map((pin, i) => (i % 2 === odd ? `M${put(pin)}L${put(pins[(i + 1) % pins.length] ?? pin)}` : ''))
      .join('')
  return { outer: plates(0), inner: plates(1), pins: pins.map((pin) => `M${put(pin)}h0`).join('') }
})
const pitchPx = computed(() => now.chain.pitchMm * frame.scale)
/** Where a handle stands: over a sprocket that goes to and fro, clear of the teeth of one that goes up and down. */
const handleY = ({ at, along, isAbove }: PictureHandle) =>
  frame.y(at[1]) - (along[0] !== 0 ? 14 : isAbove ? 66 : 0)
/** Where a count of teeth stands: in a large sprocket, over a small one, under it where a handle lies above. */
function teethY(at: PicturePlace, radiusMm: number) {
  const radius = radiusMm * frame.scale
  if (radius > 46) return frame.y(at[1]) + 20
  const isCovered = picture.handles.some(
    ({ at: [x], along }) => along[0] !== 0 && Math.abs(frame.x(x) - frame.x(at[0])) < 30,
  )
  return frame.y(at[1]) + (isCovered ? radius + 22 : -radius - 14)
}
/** Under a handle that a word would lie on: its arrow hangs below where it stands. */
function clearOfHandles(x: number, y: number) {
  const covering = picture.handles
    .map((handle) => ({ x: frame.x(handle.at[0]), bottom: handleY(handle) + 62 }))
    .filter(({ x: at, bottom }) => Math.abs(at - x) < 90 && y < bottom && y > bottom - 56)
  return Math.min(frame.height - 8, Math.max(y, ...covering.map(({ bottom }) => bottom)))
}
const slack = computed(() => {
  const mark = picture.slack
  if (!mark) return null
  const [sx, sy] = mark.square
  const at = (mm: number): PicturePlace => [mark.middle[0] + sx * mm, mark.middle[1] + sy * mm]
  const band = (from: number, to: number) => `M${put(at(from))}L${put(at(to))}`
  const half = mark.halfMm
  const run = picture.runs.find(({ isSlack }) => isSlack)
  const pushed = (mm: number) => (run ? `M${put(run.from)}L${put(at(mm))}L${put(run.to)}` : '')
  const text = at((half ?? 0) + 34 / frame.scale)
  return {
    moves: half === null ? '' : band(-half, half),
    reach: half === null ? '' : pushed(half) + pushed(-half),
    wanted: mark.wantedMm
      ? [band(mark.wantedMm[0], mark.wantedMm[1]), band(-mark.wantedMm[0], -mark.wantedMm[1])].join('')
      : '',
    x: frame.x(text[0]),
    y: clearOfHandles(frame.x(text[0]), frame.y(text[1])),
    word: now.slack.known
      ? now.slack.value.playMm === null
        ? words.tooShort(length(-now.slack.value.excessMm))
        : words.moves(length(now.slack.value.playMm))
      : '',
  }
})
/** The pulled runs, marked by a second line and their word. */
const pulled = computed(() => picture.runs.filter(({ isTight }) => isTight))
const middleOf = ({ from, to }: { readonly from: PicturePlace; readonly to: PicturePlace }) => ({
  x: frame.x((from[0] + to[0]) / 2),
  y: frame.y((from[1] + to[1]) / 2) - 12,
})

const drag = useHandleDrag(() => ({ pxPerMm: frame.scale, exaggeration: 1 }), {
  hold: (leverId, amount) => emit('hold', leverId, amount),
  release: () => emit('release'),
})
const leverOf = (handle: PictureHandle) => build.levers.find(({ id }) => id === handle.leverId)
function start(event: PointerEvent, handle: PictureHandle) {
  const lever = leverOf(handle)
  if (!lever) return
  emit('mark', lever.id)
  drag.start(
    event,
    { leverId: lever.id, view: 'side', at: handle.at, along: handle.along, arm: 0 },
    lever,
    settings[lever.id] ?? 0,
  )
}
const described = computed(() =>
  [words.label(now.chain.name), slack.value?.word]
    .filter((word) => word !== undefined && word !== '')
    .join(': '),
)
</script>

<template>
  <figure class="drawing">
    <svg
      :viewBox="`0 0 ${frame.width} ${frame.height}`"
      :height="frame.height"
      width="100%"
      role="img"
      :aria-label="described"
    >
      <text x="8" y="20" class="soft">← {{ now.isLengthwise ? words.left : words.front }}</text>
      <g v-for="{ sprocket, name, at, radiusMm, teeth, role } in picture.sprockets" :key="sprocket.id">
        <path :d="outline(teeth)" class="sprocket" :class="role" />
        <circle
          :cx="frame.x(at[0])"
          :cy="frame.y(at[1])"
          :r="Math.max(3, radiusMm * frame.scale * (radiusMm > 40 ? 0.62 : 0.34))"
          class="hole"
        />
        <circle :cx="frame.x(at[0])" :cy="frame.y(at[1])" r="2.5" class="middle" />
        <text :x="frame.x(at[0])" :y="teethY(at, radiusMm)" class="name">
          {{ sprocket.teeth }}
          <title>{{ name }}</title>
        </text>
      </g>
      <path :d="links.inner" class="inner" :stroke-width="Math.max(1.5, pitchPx * 0.56)" />
      <path :d="links.outer" class="outer" :stroke-width="Math.max(2, pitchPx * 0.72)" />
      <path :d="links.pins" class="pins" :stroke-width="Math.max(1.2, pitchPx * 0.3)" />
      <g v-for="run in pulled" :key="run.span">
        <text :x="middleOf(run).x" :y="middleOf(run).y - 4" class="word">{{ words.pulled }}</text>
      </g>
      <g v-if="slack">
        <path v-if="slack.wanted" :d="slack.wanted" class="wanted" />
        <path v-if="slack.reach" :d="slack.reach" class="reach" />
        <path v-if="slack.moves" :d="slack.moves" class="moves" />
        <text :x="slack.x" :y="slack.y" class="word">{{ slack.word }}</text>
      </g>
      <g
        v-for="handle in picture.handles"
        :key="handle.leverId"
        :data-testid="`chain-handle-${handle.leverId}`"
        @pointerdown="start($event, handle)"
      >
        <LeverHandle
          :x="frame.x(handle.at[0])"
          :y="handleY(handle)"
          :turns="false"
          :along="handle.along"
          :name="words.drag(leverOf(handle) ? leverName(build, leverOf(handle)!) : '')"
        />
        <text
          v-if="leverOf(handle) && (settings[handle.leverId] ?? 0) !== 0"
          :x="frame.x(handle.at[0])"
          :y="frame.y(handle.at[1]) - 30"
          class="word moved"
        >
          {{ leverAmount(leverOf(handle)!, settings[handle.leverId] ?? 0, units) }}
        </text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.drawing {
  min-width: 0;
  background: var(--paper);
}
svg {
  display: block;
  /* Its size is given, so what moves inside lays out nothing outside. */
  contain: strict;
  touch-action: pan-y;
}
.sprocket {
  fill: var(--part);
  stroke: var(--part-line);
  stroke-width: 1.2;
  stroke-linejoin: round;
}
.driving {
  stroke: var(--ink);
  stroke-width: 1.6;
}
.hole {
  fill: var(--paper);
  stroke: var(--part-line);
}
.middle {
  fill: var(--ink);
}
.inner,
.outer,
.pins {
  fill: none;
  stroke-linecap: round;
}
.inner {
  stroke: var(--part-line);
}
.outer {
  stroke: var(--ink);
  opacity: 0.82;
}
.pins {
  stroke: var(--paper);
}
.wanted {
  stroke: var(--holds);
  stroke-width: 9;
  opacity: 0.5;
}
.moves {
  stroke: var(--accent);
  stroke-width: 3;
}
.reach {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.2;
  stroke-dasharray: 5 4;
}
text {
  font-size: 14px;
  fill: var(--ink);
  text-anchor: middle;
}
.soft {
  fill: var(--soft);
  text-anchor: start;
}
.name {
  font-family: var(--font-figure);
  font-weight: 600;
}
.word {
  font-size: 14px;
  font-variant-numeric: tabular-nums;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.moved {
  fill: var(--accent);
  font-weight: 600;
}
</style>
