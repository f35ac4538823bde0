<script setup lang="ts">
import { texts } from '~/texts/en'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
const setups = useSetups()
const words = texts.measuring.tools
</script>

<template>
  <MeasureNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <UButton
      icon="i-lucide-plus"
      @click="setups.addTool({ name: words.kinds.level, kind: 'level', resolution: 0.1, accuracy: 0.2 })"
      >{{ words.add }}</UButton
    >
    <div class="drawer">
      <ToolPanel v-for="tool in workbench.build?.tools ?? []" :key="tool.id" :tool="tool" />
    </div>
  </MeasurePage>
</template>

<style scoped>
.drawer {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 360px), 1fr));
  gap: 16px;
  margin-top: 16px;
}
</style>
