<script setup lang="ts">
import { texts } from '~/texts/en'
import { useInstrument } from '~/stores/instrument'

/** What the connected tool shows, live. */
const instrument = useInstrument()
const words = texts.measuring.instrument
const state = computed(() => {
  if (instrument.isLost) return words.lost
  if (!instrument.shown) return '…'
  if (instrument.isHeld) return words.held
  return instrument.shown.isSteady ? words.steady : words.moving
})
</script>

<template>
  <div v-if="instrument.isConnected" class="strip" data-testid="instrument">
    <span class="soft">{{ instrument.kind === 'laser' ? words.laser : words.level }}</span>
    <strong class="figure"
      >{{ instrument.text ?? '–' }}{{ instrument.shown?.unit === 'deg' ? '°' : '' }}</strong
    >
    <span class="soft state">{{ state }}</span>
    <UButton size="xs" variant="outline" :aria-pressed="instrument.isHeld" @click="instrument.hold()">{{
      instrument.isHeld ? words.release : words.hold
    }}</UButton>
    <UButton
      size="xs"
      color="neutral"
      variant="ghost"
      icon="i-lucide-x"
      :aria-label="words.disconnect"
      @click="instrument.close()"
    />
    <span class="soft where">{{ instrument.where ? words[instrument.where] : '' }}. {{ words.note }}</span>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 2px 10px;
  border-left: 4px solid var(--accent);
  background: var(--card);
}
strong {
  font-size: 1.25rem;
  min-width: 4.5ch;
}
.state {
  flex: 1;
}
.where {
  flex-basis: 100%;
  font-size: 0.8125rem;
  line-height: 1.2;
}
@media (max-width: 860px) {
  .strip :deep(button) {
    min-height: 48px;
  }
  .where {
    display: none;
  }
}
</style>
