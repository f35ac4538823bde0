<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import { texts } from '~/texts/en'
import { useReadings } from '~/stores/readings'

/** All steps of the tour with what was read, in the order of the work. */
const { current } = defineProps<{ current: string }>()
const emit = defineEmits<{ choose: [step: TourStep] }>()
const readings = useReadings()
const groups = computed(() =>
  (['attitude', 'levels', 'joints', 'checks', 'levers'] as const).map((key) => ({
    key,
    steps: readings.steps.filter((step) => step.group === key),
  })),
)
const mistakesOf = ({ reading }: TourStep) =>
  readings.mistakes.filter((one) => reading !== null && one.readingIds.includes(reading.id))
</script>

<template>
  <div class="list">
    <section v-for="group in groups" :key="group.key" :aria-label="texts.readings.groups[group.key]">
      <h2>{{ texts.readings.groups[group.key] }}</h2>
      <ul>
        <li v-for="step in group.steps" :key="step.id">
          <ReadingRow
            :step="step"
            :is-current="step.id === current"
            :mistakes="mistakesOf(step)"
            @choose="emit('choose', step)"
          />
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.list {
  columns: 2;
  column-gap: 28px;
}
section {
  break-inside: avoid-column;
  margin-bottom: 18px;
}
h2 {
  margin-bottom: 4px;
  font-weight: 600;
}
@media (max-width: 1180px) {
  .list {
    columns: 1;
  }
}
</style>
