<script setup lang="ts">
import { travelTexts } from '~/texts/travel'

/** What can be done with a height that was read: read it again, take it out. */
defineProps<{ height: string; canGo?: boolean }>()
const emit = defineEmits<{ again: []; remove: [] }>()
const words = travelTexts.table
</script>

<template>
  <UButton
    size="xs"
    variant="ghost"
    icon="i-lucide-pencil"
    :aria-label="`${words.again}: ${height}`"
    @click="emit('again')"
  />
  <UButton
    v-if="canGo"
    size="xs"
    variant="ghost"
    color="neutral"
    icon="i-lucide-x"
    :aria-label="words.remove(height)"
    @click="emit('remove')"
  />
</template>
