<script setup lang="ts">
import { insertionsIn } from '~~/core/file/edits/partEdits'
import type { Line } from '~~/core/file/parts/lineSpec'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** What can be put into a shaft. */
defineProps<{ line: Line; index: number }>()
const parts = useParts()
const words = partsOfLine.insert
</script>

<template>
  <div class="inserts">
    <UButton
      v-for="what in insertionsIn(line, index)"
      :key="what"
      size="sm"
      variant="outline"
      icon="i-lucide-plus"
      @click="parts.insert(line.id, index, what)"
      >{{ words[what] }}</UButton
    >
  </div>
</template>

<style scoped>
.inserts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
