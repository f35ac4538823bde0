<script setup lang="ts">
import { dayText } from '~~/core/show/text/dayText'
import { hoursText } from '~~/core/show/text/workText'
import { dayOf } from '~~/core/jobs/plan/crewOf'
import { orderKey } from '~~/core/jobs/plan/nodes'
import { taskName } from '~~/core/jobs/tasks/taskName'
import type { Task } from '~~/core/jobs/tasks/task'
import type { FactColumn } from '~/composables/factColumn'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'

/** All open tasks in the order in which they begin. */
const emit = defineEmits<{ choose: [key: string] }>()
const tasks = useTasks()
const plan = usePlan()
const plannedOf = (task: Task) =>
  plan.settled?.planned.filter(({ node }) => node.task?.key === task.key) ?? []
const rows = computed(() => {
  const begin = (task: Task) => plannedOf(task)[0]?.startH ?? Infinity
  return tasks.open.toSorted((a, b) => begin(a) - begin(b))
})
const onDay = (day: number | undefined) =>
  plan.settled && day !== undefined ? dayText(dayOf(plan.settled, day), plan.settled.first) : ''
const columns: readonly FactColumn<Task>[] = [
  { key: 'name', label: words.columns.name, is: 'head' },
  { key: 'sort', label: words.columns.sort, text: ({ sort }) => words.sorts[sort] },
  { key: 'hours', label: words.columns.hours, is: 'number' },
  {
    key: 'begins',
    label: words.columns.begins,
    is: 'figure',
    text: (task) => onDay(plannedOf(task)[0]?.startDay),
  },
  {
    key: 'ends',
    label: words.columns.ends,
    is: 'figure',
    text: (task) => onDay(plannedOf(task).at(-1)?.endDay),
  },
  {
    key: 'float',
    label: words.columns.float,
    is: 'number',
    text: (task) => {
      const late = plan.late?.get(task.key)
      return late ? (late.floatH < 0.01 ? words.decidesMark : hoursText(late.floatH)) : ''
    },
  },
  {
    key: 'orderBy',
    label: words.columns.orderBy,
    is: 'figure',
    text: (task) => {
      const day = plan.late?.get(orderKey(task.key))?.orderBy
      return day && plan.settled ? dayText(day, plan.settled.first) : ''
    },
  },
]
</script>

<template>
  <FactTable
    :columns="columns"
    :rows="rows"
    :key-of="({ key }) => key"
    :label="words.list"
    test-id="task-table"
  >
    <template #name="{ row }">
      <button type="button" class="task-name" @click="emit('choose', row.key)">{{ taskName(row) }}</button>
    </template>
    <template #hours="{ row }">
      <span v-if="row.hours">{{ hoursText(row.hours.likely) }}</span>
      <span v-else class="soft">{{ words.noTime }}</span>
      <small v-if="row.isUsual" class="soft"> {{ words.usualMark }}</small>
    </template>
  </FactTable>
</template>

<style scoped>
.task-name {
  text-align: left;
  font-weight: 500;
  color: var(--accent);
  cursor: pointer;
}
.task-name:first-letter {
  text-transform: capitalize;
}
</style>
