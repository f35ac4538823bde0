<script setup lang="ts">
import { linePicture } from '~~/core/drawing/chainScene'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { offsetText } from '~~/core/show/told/chainText'
import { chainTexts } from '~/texts/chains'
import type { ChainFrame } from '~/composables/useChainFrame'
import { useFormat } from '~/composables/useFormat'

/** The line of the sprockets from above: the laser along the largest one's plane, each sprocket as it stands off it and is turned. */
const { now, frame } = defineProps<{ now: ChainEvaluation; frame: ChainFrame }>()
const { units } = useFormat()
const words = chainTexts.above
const SIDEWAYS = 10
const MOST_DEEP = 110
const bars = computed(() => linePicture(now) ?? [])
/** Half of the paper's height, in px; what stands further off is drawn at its edge. */
const deep = computed(() => {
  const off = bars.value.map(({ at: [, y], half: [, turn] }) => Math.abs(y) + Math.abs(turn))
  return Math.min(MOST_DEEP, Math.max(34, Math.max(0, ...off) * frame.scale * SIDEWAYS + 22))
})
const y = (mm: number) => {
  const most = deep.value - 10
  return deep.value + 22 - Math.max(-most, Math.min(most, mm * frame.scale * SIDEWAYS))
}
const drawn = computed(() =>
  bars.value.map(({ sprocket, at: [x, off], half: [dx, dy] }) => {
    const aligned = now.aligned.find((one) => one.sprocket.id === sprocket.id)
    return {
      id: sprocket.id,
      bar: `M${frame.x(x - dx).toFixed(1)} ${y(off - dy).toFixed(1)}L${frame.x(x + dx).toFixed(1)} ${y(off + dy).toFixed(1)}`,
      drop: aligned ? `M${frame.x(x).toFixed(1)} ${y(0).toFixed(1)}V${y(off).toFixed(1)}` : '',
      x: frame.x(x),
      y: off < 0 ? y(off) + 22 : y(off) - 12,
      word: aligned ? offsetText(now, aligned, units.value) : String(sprocket.teeth),
    }
  }),
)
const height = computed(() => 2 * deep.value + 44)
const described = computed(() =>
  [words.label(now.chain.name), ...drawn.value.map(({ word }) => word)].join('; '),
)
</script>

<template>
  <figure class="above">
    <svg
      v-if="bars.length"
      :viewBox="`0 0 ${frame.width} ${height}`"
      :height="height"
      width="100%"
      role="img"
      :aria-label="described"
    >
      <path :d="`M4 ${y(0)}H${frame.width - 4}`" class="laser" />
      <text x="8" y="16" class="soft">↑ {{ now.isLengthwise ? words.rear : words.left }}</text>
      <text x="8" :y="height - 8" class="soft">
        ↓ {{ now.isLengthwise ? words.front : words.right }} · {{ words.scale }}
      </text>
      <text :x="frame.width - 8" y="16" class="soft end">{{ words.line }}</text>
      <g v-for="bar in drawn" :key="bar.id">
        <path v-if="bar.drop" :d="bar.drop" class="drop" />
        <path :d="bar.bar" class="bar" />
        <text :x="bar.x" :y="bar.y" class="word">{{ bar.word }}</text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.above {
  min-width: 0;
  border-top: 1px solid var(--hair);
  background: var(--paper);
}
svg {
  display: block;
  /* Its size is given, so what moves inside lays out nothing outside. */
  contain: strict;
}
.laser {
  stroke: var(--out);
  stroke-width: 1.5;
  stroke-dasharray: 14 4 2 4;
}
.bar {
  stroke: var(--ink);
  stroke-width: 7;
  stroke-linecap: round;
}
.drop {
  stroke: var(--accent);
  stroke-width: 1.6;
}
text {
  font-size: 14px;
}
.word {
  text-anchor: middle;
  font-variant-numeric: tabular-nums;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
.soft {
  fill: var(--soft);
}
.end {
  text-anchor: end;
}
</style>
