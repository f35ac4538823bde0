<script setup lang="ts">
import { texts } from '~/texts/en'

/** Says when the application works offline, and offers a new version without forcing it on a reading half typed. */
const { $pwa } = useNuxtApp()
const words = texts.measuring.offline
</script>

<template>
  <div v-if="$pwa?.needRefresh" class="update no-print" role="status">
    {{ words.update }}
    <UButton size="sm" @click="$pwa?.updateServiceWorker()">{{ words.reload }}</UButton>
    <UButton size="sm" color="neutral" variant="ghost" @click="$pwa?.cancelPrompt()">{{
      words.later
    }}</UButton>
  </div>
</template>

<style scoped>
.update {
  position: fixed;
  left: 50%;
  bottom: 84px;
  z-index: 30;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 8px 14px;
  transform: translateX(-50%);
  background: var(--card);
  border: 1.5px solid var(--accent);
  border-radius: 4px;
}
</style>
