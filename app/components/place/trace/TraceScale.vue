<script setup lang="ts">
import { SEEN_FROM, type SeenFrom } from '~~/core/file/parts/photo'
import { useFormat } from '~/composables/useFormat'
import { texts } from '~/texts/en'
import { useTracing } from '~/stores/tracing'

/** From where it was taken, the two points, and where they are. */
const tracing = useTracing()
const { length, angle } = useFormat()
const words = texts.trace
const sides = (Object.keys(SEEN_FROM) as SeenFrom[]).map((value) => ({ value, label: words.sides[value] }))
const figures = computed(() => words.figures[SEEN_FROM[tracing.draft.seenFrom]])
const ENDS = [
  { key: 'at', name: words.first },
  { key: 'other', name: words.second },
] as const
const lacks = computed(() =>
  tracing.lacks
    .map((lack) =>
      lack === 'second' ? words.where(words.second, 'on the picture') : words.missingWords[lack],
    )
    .join(', '),
)
function setPlace(key: 'at' | 'other', index: 0 | 1, value: number | undefined) {
  const [along, up] = tracing.draft[key]
  tracing.change({ [key]: index === 0 ? [value, up] : [along, value] })
}
</script>

<template>
  <section class="scale" :aria-label="words.scale">
    <h2>{{ words.scale }}</h2>
    <ChoiceField
      :label="words.seenFrom"
      :value="tracing.draft.seenFrom"
      :items="sides"
      @change="tracing.change({ seenFrom: $event })"
    />
    <fieldset v-for="{ key, name } in ENDS" :key="key" class="end">
      <legend>{{ name }}</legend>
      <USelect
        v-if="tracing.known.length"
        :model-value="undefined"
        :items="tracing.known"
        :placeholder="words.known"
        class="w-full"
        :aria-label="`${name}, ${words.known}`"
        @update:model-value="tracing.takePoint(key, String($event))"
      />
      <div class="pair">
        <FigureField
          v-for="(figure, i) in figures"
          :key="figure"
          :label="`${name}, ${figure}`"
          kind="length"
          of="photos.scale.places"
          :value="tracing.draft[key][i]"
          @change="setPlace(key, i as 0 | 1, $event)"
        />
      </div>
    </fieldset>
    <FigureField
      :label="words.distance"
      :help="words.distanceHint"
      kind="length"
      of="photos.scale.distanceMm"
      :value="tracing.draft.distanceMm"
      @change="tracing.change({ distanceMm: $event })"
    />
    <p v-if="lacks" class="lacks" role="status">{{ words.missingList(lacks) }}</p>
    <p v-else-if="tracing.map" role="status" data-testid="trace-scale">
      {{ words.scaled(length(tracing.map.mmPerPx), angle(tracing.map.turnedDeg, 1)) }}
    </p>
    <p class="soft small">{{ words.level }}</p>
  </section>
</template>

<style scoped>
.scale {
  display: grid;
  gap: 10px;
}
h2,
legend {
  font-weight: 600;
}
.end {
  display: grid;
  gap: 6px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.lacks {
  color: var(--tight-ink, var(--ink));
}
.small {
  font-size: 0.875rem;
  line-height: 1.35;
}
</style>
