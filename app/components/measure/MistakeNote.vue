<script setup lang="ts">
import type { Mistake } from '~~/core/answers/mistakes/mistake'
import { sentenceCase } from '~~/core/show/text/checkText'
import { texts } from '~/texts/en'
import { useReadings } from '~/stores/readings'

/** What is probably wrong, and one tap for each way to put it right. */
const { mistake } = defineProps<{ mistake: Mistake; still?: boolean }>()
const readings = useReadings()
</script>

<template>
  <div class="mistake" data-testid="mistake">
    <p><VerdictMark verdict="tight" :size="14" silent /> {{ sentenceCase(mistake.sentence) }}</p>
    <div v-if="!still" class="doing">
      <UButton
        v-for="correction in mistake.corrections"
        :key="correction.label"
        size="sm"
        variant="outline"
        @click="readings.correct(mistake, correction)"
        >{{ sentenceCase(correction.label) }}</UButton
      >
      <UButton size="sm" color="neutral" variant="ghost" @click="readings.accept(mistake)">{{
        texts.measuring.mistakes.accept
      }}</UButton>
    </div>
  </div>
</template>

<style scoped>
.mistake {
  display: grid;
  gap: 6px;
  padding: 8px 10px;
  border: 1.5px solid var(--tight);
  border-radius: 4px;
  background: var(--card);
  line-height: 1.3;
}
p {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr);
  gap: 8px;
  align-items: baseline;
}
.doing {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
@media (max-width: 860px) {
  .doing :deep(button) {
    min-height: 48px;
  }
}
</style>
