<script setup lang="ts">
import type { Task } from '~~/core/jobs/tasks/task'
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** How something bought can be had sooner, and what that costs. */
const { task } = defineProps<{ task: Task }>()
const tasks = useTasks()
type Hurry = NonNullable<NonNullable<Task['entry']>['hurry']>
const hurry = computed<Hurry>(() => task.entry?.hurry ?? {})
function change(changed: Hurry): void {
  const next = { ...hurry.value, ...changed }
  const isTold = next.leadDays !== undefined || next.cost !== undefined
  tasks.change(task.key, { hurry: isTold ? next : undefined })
}
</script>

<template>
  <FoldedPart :title="words.hurry.title" :is-open="task.entry?.hurry !== undefined">
    <div class="fields">
      <EstimateField
        :label="words.hurry.lead"
        unit="days"
        of="tasks.hurry.leadDays"
        :value="hurry.leadDays"
        @change="change({ leadDays: $event })"
      />
      <FigureField
        :label="words.hurry.cost"
        of="tasks.hurry.cost"
        :unit="tasks.crew?.money ?? ''"
        :value="hurry.cost"
        @change="change({ cost: $event })"
      />
      <UCheckbox
        v-if="tasks.canHurry(task)"
        :model-value="hurry.isPaid === true"
        :label="words.hurry.paid"
        @update:model-value="tasks.hurry(task.key, $event === true)"
      />
      <p v-else class="soft">{{ words.hurry.wants }}</p>
    </div>
  </FoldedPart>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 8px;
  padding: 4px 0 8px 20px;
}
</style>
