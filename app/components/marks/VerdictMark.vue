<script setup lang="ts">
import type { Verdict } from '~~/core/file/build/limit'
import { texts } from '~/texts/en'

const { verdict, size = 16 } = defineProps<{ verdict: Verdict; size?: number; silent?: boolean }>()
</script>

<template>
  <svg
    :width="size"
    :height="size"
    viewBox="0 0 16 16"
    :role="silent ? undefined : 'img'"
    :aria-label="silent ? undefined : texts.verdicts[verdict]"
    :aria-hidden="silent ? 'true' : undefined"
    class="mark"
    :class="verdict"
  >
    <circle v-if="verdict === 'holds'" cx="8" cy="8" r="6.5" fill="currentColor" />
    <template v-else-if="verdict === 'tight'">
      <path d="M8 1.4 14.6 8 8 14.6 1.4 8Z" fill="none" stroke="currentColor" stroke-width="1.8" />
      <path d="M8 1.4 8 14.6 1.4 8Z" fill="currentColor" />
    </template>
    <rect
      v-else-if="verdict === 'out'"
      x="2"
      y="2"
      width="12"
      height="12"
      fill="none"
      stroke="currentColor"
      stroke-width="3"
    />
    <circle
      v-else
      cx="8"
      cy="8"
      r="6"
      fill="none"
      stroke="currentColor"
      stroke-width="2"
      stroke-dasharray="2.6 2.1"
    />
  </svg>
</template>

<style scoped>
.mark {
  display: inline-block;
  vertical-align: -0.12em;
  flex: none;
}
.holds {
  color: var(--holds);
}
.tight {
  color: var(--tight);
}
.out {
  color: var(--out);
}
.unknown {
  color: var(--unknown);
}
</style>
