<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/project/build'
import { texts } from '~/texts/en'

/** Under the board: gaps, positions, trials. */
const { evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const emit = defineEmits<{ mark: [gapId: string] }>()
const TABS = ['gaps', 'settings', 'positions', 'trials'] as const
const tab = ref<(typeof TABS)[number]>('gaps')
function move(sense: number) {
  const index = (TABS.indexOf(tab.value) + sense + TABS.length) % TABS.length
  tab.value = TABS[index] ?? 'gaps'
  void nextTick(() => document.getElementById(`place-tab-${tab.value}`)?.focus())
}
const count = computed(() => ({
  gaps: evaluation.gaps.length,
  settings: 0,
  positions: 0,
  trials: 0,
}))
</script>

<template>
  <div class="tabs">
    <div role="tablist" @keydown.right.prevent="move(1)" @keydown.left.prevent="move(-1)">
      <button
        v-for="key in TABS"
        :id="`place-tab-${key}`"
        :key="key"
        type="button"
        role="tab"
        :aria-selected="tab === key"
        :tabindex="tab === key ? 0 : -1"
        aria-controls="place-panel"
        @click="tab = key"
      >
        {{ count[key] ? `${texts.place.tabs[key]} ${count[key]}` : texts.place.tabs[key] }}
      </button>
    </div>
    <div id="place-panel" role="tabpanel" :aria-labelledby="`place-tab-${tab}`" tabindex="0" class="panel">
      <GapList v-if="tab === 'gaps'" :build="build" :evaluation="evaluation" @mark="emit('mark', $event)" />
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
[role='tablist'] {
  display: flex;
  gap: 4px;
  padding: 6px 16px 0;
  overflow-x: auto;
}
[role='tab'] {
  min-height: 34px;
  padding: 0 10px;
  border-bottom: 3px solid transparent;
  color: var(--soft);
  font-weight: 500;
  white-space: nowrap;
  cursor: pointer;
}
[role='tab'][aria-selected='true'] {
  color: var(--accent);
  border-color: var(--accent);
}
/* The figures in it change with every step of a lever; nothing outside is laid out for that. */
.panel {
  contain: layout style;
  padding: 6px 16px 14px;
}
@media (max-width: 860px) {
  [role='tab'] {
    min-height: 48px;
  }
  .panel {
    padding: 8px 12px 16px;
  }
}
</style>
