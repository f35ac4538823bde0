<script setup lang="ts">
import { lowPoints } from '~~/core/drawing/placeScene'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import { formatLength } from '~~/core/base/units/format'
import type { UnitSettings } from '~~/core/base/units/unitSettings'
import { texts } from '~/texts/en'
import { useGround } from '~/stores/ground'

/** The lowest points in the order in which they strike the ground, at ride height or with the wheels up. */
const { evaluation } = defineProps<{ evaluation: Evaluation; units: UnitSettings }>()
const ground = useGround()
const words = texts.place
const AXLES = ['front', 'rear'] as const
const atRide = computed(() =>
  lowPoints(evaluation).map(({ id, name, gapMm, check }) => ({
    id,
    name,
    mm: gapMm,
    verdict: check.verdict,
  })),
)
const points = computed(() => {
  if (!ground.order) return atRide.value
  if (!ground.order.known) return []
  return ground.order.value.map(({ gap, name, roomMm }) => ({
    id: gap,
    name,
    mm: roomMm,
    verdict: roomMm > 0 ? ('holds' as const) : ('out' as const),
  }))
})
const missing = computed(() =>
  ground.order && !ground.order.known ? ground.order.missing.map(({ what }) => what).join(', ') : '',
)
</script>

<template>
  <section :aria-label="words.lowest">
    <h2>{{ words.lowest }}</h2>
    <p v-if="atRide.length === 0" class="soft">{{ words.lowestNone }}</p>
    <template v-else>
      <p class="bump">
        <span class="soft">{{ words.bump.title }}</span>
        <label v-for="axle in AXLES" :key="axle">
          <span class="soft">{{ words.bump[axle] }}</span>
          <FigureInput
            :label="words.bump.label(words.bump[axle])"
            :least="-1000"
            :most="1000"
            :value="ground.bump[axle]"
            @change="ground.lift(axle, $event)"
          />
        </label>
      </p>
      <p v-if="missing" class="soft">{{ words.bump.missing(missing) }}</p>
      <ol v-else data-testid="low-points">
        <li v-for="point in points.slice(0, 5)" :key="point.id">
          <VerdictMark :verdict="point.verdict" :size="13" :silent="ground.order !== null" />
          <span>{{ point.name }}</span>
          <span class="figure">{{
            point.mm > 0 ? formatLength(point.mm, units) : words.bump.struck(formatLength(-point.mm, units))
          }}</span>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-weight: 600;
}
ol {
  margin-top: 4px;
}
.bump {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 10px;
  max-width: 280px;
  font-size: 0.875rem;
}
.bump > :first-child {
  grid-column: 1 / -1;
}
.bump label {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 6px;
  align-items: center;
}
.bump :deep(.size) {
  width: 100%;
  min-width: 0;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  min-height: 26px;
}
.figure {
  font-weight: 600;
}
</style>
