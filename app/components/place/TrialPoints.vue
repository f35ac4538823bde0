<script setup lang="ts">
import type { Trial } from '~~/core/file/parts/vehicleState'
import { figureText } from '~~/core/base/units/parseFigure'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { POINT_FIGURES, useTrials, type PointAgain, type PointFigure } from '~/stores/trials'

/** Points of the powertrain read again in a trial: three of them tell how it really stands. */
const { trial, hides = false } = defineProps<{
  trial: Trial
  /** What was read first shows only once it was read again. */
  hides?: boolean
}>()
const trials = useTrials()
const words = texts.place.trials.again
const { units } = useFormat()
const fault = ref({ at: '', message: '' })
const points = computed(() => trials.pointsOf(trial.id))
const sides: Record<PointFigure, readonly [string, string]> = {
  'point-station': [words.rearward, words.forward],
  'point-offset': [words.left, words.right],
  'point-height': [words.above, words.below],
}
const side = (kind: PointFigure, first: number) => sides[kind][first >= 0 ? 0 : 1]
function take(one: PointAgain, kind: PointFigure, text: string) {
  const message = trials.readAgain(trial.id, one, kind, text)
  fault.value = { at: `${one.point.id}/${kind}`, message }
}
</script>

<template>
  <FoldedPart class="again" :title="words.title">
    <p class="soft">{{ hides ? words.hiddenLead : words.lead }}</p>
    <fieldset v-for="one in points" :key="one.point.id">
      <legend>{{ one.point.name }}</legend>
      <label v-for="kind in POINT_FIGURES" :key="kind">
        <span class="soft">{{ side(kind, one.first[kind]) }}</span>
        <UInput
          :model-value="one.texts[kind]"
          :placeholder="hides ? '' : figureText(Math.abs(one.first[kind]), 'length', units)"
          :aria-label="`${one.point.name}, ${side(kind, one.first[kind])}`"
          maxlength="60"
          autocomplete="off"
          @change="take(one, kind, ($event.target as HTMLInputElement).value)"
        >
          <template #trailing>
            <span class="soft">{{ units.length }}</span>
          </template>
        </UInput>
        <small v-if="fault.at === `${one.point.id}/${kind}` && fault.message" role="alert" class="fault">{{
          fault.message
        }}</small>
      </label>
    </fieldset>
  </FoldedPart>
</template>

<style scoped>
.again {
  margin: 6px 0;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 8px;
  margin-top: 6px;
}
legend {
  font-weight: 500;
}
.fault {
  color: var(--out);
}
label {
  display: grid;
  font-size: 0.88rem;
}
</style>
