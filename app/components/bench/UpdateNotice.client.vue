<script setup lang="ts">
import { texts } from '~/texts/en'
import { useAppUpdate } from '~/composables/useAppUpdate'

/** Offers a new version, or to load anew what is not there any more, without forcing it on a reading half typed. */
const { news, load, later } = useAppUpdate()
const words = texts.measuring.offline
</script>

<template>
  <div v-if="news" class="update no-print" role="status">
    {{ words[news] }}
    <UButton size="sm" @click="load">{{ news === 'waiting' ? words.reload : words.anew }}</UButton>
    <UButton size="sm" color="neutral" variant="ghost" @click="later">{{ words.later }}</UButton>
  </div>
</template>

<style scoped>
.update {
  position: fixed;
  left: 50%;
  bottom: 84px;
  z-index: 60;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  width: max-content;
  max-width: min(560px, calc(100vw - 28px));
  padding: 8px 14px;
  transform: translateX(-50%);
  background: var(--card);
  border: 1.5px solid var(--accent);
  border-radius: 4px;
}
</style>
