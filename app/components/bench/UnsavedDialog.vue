<script setup lang="ts">
import { buildText } from '~~/core/file/open/parseBuild'
import { download } from '~/storage/download'
import { fileName } from '~/storage/fileName'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Asked before a page is left with changes that could not be stored. */
defineProps<{ count: number; reason: string }>()
const emit = defineEmits<{ stay: []; leave: [] }>()
const workbench = useWorkbench()
const words = texts.storage.leaving
function saveAsFile() {
  const { build } = workbench
  if (build) download(fileName(build.name), buildText(build), 'application/json')
}
</script>

<template>
  <UModal open :title="words.title(count)" :dismissible="false" :close="false">
    <template #body>
      <p>{{ words.body(reason) }}</p>
    </template>
    <template #footer>
      <div class="doing">
        <UButton autofocus @click="emit('stay')">{{ words.stay }}</UButton>
        <UButton variant="outline" icon="i-lucide-download" @click="saveAsFile">{{
          texts.storage.export
        }}</UButton>
        <UButton variant="ghost" color="error" @click="emit('leave')">{{ words.leave }}</UButton>
      </div>
    </template>
  </UModal>
</template>

<style scoped>
.doing {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
