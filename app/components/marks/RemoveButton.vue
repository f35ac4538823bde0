<script setup lang="ts">
/** Takes something away; undo brings it back. */
defineProps<{
  /** What it does, said at the button or shown in it. */
  label: string
  isWorded?: boolean
}>()
</script>

<template>
  <UButton
    icon="i-lucide-trash-2"
    size="sm"
    variant="ghost"
    color="neutral"
    :label="isWorded ? label : undefined"
    :aria-label="isWorded ? undefined : label"
    :title="isWorded ? undefined : label"
  />
</template>
