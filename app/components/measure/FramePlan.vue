<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { framePlan, type PlanPoint } from '~~/core/drawing/framePlan'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useEvaluation } from '~/stores/evaluation'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

/** The frame from above: points are tapped, and the dimensions of the chosen one stand on it. */
const chosen = defineModel<string>('chosen', { default: '' })
const workbench = useWorkbench()
const evaluation = useEvaluation()
const readings = useReadings()
const { length } = useFormat()
const words = texts.measuring.plan
const HEIGHT = 300
const PAD = 26
const box = useTemplateRef<HTMLElement>('box')
const boxWidth = useBoxWidth(box, 720)
const width = computed(() => Math.max(300, boxWidth.value))
const plan = computed(() =>
  workbench.build && evaluation.current
    ? framePlan(workbench.build, evaluation.current, readings.setup)
    : null,
)
const scale = computed(() => {
  if (!plan.value) return 1
  const [from, to] = plan.value.span
  return Math.min((width.value - 2 * PAD) / (to - from), (HEIGHT - 2 * PAD) / (2 * plan.value.halfWidth))
})
const x = (station: number) =>
  width.value / 2 + (station - ((plan.value?.span[0] ?? 0) + (plan.value?.span[1] ?? 0)) / 2) * scale.value
const y = (offset: number) => HEIGHT / 2 - offset * scale.value
const point = computed(() => plan.value?.points.find(({ id }) => id === chosen.value) ?? null)
const side = (offset: number) =>
  Math.abs(offset) < 0.05
    ? words.onLine
    : `${length(Math.abs(offset))} ${offset > 0 ? words.left : words.right}`
const along = (station: number) =>
  `${length(Math.abs(station))} ${station < 0 ? words.forward : words.rearward}`
const nameOf = ({ name, at }: PlanPoint) => `${name}: ${along(at[0])}, ${side(at[1])}`
/** Misses are a few mm on metres: drawn this many times as long. */
const MISS_SCALE = 20
const missPath = ({ at, miss }: PlanPoint) =>
  miss
    ? `M${x(at[0])} ${y(at[1])}l${miss[0] * scale.value * MISS_SCALE} ${-miss[1] * scale.value * MISS_SCALE}`
    : ''
</script>

