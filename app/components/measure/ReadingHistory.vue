<script setup lang="ts">
import type { Reading } from '~~/core/file/build/reading'
import { readingHistory, type HistoryEntry } from '~~/core/measure/targets/history'
import { wayOf } from '~~/core/file/build/readingKinds'
import { rawTexts } from '~~/core/measure/figures/rawTexts'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Everything that happened to one quantity: read, repeated, corrected, with before and after, who, when and with what. */
const open = defineModel<boolean>('open', { required: true })
const { reading, title } = defineProps<{ reading: Reading; title: string }>()
const workbench = useWorkbench()
const words = texts.measuring.history
const entries = computed(() => (workbench.build ? readingHistory(workbench.build, reading) : []))
const time = (at: string) =>
  at === ''
    ? words.unknown
    : new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short', hour12: false })
const value = (one: Reading | null) => (one ? `${rawTexts(one).join(' · ')} ${wayOf(one) ?? ''}`.trim() : '')
const change = ({ before, after }: HistoryEntry) =>
  before && after && value(before) !== value(after)
    ? `${value(before)} → ${value(after)}`
    : value(after ?? before)
</script>

<template>
  <UModal v-model:open="open" :title="words.title(title)" :ui="{ content: 'max-w-3xl' }">
    <template #body>
      <ol class="history">
        <li v-for="(entry, i) in entries" :key="i" :class="{ counts: entry.inForce }">
          <span class="soft figure when">{{ time(entry.at) }}</span>
          <span class="what">
            {{ words.kinds[entry.what] }}
            <strong class="figure">{{ change(entry) }}</strong>
            <em v-if="entry.inForce">{{ words.inForce }}</em>
          </span>
          <span class="soft">
            {{ [entry.by, entry.setup, entry.tool].filter(Boolean).join(' · ') || words.unknown }}
          </span>
          <span v-if="entry.why" class="why">{{ entry.why }}</span>
        </li>
      </ol>
    </template>
  </UModal>
</template>

<style scoped>
.history li {
  display: grid;
  grid-template-columns: 10.5rem minmax(0, 1fr) minmax(0, 1fr);
  gap: 2px 14px;
  padding: 8px 4px;
  border-bottom: 1px solid var(--hair);
}
.counts {
  background: var(--wash);
}
em {
  font-style: normal;
  color: var(--accent);
  margin-left: 6px;
}
.why {
  grid-column: 2 / -1;
  line-height: 1.3;
}
@media (max-width: 640px) {
  .history li {
    grid-template-columns: 1fr;
  }
  .why {
    grid-column: 1;
  }
}
</style>
