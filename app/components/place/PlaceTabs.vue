<script setup lang="ts">
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { texts } from '~/texts/en'

/** Under the board: gaps, parts, settings, positions, trials. */
const { evaluation } = defineProps<{ build: Build; evaluation: Evaluation }>()
const emit = defineEmits<{ mark: [gapId: string]; markPart: [name: string] }>()
const TABS = ['gaps', 'parts', 'settings', 'positions', 'trials'] as const
const tab = ref<(typeof TABS)[number]>('gaps')
/** By itself: every step of a lever brings an evaluation, and would draw all tabs anew. */
const gaps = computed(() => evaluation.gaps.length)
const tabs = computed(() =>
  TABS.map((key) => ({
    key,
    label:
      key === 'gaps' && gaps.value > 0 ? `${texts.place.tabs.gaps} ${gaps.value}` : texts.place.tabs[key],
  })),
)
</script>

<template>
  <TabbedPanel v-model="tab" :tabs="tabs">
    <GapList v-if="tab === 'gaps'" :build="build" :evaluation="evaluation" @mark="emit('mark', $event)" />
    <BayParts v-else-if="tab === 'parts'" :build="build" @mark="emit('markPart', $event)" />
    <SettingCards v-else-if="tab === 'settings'" :build="build" />
    <PositionTable v-else-if="tab === 'positions'" :build="build" />
    <TrialList v-else :build="build" />
  </TabbedPanel>
</template>
