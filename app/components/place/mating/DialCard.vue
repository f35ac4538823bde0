<script setup lang="ts">
import type { Known } from '~~/core/base/known'
import type { RoundAnswer } from '~~/core/bay/mating/matingOf'
import type { DialRound } from '~~/core/file/parts/mating'
import { parseNumber } from '~~/core/base/units/parseNumber'
import { texts } from '~/texts/en'
import { DIAL_PLACES, useMating } from '~/stores/mating'

/** A dial taken once round: the entry is a clock face, the answer says which way and what to do. */
const { round } = defineProps<{ round: DialRound; answer: Known<RoundAnswer> }>()
const mating = useMating()
const words = texts.mating
const dowelFault = ref('')
const places = DIAL_PLACES.map((value) => ({ value, label: words.placesOf(value) }))
const usual = computed(() => DIAL_PLACES.find((count) => count === round.spots.length))

function takeDowels(text: string) {
  const figures = text
    .split(/[,;\s]+/)
    .filter((part) => part !== '')
    .map(parseNumber)
  const sizes = figures.flatMap((one) => (one.ok && one.value >= 0 && one.value <= 20 ? [one.value] : []))
  const isSound = sizes.length === figures.length && sizes.length <= 30
  dowelFault.value = isSound ? '' : words.badDowels
  if (isSound) mating.changeRound(round.id, { dowelsMm: sizes.length > 0 ? sizes : undefined })
}
</script>

<template>
  <article class="round" :aria-label="round.name" :data-round="round.id" :data-field="`mating/${round.id}`">
    <header>
      <h3>{{ round.name }}</h3>
      <USelect
        :model-value="usual"
        :items="places"
        size="sm"
        :aria-label="`${words.places}: ${round.name}`"
        @update:model-value="mating.setPlaces(round.id, Number($event))"
      />
      <RemoveButton :label="`${words.removeRound}: ${round.name}`" @click="mating.removeRound(round.id)" />
    </header>
    <DialClock :round="round" :answer="answer" />
    <DialAnswer :answer="answer" />
    <div class="fields">
      <FigureField
        v-if="round.of === 'face'"
        :label="words.radius"
        kind="length"
        of="mating.rounds.radiusMm"
        :value="round.radiusMm"
        @change="mating.changeRound(round.id, { radiusMm: $event })"
      />
      <FigureField
        :label="words.total"
        kind="length"
        of="mating.rounds.totalMaxMm"
        :value="round.totalMaxMm"
        @change="mating.changeRound(round.id, { totalMaxMm: $event })"
      />
      <TextField
        v-if="round.of === 'bore'"
        :label="`${words.dowels}, mm`"
        :help="words.dowelsHint"
        :error="dowelFault || undefined"
        :value="(round.dowelsMm ?? []).join(', ')"
        @change="takeDowels($event)"
      />
    </div>
    <UCheckbox
      :model-value="round.countsBackwards === true"
      :label="words.backwards"
      @update:model-value="mating.changeRound(round.id, { countsBackwards: $event === true || undefined })"
    />
  </article>
</template>

<style scoped>
.round {
  display: grid;
  gap: 10px;
  padding: 12px 16px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
header {
  display: flex;
  gap: 10px;
  align-items: center;
}
h3 {
  flex: 1;
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 8px 12px;
  align-items: start;
}
</style>
