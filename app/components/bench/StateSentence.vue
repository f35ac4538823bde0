<script setup lang="ts">
import { useFieldPlaces } from '~/composables/useFieldPlaces'
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'

/** What holds and what does not, in one sentence; apart from its bar, for it changes with each step of a lever. */
const evaluation = useEvaluation()
const levers = useLevers()
const { toMissing } = useFieldPlaces()
/** What is missing first, while nothing can be said for want of it. */
const lack = computed(() =>
  verdict.value === 'unknown' && evaluation.fault === null ? evaluation.current?.missing[0] : undefined,
)
const verdict = computed(() => evaluation.current?.verdict ?? 'unknown')
/** Read aloud only once a lever is let go: at each frame of a drag nobody could follow. */
const spoken = ref('')
watch(
  () => [evaluation.sentence, levers.isHeld] as const,
  ([sentence, isHeld]) => {
    if (!isHeld) spoken.value = sentence
  },
  { immediate: true },
)
</script>

<template>
  <div>
    <p class="sentence" data-testid="state">
      <VerdictMark :verdict="verdict" :size="18" />
      <span class="words" tabindex="0">{{ evaluation.sentence }}</span>
      <NuxtLink v-if="lack" :to="toMissing(lack)" class="to no-print">{{ texts.bar.enter }}</NuxtLink>
    </p>
    <p class="sr-only" aria-live="polite">{{ spoken }}</p>
  </div>
</template>

<style scoped>
.sentence > .words {
  min-width: 0;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
.sentence {
  position: relative;
  display: flex;
  align-items: center;
  gap: 10px;
  /* Its place is kept for it; what it says lays out nothing else. */
  height: 2.75rem;
  contain: size layout style;
  font-size: 1.0625rem;
  font-weight: 500;
  line-height: 1.25;
}
/* What does not fit in its place opens over what stands below, for who looks at it. */
.sentence:has(.words:focus-visible),
.sentence:has(.words:hover) {
  z-index: 5;
}
.words:focus-visible,
.words:hover {
  -webkit-line-clamp: none !important;
  overflow: visible;
  background: var(--card);
}
.to {
  flex: none;
  color: var(--accent);
  text-decoration: underline;
}
@media (max-width: 860px) {
  .sentence {
    font-size: 1rem;
  }
}
</style>
