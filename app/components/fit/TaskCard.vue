<script setup lang="ts">
import { dayText } from '~~/core/show/text/dayText'
import { taskName } from '~~/core/jobs/tasks/taskName'
import type { Task } from '~~/core/jobs/tasks/task'
import { tasks as words } from '~/texts/tasks'
import { usePlan } from '~/stores/plan'
import { useTasks } from '~/stores/tasks'

/** All that is said of one task. */
const { task } = defineProps<{ task: Task }>()
const tasks = useTasks()
const plan = usePlan()
const change = (changed: Parameters<typeof tasks.change>[1]) => tasks.change(task.key, changed)
const sorts = tasks.sorts.map((value) => [value, words.sorts[value]] as const)
const hands = [
  ['1', words.one],
  ['2', words.two],
] as const
const others = computed(() =>
  tasks.all
    .filter(({ key }) => key !== task.key)
    .map((other) => ({ value: other.key, label: taskName(other) })),
)
const removals = computed(() => tasks.removals.map(({ id, name }) => ({ value: id, label: name })))
const isInVehicle = computed(() => task.present.length + task.absent.length > 0)
</script>

<template>
  <section class="task-card" :aria-label="taskName(task)" data-testid="task-card">
    <h2>{{ taskName(task) }}</h2>
    <TaskDoes :task="task" />
    <template v-if="!task.made">
      <TextField
        :label="words.fields.name"
        :value="task.entry?.name ?? ''"
        required
        @change="change({ name: $event })"
      />
      <WordChoice
        :label="words.fields.sort"
        :options="sorts"
        :value="task.sort"
        @choose="change({ sort: $event })"
      />
    </template>
    <EstimateField
      :label="words.fields.hoursOf"
      unit="h"
      of="tasks.hours"
      :value="task.hours ?? undefined"
      @change="change({ hours: $event })"
    />
    <p v-if="task.isUsual" class="soft">{{ words.usualHours }}</p>
    <template v-if="task.sort === 'buy'">
      <EstimateField
        :label="words.fields.leadOf"
        unit="days"
        of="tasks.leadDays"
        :value="task.entry?.leadDays"
        @change="change({ leadDays: $event })"
      />
      <p class="soft">{{ words.fields.calendar }}</p>
      <HurryFields :task="task" />
    </template>
    <p class="said">{{ words.fields.hands }}</p>
    <WordChoice
      :label="words.fields.hands"
      :options="hands"
      :value="task.hands === 2 ? '2' : '1'"
      @choose="change({ hands: $event === '2' ? 2 : undefined })"
    />
    <UFormField :label="words.fields.after">
      <USelectMenu
        :model-value="[...(task.entry?.after ?? [])]"
        :items="others"
        value-key="value"
        multiple
        class="w-full"
        :placeholder="words.fields.nothing"
        @update:model-value="change({ after: $event.length > 0 ? [...$event] : undefined })"
      />
    </UFormField>
    <DayField :label="words.fields.from" :value="task.from ?? undefined" @change="change({ from: $event })" />
    <template v-if="removals.length > 0">
      <UFormField v-for="way in ['absent', 'present'] as const" :key="way" :label="words.fields[way]">
        <USelectMenu
          :model-value="[...task[way]]"
          :items="removals"
          value-key="value"
          multiple
          class="w-full"
          :placeholder="words.fields.nothing"
          @update:model-value="change({ [way]: $event.length > 0 ? [...$event] : undefined })"
        />
      </UFormField>
    </template>
    <FigureField
      :label="words.fields.cost"
      of="tasks.cost"
      :unit="tasks.crew?.money ?? ''"
      :value="task.entry?.cost"
      @change="change({ cost: $event })"
    />
    <FigureField
      v-if="task.isDone && !task.made"
      :label="words.fields.tookH"
      of="tasks.tookH"
      unit="h"
      :value="task.entry?.tookH"
      @change="change({ tookH: $event })"
    />
    <FigureField
      :label="words.fields.redo"
      of="tasks.redoPercent"
      unit="%"
      :value="task.entry?.redoPercent"
      @change="change({ redoPercent: $event })"
    />
    <UCheckbox
      :model-value="task.isHot"
      :label="words.fields.isHot"
      @update:model-value="change({ isHot: $event === true })"
    />
    <p v-if="task.isHot" class="caution">{{ words.hot }}</p>
    <p v-if="isInVehicle" class="caution">{{ words.lift }}</p>
    <TextField
      :label="words.fields.uses"
      :value="task.entry?.uses ?? ''"
      :most="5000"
      @change="change({ uses: $event || undefined })"
    />
    <TextField
      :label="words.fields.note"
      :value="task.entry?.note ?? ''"
      :most="5000"
      @change="change({ note: $event || undefined })"
    />
    <p v-if="task.from" class="soft">{{ words.notBefore(dayText(task.from, plan.day)) }}</p>
    <RemoveButton
      v-if="!task.made"
      is-worded
      :label="words.remove(taskName(task))"
      @click="tasks.remove(task.key)"
    />
  </section>
</template>

<style scoped>
.task-card {
  display: grid;
  gap: 10px;
}
.said {
  margin-bottom: -6px;
  font-size: 0.875rem;
  font-weight: 500;
}
h2:first-letter {
  text-transform: capitalize;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
</style>
