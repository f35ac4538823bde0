<script setup lang="ts">
import { twoSidedGaps, type TwoSidedGap } from '~~/core/bay/twoSided'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { formatLength } from '~~/core/base/units/format'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { texts } from '~/texts/en'

/** What stands between two things: the window, where it is in it, and how far it is to the middle. */
const { evaluation, units } = defineProps<{ evaluation: Evaluation; units: UnitSettings }>()
const words = texts.place.twoSided
const rows = computed(() => twoSidedGaps(evaluation))
const WIDTH = 240
const share = (mm: number, { windowMm }: TwoSidedGap) =>
  windowMm > 0 ? Math.max(0, Math.min(WIDTH, (mm / windowMm) * WIDTH)) : 0
const length = (mm: number) => formatLength(mm, units)
const middleText = ({ toMiddleMm, names }: TwoSidedGap) => {
  if (Math.abs(toMiddleMm) < 0.05) return words.inMiddle
  return words.toMiddle(length(Math.abs(toMiddleMm)), toMiddleMm > 0 ? names[1] : names[0])
}
const spareText = ({ spareMm }: TwoSidedGap) =>
  spareMm < 0 ? words.narrow(length(-2 * spareMm)) : words.spare(length(spareMm))
</script>

<template>
  <section v-if="rows.length" class="two" :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <ul data-testid="two-sided">
      <li v-for="row in rows" :key="row.gaps.join()">
        <VerdictMark :verdict="row.verdict" :size="15" />
        <div>
          <p class="names">{{ row.names[0] }} · {{ row.names[1] }}</p>
          <svg :viewBox="`0 0 ${WIDTH} 18`" class="bar" aria-hidden="true" preserveAspectRatio="none">
            <rect x="0" y="5" :width="WIDTH" height="8" class="allowed" />
            <rect x="0" y="5" :width="share(row.needMm[0], row)" height="8" class="need" />
            <rect
              :x="WIDTH - share(row.needMm[1], row)"
              y="5"
              :width="share(row.needMm[1], row)"
              height="8"
              class="need"
            />
            <path
              :d="`M${share(row.atMm + row.toMiddleMm, row)} 3V15`"
              class="middle"
              vector-effect="non-scaling-stroke"
            />
            <path :d="`M${share(row.atMm, row)} 0V18`" class="at" vector-effect="non-scaling-stroke" />
          </svg>
        </div>
        <p class="figure">
          {{ words.window(length(row.windowMm)) }} {{ middleText(row) }} {{ spareText(row) }}
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.two {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
h3,
.names {
  font-weight: 600;
}
li {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 10px;
  align-items: center;
  padding: 6px 0;
}
.bar {
  width: 100%;
  height: 18px;
}
.allowed {
  fill: var(--holds-band);
}
.need {
  fill: var(--tight-band);
}
.middle {
  stroke: var(--soft);
  stroke-width: 1.5;
  stroke-dasharray: 3 2;
}
.at {
  stroke: var(--ink);
  stroke-width: 3;
}
@media (max-width: 720px) {
  li {
    grid-template-columns: 18px minmax(0, 1fr);
  }
  li > :last-child {
    grid-column: 2;
  }
}
</style>
