<script setup lang="ts">
import type { Verdict } from '~~/core/file/build/limit'

/** What a page of making comes to, in one sentence. */
defineProps<{ verdict: Verdict }>()
defineSlots<{ default: () => unknown }>()
</script>

<template>
  <p class="made-answer">
    <VerdictMark :verdict="verdict" :size="18" />
    <span><slot /></span>
  </p>
</template>

<style scoped>
.made-answer {
  display: flex;
  gap: 10px;
  align-items: baseline;
  font-size: 1.125rem;
  font-weight: 600;
}
</style>
