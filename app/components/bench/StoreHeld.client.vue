<script setup lang="ts">
import { onStoreHeld } from '~/storage/storage'
import { texts } from '~/texts/en'

/** An older tab keeps the store: without a word this page would wait for ever. */
const isHeld = ref(false)
onStoreHeld((held) => (isHeld.value = held))
</script>

<template>
  <p v-if="isHeld" class="held no-print" role="alert">{{ texts.storage.held }}</p>
</template>

<style scoped>
.held {
  padding: 10px 20px;
  border-bottom: 2px solid var(--out);
  background: var(--card);
}
</style>