<template>
  <figure v-if="plan" class="plan">
    <div ref="box" class="box">
      <svg :width="width" :height="HEIGHT" role="group" :aria-label="words.title">
        <line :x1="PAD / 2" :x2="width - PAD / 2" :y1="y(0)" :y2="y(0)" class="centre" />
        <rect
          v-for="[from, to, offset] in plan.rails"
          :key="offset"
          :x="x(from)"
          :y="y(offset) - 7"
          :width="Math.max(0, x(to) - x(from))"
          height="14"
          class="rail"
          :class="{ usual: plan.areRailsUsual }"
        />
        <text :x="6" :y="16" class="word">{{ words.front }}</text>
        <text :x="width - 6" :y="16" text-anchor="end" class="word">{{ words.rear }}</text>
        <g v-if="point" class="dims">
          <path :d="`M${x(0)} ${HEIGHT - 14}H${x(point.at[0])}`" />
          <path
            :d="`M${x(0)} ${HEIGHT - 22}V${HEIGHT - 6}M${x(point.at[0])} ${y(point.at[1])}V${HEIGHT - 6}`"
          />
          <path :d="`M${x(point.at[0])} ${y(0)}V${y(point.at[1])}`" />
          <text
            :x="Math.max(90, Math.min(width - 90, (x(0) + x(point.at[0])) / 2))"
            :y="HEIGHT - 18"
            text-anchor="middle"
          >
            {{ along(point.at[0]) }}
          </text>
          <text
            :x="x(point.at[0]) + (x(point.at[0]) > width - 130 ? -10 : 10)"
            :y="(y(0) + y(point.at[1])) / 2 + (Math.abs(point.at[1]) * scale < 26 ? -12 : 5)"
            :text-anchor="x(point.at[0]) > width - 130 ? 'end' : 'start'"
          >
            {{ side(point.at[1]) }}
          </text>
        </g>
        <path v-for="one in plan.points" :key="`m${one.id}`" :d="missPath(one)" class="miss" />
        <g
          v-for="one in plan.points"
          :key="one.id"
          role="button"
          tabindex="0"
          class="point"
          :class="{ datum: one.isDatum, read: one.isRead, chosen: one.id === chosen, suspect: one.isSuspect }"
          :aria-label="nameOf(one)"
          :aria-pressed="one.id === chosen"
          @click="chosen = one.id"
          @keydown.enter.prevent="chosen = one.id"
          @keydown.space.prevent="chosen = one.id"
        >
          <title>{{ nameOf(one) }}</title>
          <circle :cx="x(one.at[0])" :cy="y(one.at[1])" r="16" class="reach" />
          <rect
            v-if="one.isDatum"
            :x="x(one.at[0]) - 6"
            :y="y(one.at[1]) - 6"
            width="12"
            height="12"
            class="mark"
          />
          <circle v-else :cx="x(one.at[0])" :cy="y(one.at[1])" r="6" class="mark" />
        </g>
      </svg>
    </div>
    <figcaption>
      <p v-if="point" class="figure" data-testid="plan-point">
        {{ point.name
        }}<template v-if="point.height !== null"
          >, {{ words.height(length(Math.abs(point.height)), point.height >= 0) }}</template
        >
        <template v-if="point.miss">; {{ words.miss(length(Math.hypot(...point.miss))) }}</template>
      </p>
      <p v-else class="soft">{{ words.tap }}</p>
      <p class="soft legend">
        <svg width="12" height="12" aria-hidden="true">
          <rect x="1.5" y="1.5" width="9" height="9" class="key" />
        </svg>
        {{ words.datum }}
        <svg width="12" height="12" aria-hidden="true"><circle cx="6" cy="6" r="4.5" class="key full" /></svg>
        {{ words.read }}
        <svg width="12" height="12" aria-hidden="true"><circle cx="6" cy="6" r="4.5" class="key" /></svg>
        {{ words.elsewhere }}
        <template v-if="plan.areRailsUsual">· {{ words.railsUsual }}</template>
      </p>
      <p v-if="plan.unplaced.length" class="soft">
        {{ words.unplaced }}: {{ plan.unplaced.map(({ name }) => name).join(', ') }}
      </p>
    </figcaption>
  </figure>
</template>

<style scoped>
.plan {
  margin: 0;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.box {
  overflow: hidden;
}
svg {
  display: block;
}
.centre {
  stroke: var(--accent);
  stroke-dasharray: 14 4 2.5 4;
}
.rail {
  fill: var(--part);
  stroke: var(--part-line);
}
.rail.usual {
  fill: none;
  stroke-dasharray: 7 5;
}
.word {
  fill: var(--soft);
  font-size: 14px;
}
.point {
  cursor: pointer;
  outline: none;
}
.reach {
  fill: transparent;
}
.mark {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.8;
}
.read .mark {
  fill: var(--ink);
}
.suspect .mark {
  stroke: var(--out);
  stroke-width: 3;
}
.chosen .mark {
  stroke: var(--accent);
  stroke-width: 3.5;
}
.point:focus-visible .reach {
  stroke: var(--accent);
  stroke-width: 2.5;
}
.miss {
  stroke: var(--out);
  stroke-width: 2;
}
.dims path {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.2;
}
.dims text {
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 16px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
figcaption {
  display: grid;
  gap: 4px;
  padding: 8px 14px 10px;
  border-top: 1px solid var(--hair);
  font-size: 0.9375rem;
  line-height: 1.35;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.key {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.key.full {
  fill: var(--ink);
}
</style>
