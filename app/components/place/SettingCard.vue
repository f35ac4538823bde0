<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { texts } from '~/texts/en'
import type { SettingCard } from '~/stores/foundSettings'
import { usePlace } from '~/stores/place'

/** One setting: its picture, what to do, what it takes. Looked at, it is a ghost on the board; taken, it is one change. */
const { card, title = '' } = defineProps<{ build: Build; card: SettingCard; title?: string }>()
const place = usePlace()
const words = texts.place.settings
const glance = () => (place.glanced = card.settings)
const leave = () => (place.glanced = null)
onUnmounted(leave)
function take() {
  leave()
  card.take()
}
</script>

<template>
  <div class="card" @mouseenter="glance" @mouseleave="leave" @focusin="glance" @focusout="leave">
    <SettingThumb v-if="card.evaluation" :build="build" :evaluation="card.evaluation" />
    <p v-if="title" class="title">{{ title }}</p>
    <h3>{{ card.instruction }}</h3>
    <p class="figure">
      {{ words.effort(card.effort) }}<template v-if="card.likely"> · {{ words.likely(card.likely) }}</template
      ><template v-if="card.cuts"> · {{ words.cuts(card.cuts) }}</template>
    </p>
    <p class="soft">{{ words.room }}: {{ card.closest }}</p>
    <slot />
    <UButton size="sm" @click="take">{{ words.take }}</UButton>
  </div>
</template>

<style scoped>
.card {
  display: grid;
  gap: 6px;
  align-content: start;
  justify-items: start;
  height: 100%;
  padding: 12px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.card:hover,
.card:focus-within {
  border-color: var(--accent);
}
.title {
  color: var(--accent);
  font-weight: 600;
}
h3 {
  font-weight: 600;
  line-height: 1.25;
}
</style>
