<script setup lang="ts">
import { dayText } from '~~/core/show/text/dayText'
import type { Task } from '~~/core/jobs/tasks/task'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'
import { useWorkbench } from '~/stores/workbench'

/** What is done with a task now: worked at, ordered, taken in, ticked, taken back. */
const { task } = defineProps<{ task: Task; isBrief?: boolean }>()
const tasks = useTasks()
const plan = usePlan()
const workbench = useWorkbench()
const place = computed(() => {
  if (!task.made) return null
  const { view, go } = words.views[task.made.by]
  const to = view ?? (task.made.thing && words.lists[task.made.thing.list])
  return to && { to: `/b/${workbench.build?.id ?? ''}/${to}`, go }
})
const isBought = computed(() => task.sort === 'buy')
const isOrdered = computed(() => task.orderedAt !== null)
</script>

<template>
  <div class="does">
    <UButton v-if="place && !task.isDone" :to="place.to" variant="outline" size="sm">{{ place.go }}</UButton>
    <template v-if="tasks.mayTick(task)">
      <UButton v-if="task.isDone" size="sm" variant="outline" @click="tasks.markDone(task.key, false)">{{
        words.undone
      }}</UButton>
      <UButton
        v-else-if="isBought && !isOrdered"
        size="sm"
        icon="i-lucide-send"
        @click="tasks.order(task.key)"
        >{{ words.ordered }}</UButton
      >
      <UButton v-else size="sm" icon="i-lucide-check" @click="tasks.markDone(task.key)">{{
        isBought ? words.arrived : words.markDone
      }}</UButton>
      <UButton
        v-if="isBought && isOrdered && !task.isDone && !isBrief"
        size="sm"
        variant="outline"
        @click="tasks.change(task.key, { orderedAt: undefined }, 'Take an order back')"
        >{{ words.notOrdered }}</UButton
      >
    </template>
    <span v-if="task.isDone && task.entry?.doneAt" class="soft">{{
      words.doneOn(dayText(task.entry.doneAt, plan.day))
    }}</span>
    <span v-else-if="task.orderedAt" class="soft">{{
      words.orderedOn(dayText(task.orderedAt, plan.day))
    }}</span>
  </div>
</template>

<style scoped>
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
</style>
