<script setup lang="ts">
import { formatDate } from '@vueuse/core'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

const emit = defineEmits<{ palette: []; shortcuts: [] }>()
const workbench = useWorkbench()
const position = computed(
  () => workbench.build?.positions.find((one) => one.id === workbench.build?.chosen)?.name ?? '',
)
const saved = computed(() => {
  if (workbench.failure) return texts.bar.notSaved
  if (workbench.hasUnsaved) return texts.bar.saving
  // Asking for the words of a language costs a phone a fifth of a second, and these are none.
  const time = workbench.savedAt && formatDate(workbench.savedAt, 'HH:mm')
  return `${texts.bar.saved} ${time ?? ''}`
})
</script>

<template>
  <header class="state-bar no-print">
    <NuxtLink to="/" class="name" :aria-label="`${texts.name}: ${texts.bar.all}`">{{ texts.name }}</NuxtLink>
    <div class="state">
      <StateSentence />
      <div class="cure-row"><CureButtons /></div>
    </div>
    <div class="tools">
      <p class="build">
        <strong>{{ workbench.build?.name }}</strong> · {{ position }}<br />
        <span data-testid="saved">{{ saved }}</span> · {{ workbench.build?.units.length }}
      </p>
      <UButton
        icon="i-lucide-undo-2"
        color="neutral"
        variant="ghost"
        :disabled="!workbench.undoLabel"
        :aria-label="texts.bar.undo"
        :title="workbench.undoLabel ? `${texts.bar.undo}: ${workbench.undoLabel}` : texts.bar.nothingToUndo"
        @click="workbench.undo()"
      />
      <UButton
        icon="i-lucide-redo-2"
        color="neutral"
        variant="ghost"
        :disabled="!workbench.redoLabel"
        :aria-label="texts.bar.redo"
        :title="workbench.redoLabel ? `${texts.bar.redo}: ${workbench.redoLabel}` : texts.bar.nothingToRedo"
        @click="workbench.redo()"
      />
      <UButton
        class="wide-only"
        icon="i-lucide-keyboard"
        color="neutral"
        variant="ghost"
        :aria-label="texts.bar.shortcuts"
        :title="`${texts.bar.shortcuts} (?)`"
        @click="emit('shortcuts')"
      />
      <UButton
        icon="i-lucide-command"
        color="neutral"
        variant="ghost"
        :aria-label="texts.bar.commands"
        :title="`${texts.bar.commands} (Ctrl K)`"
        @click="emit('palette')"
      />
    </div>
  </header>
</template>

<style scoped>
.state-bar {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) auto;
  align-items: center;
  gap: 16px;
  height: 102px;
  padding: 6px 12px 6px 20px;
  background: var(--card);
  border-bottom: 1px solid var(--hair);
}
.name {
  font-size: 1.375rem;
  font-weight: 600;
}
/* Both rows keep their place, so that nothing below jumps when cures come and go. */
.state {
  display: grid;
  position: relative;
  grid-template-rows: 2.75rem 2.375rem;
  align-items: center;
  gap: 4px;
  min-width: 0;
}
.cure-row {
  display: flex;
  min-width: 0;
  height: 2.375rem;
}
.tools {
  display: flex;
  align-items: center;
}
.build {
  margin-right: 8px;
  text-align: right;
  font-size: 0.875rem;
  line-height: 1.3;
  color: var(--soft);
  white-space: nowrap;
}
.build strong {
  font-weight: 500;
  color: var(--ink);
}
@media (max-width: 860px) {
  .state-bar {
    grid-template-columns: auto 1fr;
    gap: 4px 10px;
    height: auto;
    padding: 6px 12px 8px;
  }
  .state {
    grid-template-rows: 2.75rem 3.125rem;
  }
  .cure-row {
    height: 3.125rem;
  }
  .tools {
    justify-self: end;
    grid-row: 1;
    grid-column: 2;
  }
  .state {
    grid-column: 1 / -1;
  }
  .wide-only {
    display: none;
  }
}
</style>
