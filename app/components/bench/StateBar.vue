<script setup lang="ts">
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'
import { useWorkbench } from '~/stores/workbench'

const emit = defineEmits<{ palette: []; shortcuts: [] }>()
const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const verdict = computed(() => evaluation.current?.verdict ?? 'unknown')
const position = computed(
  () => workbench.build?.positions.find((one) => one.id === workbench.build?.chosen)?.name ?? '',
)
/** Read aloud only once a lever is let go: at each frame of a drag nobody could follow. */
const spoken = ref('')
watch(
  () => [evaluation.sentence, levers.isHeld] as const,
  ([sentence, isHeld]) => {
    if (!isHeld) spoken.value = sentence
  },
  { immediate: true },
)
const saved = computed(() => {
  if (workbench.failure) return texts.bar.notSaved
  if (workbench.hasUnsaved) return texts.bar.saving
  const time = workbench.savedAt?.toLocaleTimeString([], {
    hour: '2-digit',
    minute: '2-digit',
    hour12: false,
  })
  return `${texts.bar.saved} ${time ?? ''}`
})
</script>

<template>
  <header class="state-bar no-print">
    <NuxtLink to="/" class="name" :aria-label="`${texts.name}: ${texts.bar.all}`">{{ texts.name }}</NuxtLink>
    <div class="state">
      <p class="sentence" data-testid="state">
        <VerdictMark :verdict="verdict" :size="18" />
        <span class="words" tabindex="0">{{ evaluation.sentence }}</span>
      </p>
      <p class="sr-only" aria-live="polite">{{ spoken }}</p>
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
.sentence > span:last-child {
  min-width: 0;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}
.sentence {
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 1.0625rem;
  font-weight: 500;
  line-height: 1.25;
}
/* What does not fit in its place opens over what stands below, for who looks at it. */
.sentence:has(.words:focus-visible),
.sentence:has(.words:hover) {
  z-index: 5;
}
.words:focus-visible,
.words:hover {
  -webkit-line-clamp: none !important;
  overflow: visible;
  background: var(--card);
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
  .sentence > span:last-child {
    -webkit-line-clamp: 2;
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
  .sentence {
    font-size: 1rem;
  }
}
</style>
