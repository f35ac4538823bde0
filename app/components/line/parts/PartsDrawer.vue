<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** What is on the bench or the data sheet, in the order of the power flow. */
defineProps<{ at: string }>()
const emit = defineEmits<{ close: [] }>()
const workbench = useWorkbench()
</script>

<template>
  <SideDrawer v-if="workbench.build" :title="texts.parts.title" :at="at" @close="emit('close')">
    <p class="soft lead">{{ texts.parts.lead }}</p>
    <div class="cards">
      <template v-for="line in workbench.build.lines" :key="line.id">
        <LineFields :line="line" />
        <SpeedFields :build="workbench.build" :line="line" />
      </template>
      <DrivetrainFields :build="workbench.build" />
      <div class="cards" data-at="sizes"><VehicleFields :build="workbench.build" /></div>
      <LeverFields :build="workbench.build" />
      <BuildCardFields />
    </div>
  </SideDrawer>
</template>

<style scoped>
.lead {
  margin-bottom: 12px;
  line-height: 1.35;
}
.cards {
  display: grid;
  gap: 12px;
}
.cards > * {
  scroll-margin-top: 8px;
}
</style>
