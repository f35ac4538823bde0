<script setup lang="ts">
import { partsOfLine } from '~/texts/parts'

/** Which of several lines or chains is looked at; nothing where there is one. */
defineProps<{
  lines: readonly { readonly id: string; readonly name: string }[]
  chosen: string | undefined
  /** What they are; lines where not said. */
  label?: string
}>()
const emit = defineEmits<{ choose: [lineId: string] }>()
</script>

<template>
  <nav v-if="lines.length > 1" class="lines" :aria-label="label ?? partsOfLine.lines">
    <button
      v-for="line in lines"
      :key="line.id"
      type="button"
      :aria-pressed="line.id === chosen"
      @click="emit('choose', line.id)"
    >
      {{ line.name }}
    </button>
  </nav>
</template>

<style scoped>
.lines {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}
button {
  min-height: 34px;
  padding: 0 14px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  cursor: pointer;
}
button[aria-pressed='true'] {
  border-color: var(--accent);
  color: var(--accent);
  font-weight: 600;
}
@media (max-width: 640px) {
  button {
    min-height: 48px;
  }
}
</style>
