<script setup lang="ts">
import { texts } from '~/texts/en'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
const setups = useSetups()
const words = texts.measuring.setups
const chosen = ref('')
</script>

<template>
  <MeasureNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ texts.cautions.under }}</p>
    <UButton icon="i-lucide-plus" @click="setups.addSetup()">{{ words.add }}</UButton>
    <FramePlan v-model:chosen="chosen" class="plan" />
    <div class="setups">
      <SetupPanel
        v-for="setup in [...(workbench.build?.setups ?? [])].reverse()"
        :key="setup.id"
        :setup="setup"
      />
    </div>
  </MeasurePage>
</template>

<style scoped>
.caution {
  display: flex;
  gap: 8px;
  align-items: baseline;
  margin-bottom: 12px;
  color: var(--soft);
}
.plan {
  margin-top: 16px;
}
.setups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 480px), 1fr));
  gap: 16px;
  align-items: start;
  margin-top: 16px;
}
</style>
