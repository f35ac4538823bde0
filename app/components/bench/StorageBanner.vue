<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { buildText } from '~~/core/file/open/parseBuild'
import { texts } from '~/texts/en'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { useWorkbench } from '~/stores/workbench'

/** Room on the disk comes back without a word: it is looked for by itself as well, in ms. */
const LOOK_AGAIN = 10_000
const workbench = useWorkbench()
const again = useIntervalFn(() => workbench.retry(), LOOK_AGAIN, { immediate: false })
watch(
  () => workbench.failure !== null,
  (failed) => (failed ? again.resume() : again.pause()),
  { immediate: true },
)
function saveAsFile() {
  const { build } = workbench
  if (build) download(fileName(build.name), buildText(build), 'application/json')
}
</script>

<template>
  <div v-if="workbench.failure" class="banner no-print" role="alert">
    <VerdictMark verdict="out" silent />
    <span>{{ texts.storage.failed(workbench.failure) }}</span>
    <UButton size="sm" @click="workbench.retry()">{{ texts.storage.retry }}</UButton>
    <UButton size="sm" variant="outline" icon="i-lucide-download" @click="saveAsFile">{{
      texts.storage.export
    }}</UButton>
  </div>
</template>

<style scoped>
.banner {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding: 8px 20px;
  border-bottom: 2px solid var(--out);
  background: var(--card);
}
</style>
