<script setup lang="ts">
import type { Mistake } from '~~/core/answers/mistakes/mistake'
import type { TourStep } from '~~/core/measure/tour/tour'
import { rawTexts } from '~~/core/measure/figures/rawTexts'
import { repeatText } from '~~/core/show/text/repeatText'
import { texts } from '~/texts/en'
import { readingWay, stepWords } from '~~/core/show/told/stepText'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

/** One step: what is read, the raw figures as taken, and which way. */
const { step, isCurrent, mistakes } = defineProps<{
  step: TourStep
  isCurrent: boolean
  mistakes: readonly Mistake[]
}>()
const hasHistory = ref(false)
const emit = defineEmits<{ choose: [] }>()
const workbench = useWorkbench()
const readings = useReadings()
const method = computed(() => (step.reading?.kind === 'axis-face' ? 'face' : 'along'))
const words = computed(() => stepWords(step, method.value))
const unit = computed(() => {
  if (words.value.unit === 'angle') return '°'
  const own = step.reading && 'unit' in step.reading ? step.reading.unit : undefined
  return ` ${own ?? workbench.build?.units.length ?? 'mm'}`
})
const figures = computed(() => (step.reading ? rawTexts(step.reading) : []))
const repeats = computed(() =>
  workbench.build && step.reading ? repeatText(workbench.build, step.reading) : '',
)
const way = computed(() => (step.reading ? readingWay(step, step.reading) : ''))
</script>

<template>
  <div class="row" :class="{ current: isCurrent }">
    <button
      type="button"
      class="choose"
      :aria-current="isCurrent ? 'step' : undefined"
      @click="emit('choose')"
    >
      <span
        class="dot"
        :class="{ done: step.isRead, wrong: step.reading && !step.isRead }"
        aria-hidden="true"
      />
      <span class="title">{{ words.title }}</span>
      <span v-if="figures.length" class="value figure">{{ figures.join(' · ') }}{{ unit }}</span>
      <span v-else-if="step.optional" class="soft value">{{ texts.readings.optional }}</span>
      <span v-if="way" class="soft way"
        ><template v-if="repeats">{{ repeats }} · </template>{{ way
        }}{{ step.reading?.provisional ? ', provisional' : '' }}</span
      >
    </button>
    <UButton
      v-if="step.reading"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-history"
      :aria-label="`${texts.measuring.history.open}: ${words.title}`"
      :title="texts.measuring.history.open"
      @click="hasHistory = true"
    />
    <UButton
      v-if="step.reading"
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-x"
      :aria-label="`${texts.readings.removeReading}: ${words.title}`"
      :title="texts.readings.removeReading"
      @click="readings.remove(step.reading)"
    />
    <LazyReadingHistory
      v-if="hasHistory && step.reading"
      v-model:open="hasHistory"
      :reading="step.reading"
      :title="words.title"
    />
    <p v-for="mistake in mistakes" :key="mistake.kind" class="warning">
      <VerdictMark verdict="tight" :size="14" /> {{ mistake.sentence }}
    </p>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 28px 28px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
}
.row.current {
  background: var(--wash);
}
.choose {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  align-items: center;
  column-gap: 8px;
  min-height: 38px;
  padding: 3px 4px;
  text-align: left;
  cursor: pointer;
}
.dot {
  width: 11px;
  height: 11px;
  border: 2px solid var(--part-line);
  border-radius: 50%;
}
.dot.done {
  background: var(--part-line);
}
.dot.wrong {
  border-color: var(--out);
}
.title {
  line-height: 1.2;
}
.way {
  grid-column: 2 / -1;
  font-size: 0.875rem;
  line-height: 1.1;
  text-align: right;
}
.warning {
  grid-column: 1 / -1;
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 4px 6px 26px;
  color: var(--tight);
  font-size: 0.9375rem;
  line-height: 1.2;
}
@media (max-width: 860px) {
  .row {
    grid-template-columns: minmax(0, 1fr) 46px 46px;
  }
  .row > :deep(button:not(.choose)) {
    min-height: 48px;
    min-width: 46px;
    justify-content: center;
  }
  .choose {
    min-height: 48px;
  }
}
</style>
