<script setup lang="ts">
import type { Missing } from '~~/core/base/known'
import { making } from '~/texts/making'

/** What something waits for before it can be worked out. */
const { missing, words = making.waits } = defineProps<{ missing: readonly Missing[]; words?: string }>()
</script>

<template>
  <p v-if="missing.length > 0" class="waits">
    <VerdictMark verdict="unknown" :size="14" /> {{ words }} <MissingWords :missing="missing" />
  </p>
</template>
