<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import type { StepWords } from '~~/core/show/told/stepText'

/** "Which end is lower?" as two pictures. */
const { step, words, method, way } = defineProps<{
  step: TourStep
  words: StepWords
  method: 'along' | 'face'
  way: string
  /** A figure was typed and its direction is still to be said. */
  wanted: boolean
}>()
const emit = defineEmits<{ choose: [way: string] }>()
const isFace = computed(() => step.quantity === 'axis-level' && method === 'face')
</script>

<template>
  <WordChoice
    is-apart
    :class="{ wanted }"
    :label="words.title"
    :options="words.ways"
    :value="way"
    @choose="emit('choose', $event)"
  >
    <template #default="{ word }">
      <WayPicture :way="word" :quantity="step.quantity" :is-face="isFace" />
    </template>
  </WordChoice>
</template>

<style scoped>
.wanted :deep([data-slot='item']) {
  border-color: var(--tight);
}
</style>
