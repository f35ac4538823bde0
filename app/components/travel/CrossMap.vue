<script setup lang="ts">
import type { CrossMap } from '~~/core/model/crossMap'
import type { Build } from '~~/core/file/build/build'
import { checkValueText, curveLabel } from '~~/core/show/text/checkText'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useEvaluation } from '~/stores/evaluation'

/** The left wheel against the right one: how the line stands at every pair of heights. */
const { build, map } = defineProps<{ build: Build; map: CrossMap }>()
const evaluation = useEvaluation()
const { travel: height } = useFormat()
const words = travelTexts.cross
const CELL = 14
const side = computed(() => map.size * CELL)
const picked = ref<number | null>(null)
const counts = computed(() =>
  (['holds', 'tight', 'out'] as const).map(
    (state) => map.cells.filter((cell) => cell.state === state).length,
  ),
)
const told = computed(() => {
  const cell = picked.value === null ? null : map.cells[picked.value]
  if (!cell) return ''
  const check = evaluation.current?.checks.find(({ id }) => id === cell.worst?.id)
  const worst =
    check && cell.worst
      ? `${curveLabel(check, build.lines.length > 1)} ${checkValueText(check, cell.worst.value, build.units)}`
      : ''
  return words.cell(height(cell.leftUpMm), height(cell.rightUpMm), words.states[cell.state], worst)
})
const ends = computed(() => {
  const [first, last] = [map.cells[0], map.cells.at(-1)]
  if (!first || !last) return []
  return [
    { key: 'left-down', x: 14, y: side.value + 16, text: height(first.leftUpMm) },
    { key: 'left-up', x: side.value - 16, y: side.value + 16, text: height(last.leftUpMm) },
    { key: 'right-down', x: -18, y: side.value - 4, text: height(first.rightUpMm) },
    { key: 'right-up', x: -18, y: 10, text: height(last.rightUpMm) },
  ]
})
const WAYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
function onKey(event: KeyboardEvent) {
  const way = WAYS[event.key]
  if (!way) return
  event.preventDefault()
  const middle = Math.floor((map.size * map.size) / 2)
  const at = picked.value ?? middle
  const clamp = (one: number) => Math.min(map.size - 1, Math.max(0, one))
  const [i, k] = [clamp((at % map.size) + way[0]), clamp(Math.floor(at / map.size) + way[1])]
  picked.value = k * map.size + i
}
</script>

<template>
  <section class="cross" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p class="soft">{{ words.lead }}</p>
    <div class="map">
      <svg
        :viewBox="`-48 -4 ${side + 52} ${side + 34}`"
        role="application"
        tabindex="0"
        :aria-label="words.label(counts[0] ?? 0, counts[1] ?? 0, counts[2] ?? 0)"
        data-testid="cross-map"
        @keydown="onKey"
        @pointerleave="picked = null"
      >
        <rect
          v-for="(cell, i) in map.cells"
          :key="i"
          :x="(i % map.size) * CELL"
          :y="side - (Math.floor(i / map.size) + 1) * CELL"
          :width="CELL - 1"
          :height="CELL - 1"
          :class="[cell.state, { picked: picked === i }]"
          @pointerenter="picked = i"
        />
        <text v-for="end in ends" :key="end.key" :x="end.x" :y="end.y" class="end">{{ end.text }}</text>
        <text :x="side / 2" :y="side + 22">{{ words.left }}</text>
        <text :transform="`translate(-14 ${side / 2}) rotate(-90)`">{{ words.right }}</text>
      </svg>
      <p class="told" role="status" data-testid="cross-cell">{{ told }}</p>
    </div>
  </section>
</template>

<style scoped>
.cross {
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
h2 {
  font-weight: 600;
}
.map {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  margin-top: 6px;
}
svg {
  width: min(100%, 360px);
}
svg:focus-visible {
  outline: 2.4px solid var(--accent);
}
.holds {
  fill: var(--holds);
  fill-opacity: 0.45;
}
.tight {
  fill: var(--tight);
  fill-opacity: 0.55;
}
.out {
  fill: var(--out);
  fill-opacity: 0.6;
}
.unknown {
  fill: none;
  stroke: var(--hair);
}
.picked {
  stroke: var(--accent);
  stroke-width: 2.4;
}
text {
  fill: var(--ink);
  font-size: 14px;
  font-weight: 600;
  text-anchor: middle;
}
.end {
  font-size: 11px;
  font-weight: 400;
}
.told {
  min-width: 220px;
  font-weight: 500;
}
</style>
