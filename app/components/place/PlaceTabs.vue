<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { texts } from '~/texts/en'

/** Under the board: gaps, parts, settings, positions, trials. */
const { evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const emit = defineEmits<{ mark: [gapId: string]; markPart: [name: string] }>()
const TABS = ['gaps', 'parts', 'settings', 'positions', 'trials'] as const
const tab = ref<(typeof TABS)[number]>('gaps')
const tabs = computed(() =>
  TABS.map((key) => ({
    key,
    label:
      key === 'gaps' && evaluation.gaps.length > 0
        ? `${texts.place.tabs.gaps} ${evaluation.gaps.length}`
        : texts.place.tabs[key],
  })),
)
</script>

<template>
  <div class="tabs">
    <TabStrip v-model="tab" :tabs="tabs" panel="place-panel" />
    <div
      id="place-panel"
      role="tabpanel"
      :aria-labelledby="`place-panel-tab-${tab}`"
      tabindex="0"
      class="panel"
    >
      <GapList v-if="tab === 'gaps'" :build="build" :evaluation="evaluation" @mark="emit('mark', $event)" />
      <BayParts v-else-if="tab === 'parts'" :build="build" @mark="emit('markPart', $event)" />
      <SettingCards v-else-if="tab === 'settings'" :build="build" />
      <PositionTable v-else-if="tab === 'positions'" :build="build" />
      <TrialList v-else :build="build" />
    </div>
  </div>
</template>

<style scoped>
.tabs {
  border-top: 1px solid var(--hair);
}
/* The figures in it change with every step of a lever; nothing outside is laid out for that. */
.panel {
  contain: layout style;
  padding: 6px 16px 14px;
}
@media (max-width: 860px) {
  .panel {
    padding: 8px 12px 16px;
  }
}
</style>
