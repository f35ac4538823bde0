<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import type { StepWords } from '~~/core/show/told/stepText'
import { rovingRadio } from '~/composables/useRovingRadio'

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
const { press, tabIndex } = rovingRadio(
  () => words.ways.map(([one]) => one as string),
  (one) => emit('choose', one),
)
const isFace = computed(() => step.quantity === 'axis-level' && method === 'face')
</script>

<template>
  <div class="ways" role="radiogroup" :aria-label="words.title">
    <button
      v-for="([one, label], at) in words.ways"
      :key="one"
      type="button"
      role="radio"
      :aria-checked="way === one"
      :tabindex="tabIndex(one, at, way)"
      class="way"
      :class="{ chosen: way === one, wanted }"
      @click="emit('choose', one)"
      @keydown="press($event, at)"
    >
      <WayPicture :way="one" :quantity="step.quantity" :is-face="isFace" />
      {{ label }}
    </button>
  </div>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.way {
  display: grid;
  justify-items: center;
  gap: 2px;
  min-height: 64px;
  padding: 6px;
  border: 1.5px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  font-weight: 500;
  cursor: pointer;
}
.way.wanted {
  border-color: var(--tight);
}
.way.chosen {
  border-color: var(--accent);
  background: var(--wash);
  color: var(--accent);
}
</style>
