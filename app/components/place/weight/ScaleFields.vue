<script setup lang="ts">
import { CORNERS, type WeightSheet } from '~~/core/file/parts/weightSheet'
import { texts } from '~/texts/en'
import { useWeight } from '~/stores/weight'

/** Four scales where the wheels are, and where the wheels stand. */
defineProps<{ sheet: WeightSheet }>()
const weight = useWeight()
const words = texts.weight
const PLACES = [
  ['frontStationMm', words.frontStation],
  ['rearStationMm', words.rearStation],
  ['trackFrontMm', words.trackFront],
  ['trackRearMm', words.trackRear],
] as const
</script>

<template>
  <section aria-labelledby="scales-title" class="card">
    <h2 id="scales-title">{{ words.scales }}</h2>
    <div class="corners">
      <FigureField
        v-for="corner in CORNERS"
        :key="corner"
        :data-field="`weight.cornersKg.${corner}`"
        :label="words.corners[corner]"
        unit="kg"
        :of="`weight.cornersKg.${corner}`"
        :value="sheet.cornersKg?.[corner]"
        @change="weight.weigh(corner, $event)"
      />
    </div>
    <h3>{{ words.axles }}</h3>
    <div class="corners">
      <FigureField
        v-for="[key, label] in PLACES"
        :key="key"
        :data-field="`weight.${key}`"
        :label="label"
        kind="length"
        :of="`weight.${key}`"
        :value="sheet[key]"
        @change="weight.change({ [key]: $event })"
      />
      <FigureField
        class="cg"
        data-field="weight.cgHeightMm"
        :label="words.cgHeight"
        :help="words.cgHint"
        kind="length"
        of="weight.cgHeightMm"
        :value="sheet.cgHeightMm"
        @change="weight.change({ cgHeightMm: $event })"
      />
    </div>
    <TiltFields />
  </section>
</template>

<style scoped>
.card {
  padding: 12px 16px 16px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 600;
}
h3 {
  margin-top: 12px;
  color: var(--soft);
}
.corners {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  margin-top: 6px;
}
.cg {
  grid-column: 1 / -1;
}
</style>
