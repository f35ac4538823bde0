<script setup lang="ts">
import type { RefusedFile } from '~/storage/backup'
import { texts } from '~/texts/en'

defineProps<{ files: readonly RefusedFile[] }>()
const emit = defineEmits<{ dismiss: [] }>()
</script>

<template>
  <section class="refused" role="alert">
    <UButton
      class="close"
      color="neutral"
      variant="ghost"
      icon="i-lucide-x"
      :aria-label="texts.builds.dismiss"
      @click="emit('dismiss')"
    />
    <div v-for="file in files" :key="file.file">
      <h2><VerdictMark verdict="out" silent /> {{ texts.builds.refused }}: {{ file.file }}</h2>
      <ul>
        <li v-for="reason in file.reasons" :key="reason">{{ reason }}</li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.refused {
  position: relative;
  padding: 12px 16px;
  margin-bottom: 20px;
  border: 2px solid var(--out);
  border-radius: 4px;
  background: var(--card);
}
.close {
  position: absolute;
  right: 6px;
  top: 6px;
}
h2 {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 600;
}
ul {
  margin: 4px 0 8px 26px;
  font-family: ui-monospace, monospace;
  font-size: 0.9375rem;
  overflow-wrap: anywhere;
}
</style>
