<script setup lang="ts">
import type { Estimate, TaskSort } from '~~/core/file/kinds/taskKinds'
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** A task of the builder's own: its name and how long it takes, and it stands in the plan. */
const emit = defineEmits<{ added: [key: string] }>()
const tasks = useTasks()
const name = ref('')
const sort = ref<TaskSort>('fit')
const hours = ref<number>()
const leadDays = ref<number>()
const sorts = tasks.sorts.map((value) => [value, words.sorts[value]] as const)
const all = (likely: number | undefined): Estimate | undefined =>
  likely === undefined ? undefined : { low: likely, likely, high: likely }

function add(): void {
  const text = name.value.trim()
  if (text === '') return
  const key = tasks.add(
    text,
    sort.value,
    all(hours.value),
    sort.value === 'buy' ? all(leadDays.value) : undefined,
  )
  name.value = ''
  hours.value = leadDays.value = undefined
  emit('added', key)
}
</script>

<template>
  <form class="new-task" data-testid="new-task" @submit.prevent="add()">
    <UFormField :label="words.adding.name">
      <UInput v-model="name" class="w-full" maxlength="200" autocomplete="off" />
    </UFormField>
    <WordChoice :label="words.adding.sort" :options="sorts" :value="sort" @choose="sort = $event" />
    <FigureField
      :label="words.adding.hours"
      unit="h"
      of="tasks.hours.likely"
      :value="hours"
      @change="hours = $event"
    />
    <FigureField
      v-if="sort === 'buy'"
      :label="words.adding.leadDays"
      unit="days"
      of="tasks.leadDays.likely"
      :value="leadDays"
      @change="leadDays = $event"
    />
    <UButton type="submit" icon="i-lucide-plus" :disabled="name.trim() === ''">{{
      words.adding.add
    }}</UButton>
  </form>
</template>

<style scoped>
.new-task {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1.4fr) repeat(2, minmax(0, 1fr)) auto;
  gap: 8px 12px;
  align-items: end;
}
@media (max-width: 860px) {
  .new-task {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
