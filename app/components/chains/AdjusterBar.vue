<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import type { AdjusterTravel } from '~~/core/chain/chainAdjuster'
import { leverName } from '~~/core/show/told/leverText'
import type { Build } from '~~/core/file/build/build'
import { chainTexts } from '~/texts/chains'

/** The way of an adjuster from end to end: where it stands now, with a new chain and with a worn one. */
const { build, adjuster } = defineProps<{ build: Build; adjuster: AdjusterTravel }>()
const words = chainTexts.slack
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 360)
const PAD = 22
const x = (mm: number) => {
  const [from, to] = adjuster.lever.range
  const share = to > from ? (mm - from) / (to - from) : 0
  return PAD + Math.max(-0.04, Math.min(1.04, share)) * (Math.max(120, width.value) - 2 * PAD)
}
const marks = computed(() => {
  const of = (key: 'fresh' | 'worn') => {
    const place = adjuster[key]
    return place.known && 'at' in place.value ? [{ key, at: x(place.value.at) }] : []
  }
  return [...of('fresh'), ...of('worn')]
})
const between = computed(() => {
  const [a, b] = marks.value
  return a && b ? { x: Math.min(a.at, b.at), width: Math.abs(b.at - a.at) } : null
})
</script>

<template>
  <div ref="box">
    <svg
      :viewBox="`0 0 ${Math.max(120, width)} 52`"
      height="52"
      width="100%"
      role="img"
      :aria-label="words.bar(leverName(build, adjuster.lever))"
    >
      <rect
        :x="PAD - 8"
        y="18"
        :width="Math.max(120, width) - 2 * PAD + 16"
        height="14"
        rx="7"
        class="slot"
      />
      <rect v-if="between" v-bind="between" y="18" height="14" class="used" />
      <g v-for="{ key, at } in marks" :key="key">
        <path :d="`M${at} 14V36`" class="mark" />
        <text :x="at" y="50">{{ words.marks[key] }}</text>
      </g>
      <circle :cx="x(adjuster.standsMm)" cy="25" r="9" class="now" />
      <text :x="x(adjuster.standsMm)" y="11">{{ words.marks.now }}</text>
    </svg>
  </div>
</template>

<style scoped>
.slot {
  fill: var(--card);
  stroke: var(--part-line);
  stroke-width: 1.5;
}
.used {
  fill: var(--holds-band);
}
.mark {
  stroke: var(--ink);
  stroke-width: 2;
}
.now {
  fill: var(--accent);
  stroke: var(--card);
  stroke-width: 2;
}
text {
  font-size: 13px;
  text-anchor: middle;
  fill: var(--soft);
}
</style>
