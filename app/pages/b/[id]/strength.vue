<script setup lang="ts">
import { strength } from '~/texts/strength'
import { useEvaluation } from '~/stores/evaluation'
import { useWorkbench } from '~/stores/workbench'

/** What each shaft has to bear and how fast it turns, and how its tubes and crosses stand to it. */
const workbench = useWorkbench()
const evaluation = useEvaluation()
const many = computed(() => (workbench.build?.lines.length ?? 0) > 1)
</script>

<template>
  <LineNav />
  <div v-if="workbench.build && evaluation.current" class="strength">
    <div class="tables">
      <h1>{{ strength.title }}</h1>
      <p class="soft">{{ strength.lead }}</p>
      <p class="caution">{{ strength.caution }}</p>
      <GearTable :build="workbench.build" />
      <TorqueTable :build="workbench.build" :evaluation="evaluation.current" />
      <template v-for="line in evaluation.current.lines" :key="line.line.id">
        <h2 v-if="many" class="line">{{ line.line.name }}</h2>
        <StrengthTables :build="workbench.build" :evaluation="line" />
      </template>
      <TubeForAll :build="workbench.build" :lines="evaluation.current.lines" />
      <StockTubes :build="workbench.build" />
      <StockCrosses :build="workbench.build" />
    </div>
    <aside class="train">
      <DrivetrainFields :build="workbench.build" />
      <GripFields :build="workbench.build" />
    </aside>
  </div>
</template>

<style scoped>
.strength {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  align-items: start;
}
.tables {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-width: 0;
  gap: 14px;
  padding: 16px 24px 40px;
  line-height: 1.35;
}
h1 {
  font-weight: 600;
  font-size: 1.1875rem;
}
.tables :deep(h2) {
  font-weight: 600;
  font-size: 1.0625rem;
}
.tables :deep(h3) {
  font-weight: 600;
}
.line {
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
.caution {
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.train {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 16px 20px 40px;
  border-left: 1px solid var(--hair);
}
.tables :deep(a) {
  color: var(--accent);
  text-decoration: underline;
}
.tables :deep(.stock) {
  padding: 10px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.tables :deep(summary) {
  min-height: 32px;
  font-weight: 600;
  cursor: pointer;
}
.tables :deep(.stock ul) {
  display: grid;
  gap: 8px;
}
.tables :deep(.stock li) {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 8px;
  align-items: end;
}
.tables :deep(.does) {
  display: flex;
  gap: 8px;
  margin-top: 10px;
}
@media (max-width: 1020px) {
  .strength {
    grid-template-columns: minmax(0, 1fr);
  }
  .train {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
@media (max-width: 640px) {
  .tables,
  .train {
    padding-inline: 14px;
  }
}
</style>
