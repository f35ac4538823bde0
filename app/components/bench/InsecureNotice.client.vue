<script setup lang="ts">
import { keepNote, keptNote } from '~/storage/notes'
import { texts } from '~/texts/en'

/** What this address lacks, said once to each browser. */
const SAID = 'lurvan-insecure-said'
const words = texts.phone
const isSaid = ref(window.isSecureContext || keptNote(SAID) === true)
function understood() {
  isSaid.value = true
  keepNote(SAID, true)
}
</script>

<template>
  <aside v-if="!isSaid" class="insecure no-print" role="note">
    <p>{{ words.insecure }}</p>
    <UButton size="sm" variant="outline" @click="understood">{{ words.understood }}</UButton>
  </aside>
</template>

<style scoped>
.insecure {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 20px;
  border-bottom: 1.5px solid var(--tight);
  background: var(--card);
}
.insecure p {
  flex: 1 1 260px;
}
</style>
