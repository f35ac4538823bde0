<script setup lang="ts">
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { useLevers } from '~/stores/levers'
import { useWorkbench } from '~/stores/workbench'

/** The program could not work this build out: said in its place, with the ways to mend what led to it. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const levers = useLevers()
const words = texts.fault
</script>

<template>
  <section v-if="evaluation.fault" class="fault no-print" role="alert">
    <VerdictMark verdict="unknown" silent />
    <p>
      <strong>{{ words.notWorkedOut }}</strong> {{ words.notLost }}
      <span class="said">{{ evaluation.fault }}</span>
    </p>
    <UButton v-if="workbench.undoLabel" size="sm" icon="i-lucide-undo-2" @click="workbench.undo()">
      {{ texts.bar.undo }}: {{ workbench.undoLabel }}
    </UButton>
    <UButton size="sm" variant="outline" @click="levers.reset(texts.line.reset)">{{
      texts.line.reset
    }}</UButton>
    <UButton size="sm" variant="outline" :to="`/b/${workbench.build?.id ?? ''}/readings`">{{
      words.readings
    }}</UButton>
  </section>
</template>

<style scoped>
.fault {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 8px 20px;
  border-bottom: 2px solid var(--out);
  background: var(--card);
}
.fault p {
  flex: 1 1 320px;
}
.said {
  display: block;
  font-family: ui-monospace, monospace;
  font-size: 0.875rem;
  color: var(--soft);
}
</style>
