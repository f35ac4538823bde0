<script setup lang="ts">
import type { LiveAxleFigures } from '~~/core/model/liveAxle'
import { fixed, grouped } from '~~/core/base/units/format'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useChains } from '~/stores/chains'

/** A live axle: what sits where along it, the length to order, how its bearings stand, how the chain bends it. */
const { axle } = defineProps<{ axle: LiveAxleFigures }>()
const chains = useChains()
const { length, angle } = useFormat()
const words = chainTexts.axle
const change = (changed: Parameters<typeof chains.changeLiveAxle>[1]) =>
  chains.changeLiveAxle(axle.body.id, changed)
const setShaft = (changed: { outerMm?: number; boreMm?: number | undefined }) => {
  const outerMm = changed.outerMm ?? axle.body.shaft?.outerMm
  if (outerMm === undefined) return
  const boreMm = 'boreMm' in changed ? changed.boreMm : axle.body.shaft?.boreMm
  change({ shaft: boreMm === undefined ? { outerMm } : { outerMm, boreMm } })
}
const SMALL_MM = 0.05
const bearingTexts = computed(() => {
  if (!axle.bearings.known) return axle.bearings.missing.map(({ what }) => words.waits(what))
  const { apartMm, leftUpMm, leftForeMm, riseDeg, sweepDeg } = axle.bearings.value
  const side = (mm: number) => (mm > 0 ? 'left' : 'right')
  return [
    `${length(apartMm)} ${words.apart}`,
    Math.abs(leftUpMm) < SMALL_MM
      ? words.level
      : `${words.higher(length(Math.abs(leftUpMm)), side(leftUpMm))} (${angle(Math.abs(riseDeg))})`,
    Math.abs(leftForeMm) < SMALL_MM
      ? words.square
      : `${words.ahead(length(Math.abs(leftForeMm)), side(leftForeMm))} (${angle(Math.abs(sweepDeg))})`,
  ]
})
const bent = computed(() => {
  if (!axle.bending.known) return [words.waits(axle.bending.missing.map(({ what }) => what).join('; '))]
  const { stressMPa, deflectionMm, slopeDeg } = axle.bending.value
  return [
    words.stress(`${fixed(stressMPa, 0)} MPa`),
    words.bends(length(deflectionMm), angle(Math.abs(slopeDeg))),
  ]
})
</script>

<template>
  <section
    class="plain-card"
    :data-field="`chains/${axle.body.id}`"
    :aria-label="words.title(axle.body.name)"
  >
    <h2>{{ words.title(axle.body.name) }}</h2>
    <AxlePicture :axle="axle" />
    <p v-for="what in axle.missing" :key="what" class="soft">{{ words.waits(what) }}</p>
    <div class="fields">
      <FigureField
        :label="words.diameter"
        kind="length"
        of="bodies.live-axle.shaft.outerMm"
        :value="axle.body.shaft?.outerMm"
        @change="setShaft({ outerMm: $event })"
      />
      <FigureField
        :label="words.bore"
        kind="length"
        of="bodies.live-axle.shaft.boreMm"
        :value="axle.body.shaft?.boreMm"
        @change="setShaft({ boreMm: $event })"
      />
      <FigureField
        :label="words.beyond"
        kind="length"
        of="bodies.live-axle.beyondMm"
        :value="axle.body.beyondMm"
        @change="change({ beyondMm: $event })"
      />
      <FigureField
        :label="words.tyre"
        kind="length"
        of="bodies.live-axle.tyreDiameterMm"
        :value="axle.body.tyreDiameterMm"
        @change="change({ tyreDiameterMm: $event })"
      />
    </div>
    <p v-if="axle.lengthMm.known">
      {{ words.length }}
      <strong class="figure" data-testid="axle-length">{{ length(axle.lengthMm.value) }}</strong>
    </p>
    <dl>
      <template v-for="station in axle.stations" :key="`${station.what} ${station.name}`">
        <dt>{{ station.name }}</dt>
        <dd>
          {{ station.fromEndMm === null ? '?' : length(station.fromEndMm) }}
          <span class="soft">{{ words.stations }}</span>
        </dd>
      </template>
      <dt>{{ words.bearings }}</dt>
      <dd v-for="text in bearingTexts" :key="text">{{ text }}</dd>
      <dt>{{ words.bending }}</dt>
      <dd v-for="text in bent" :key="text">{{ text }}</dd>
      <template v-if="axle.criticalRpm.known">
        <dt>{{ words.critical }}</dt>
        <dd>{{ grouped(axle.criticalRpm.value) }} rev/min</dd>
      </template>
      <template v-if="axle.mostRpm.known">
        <dt>{{ words.most }}</dt>
        <dd>{{ grouped(axle.mostRpm.value) }} rev/min</dd>
      </template>
    </dl>
    <p class="soft">{{ words.caution }}</p>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 10px 14px;
  align-items: end;
}
dd {
  grid-column: 2;
}
strong {
  font-size: 1.25rem;
}
</style>
