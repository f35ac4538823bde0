<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { plungePicture } from '~~/core/drawing/plungePicture'
import { jointWay, type HalfshaftEvaluation } from '~~/core/model/halfshafts'
import type { Verdict } from '~~/core/file/build/limit'
import { halfshaftTexts } from '~/texts/halfshafts'
import { useFormat } from '~/composables/useFormat'

/** Way of the inner joint between its stops, what the travel uses of it, and where it stands at ride height. */
const { found, lengthMm, verdict } = defineProps<{
  found: HalfshaftEvaluation
  lengthMm: number
  verdict: Verdict
}>()
const { length } = useFormat()
const words = halfshaftTexts.lengths
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 420)
const drawn = computed(() => {
  const room = found.room.known ? found.room.value : null
  return plungePicture(
    {
      reachMm: room?.reachMm ?? null,
      spareMm: room?.spareMm ?? 0,
      lengthMm,
      longestMm: found.longest.lengthMm,
      shortestMm: found.shortest.lengthMm,
      rideMm: found.rideMm,
    },
    Math.max(160, width.value),
  )
})
const label = computed(() => {
  const { mostMm, leastMm } = jointWay(found, lengthMm)
  return words.bar(length(Math.max(0, mostMm)), length(Math.max(0, -leastMm)))
})
const hasStops = computed(() => found.room.known)
</script>

<template>
  <div ref="box" class="bar">
    <svg :width="drawn.width" height="64" role="img" :aria-label="label" :class="verdict">
      <rect
        v-if="hasStops"
        :x="drawn.stops[0]"
        y="12"
        :width="drawn.stops[1] - drawn.stops[0]"
        height="24"
        class="near"
      />
      <rect
        v-if="hasStops"
        :x="drawn.clear[0]"
        y="12"
        :width="drawn.clear[1] - drawn.clear[0]"
        height="24"
        class="allowed"
      />
      <rect
        v-if="hasStops"
        :x="drawn.clear[0]"
        y="12"
        :width="drawn.clear[1] - drawn.clear[0]"
        height="24"
        class="good"
      />
      <path v-for="x in drawn.ticks" :key="x" :d="`M${x} 36v5`" class="tick" />
      <path :d="`M${drawn.middle} 8v33`" class="middle" />
      <rect
        :x="drawn.used[0]"
        y="18"
        :width="Math.max(2, drawn.used[1] - drawn.used[0])"
        height="12"
        class="used"
      />
      <path v-if="hasStops" :d="`M${drawn.stops[0]} 8v32M${drawn.stops[1]} 8v32`" class="stop" />
      <path :d="`M${drawn.ride - 6} 1h12l-6 11z`" class="ride" />
      <template v-if="hasStops">
        <text x="0" y="58">{{ words.ends.in }}</text>
        <text :x="drawn.width" y="58" class="end">{{ words.ends.out }}</text>
      </template>
      <text :x="Math.min(drawn.width - 20, Math.max(20, drawn.middle))" y="58" class="mid">0</text>
    </svg>
  </div>
</template>

<style scoped>
.bar {
  min-width: 0;
}
svg {
  display: block;
  overflow: visible;
}
.near {
  fill: var(--out);
  opacity: 0.2;
}
.allowed {
  fill: var(--card);
}
.good {
  fill: var(--holds);
  opacity: 0.16;
}
.tick,
.middle {
  stroke: var(--part-line);
  stroke-width: 1.2;
}
.stop {
  stroke: var(--ink);
  stroke-width: 2.6;
}
.used {
  fill: var(--unknown);
}
.holds .used {
  fill: var(--holds);
}
.out .used {
  fill: var(--out);
}
.ride {
  fill: var(--accent);
}
text {
  font-family: var(--font-figure);
  font-size: 13px;
  fill: var(--soft);
}
.end {
  text-anchor: end;
}
.mid {
  text-anchor: middle;
}
</style>
