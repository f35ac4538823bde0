<script setup lang="ts">
import { useBoxWidth } from '~/composables/useBoxWidth'
import { alongRuler, drawnCurve } from '~~/core/drawing/travelPicture'
import type { TravelCurve, TravelWay } from '~~/core/model/travelCurves'
import { valueAt } from '~~/core/model/travelCurves'
import type { Verdict } from '~~/core/file/build/limit'
import type { Build } from '~~/core/file/build/build'
import { checkValueText, curveLabel } from '~~/core/show/text/checkText'
import { spreadAlong } from '~~/core/answers/uncertainty/spreadAlong'
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'
import { useSureness } from '~/stores/sureness'
import { useTravel } from '~/stores/travel'

/** Every judged figure along the travel with its window and ±, under one ruler with a mark to drag. */
const { build, way } = defineProps<{ build: Build; way: TravelWay }>()
const travel = useTravel()
const sureness = useSureness()
const { length } = useFormat()
const words = travelTexts
const HEIGHT = 44
const box = useTemplateRef<HTMLElement>('box')
const width = useBoxWidth(box, 520)
const wide = computed(() => Math.max(160, width.value))
const along = computed(() => way.leftUpMm)
const x = computed(() => alongRuler(along.value, wide.value))
const many = computed(() => build.lines.length > 1)
const ends = computed(() => [along.value[0] ?? 0, along.value.at(-1) ?? 0] as const)
const shown = computed(() =>
  way.curves.map((curve) => ({
    curve,
    label: curveLabel(curve.head, many.value),
    drawn: drawnCurve(
      {
        atMm: along.value,
        values: curve.values,
        plusMinus: sureness.result
          ? spreadAlong(sureness.result, curve.head, way.way, along.value)
          : along.value.map(() => NaN),
        low: curve.window.failLow ?? curve.window.warnLow,
        high: curve.window.failHigh ?? curve.window.warnHigh,
        worst: curve.worst,
      },
      wide.value,
      HEIGHT,
    ),
    verdict: (curve.worst?.verdict ?? 'unknown') as Verdict,
    said: worstText(curve),
  })),
)
const now = (curve: TravelCurve) => {
  const value = valueAt(along.value, curve.values, travel.atMm)
  return Number.isNaN(value) ? words.unreached : checkValueText(curve.head, value, build.units)
}
function worstText({ worst, head }: TravelCurve): string {
  if (!worst || worst.margin === null) return words.nothingLimits
  const size = checkValueText(head, Math.abs(worst.margin), build.units)
  return words.worstAt(words.verdicts[worst.verdict](size), upText(worst.atMm))
}
function upText(mm: number): string {
  const [from, to] = ends.value
  if (Math.abs(mm) < 0.05) return words.ride
  if (Math.abs(mm - from) < 0.05) return words.ends[way.way][0]
  if (Math.abs(mm - to) < 0.05) return words.ends[way.way][1]
  return `${mm > 0 ? '+' : '−'}${length(Math.abs(mm))}`
}
</script>

<template>
  <div class="curves">
    <div class="row ruler-row">
      <p class="label soft">{{ words.axis[way.way] }}</p>
      <div ref="box" class="strip">
        <TravelRuler
          :model-value="travel.atMm"
          :along="along"
          :width="wide"
          :place-words="travel.placeWords"
          @update:model-value="travel.goTo"
        />
      </div>
      <p class="said soft">{{ travel.placeWords }}</p>
    </div>
    <div
      v-for="{ curve, label, drawn, verdict, said } in shown"
      :key="curve.head.id"
      class="row"
      :data-curve="curve.head.id"
    >
      <p class="label">
        {{ label }} <strong class="now">{{ now(curve) }}</strong>
      </p>
      <div class="strip">
        <svg :width="wide" :height="HEIGHT" aria-hidden="true">
          <rect
            v-if="drawn.allowed"
            :y="drawn.allowed.top"
            :width="wide"
            :height="Math.max(0, drawn.allowed.bottom - drawn.allowed.top)"
            class="allowed"
          />
          <path v-if="drawn.band" :d="drawn.band" class="band" />
          <path :d="drawn.path" class="curve" />
          <path :d="`M${x(travel.atMm)} 0V${HEIGHT}`" class="here" />
          <circle
            v-if="drawn.worst"
            :cx="drawn.worst.x"
            :cy="drawn.worst.y"
            r="4"
            class="worst"
            :class="verdict"
          />
        </svg>
      </div>
      <p class="said" :class="verdict">
        <VerdictMark v-if="verdict !== 'unknown'" :verdict="verdict" /> {{ said }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.curves {
  display: grid;
  gap: 10px;
}
.row {
  display: grid;
  grid-template-columns: 168px minmax(0, 1fr) 200px;
  gap: 12px;
  align-items: center;
}
.label {
  line-height: 1.25;
}
.now {
  display: block;
  font-family: var(--font-figure);
  font-weight: 600;
  font-variant-numeric: tabular-nums;
}
.strip {
  min-width: 0;
}
svg {
  display: block;
  overflow: visible;
}
.allowed {
  fill: var(--holds);
  opacity: 0.14;
}
.band {
  fill: var(--accent);
  opacity: 0.22;
}
.curve {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2.2;
}
.here {
  stroke: var(--accent);
  stroke-width: 1.6;
}
.worst {
  fill: var(--unknown);
}
.worst.holds,
.worst.unknown {
  fill: var(--ink);
}
.worst.tight {
  fill: var(--tight);
}
.worst.out {
  fill: var(--out);
}
.said {
  font-weight: 600;
  line-height: 1.25;
  font-variant-numeric: tabular-nums;
}
.said :deep(svg) {
  display: inline-block;
  vertical-align: -2px;
}
.said.holds {
  color: var(--holds);
}
.said.tight {
  color: var(--tight);
}
.said.out {
  color: var(--out);
}
.said.unknown,
.said.soft {
  font-weight: 400;
  color: var(--soft);
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
  .now {
    display: inline;
  }
}
</style>
