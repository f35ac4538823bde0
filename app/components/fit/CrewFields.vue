<script setup lang="ts">
import { isDay } from '~~/core/base/days'
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** Who works when. */
const tasks = useTasks()
const hands = [
  ['1', words.one],
  ['2', words.two],
] as const
const days = computed(() =>
  words.weekdays.map((name, day) => ({ name, day, hours: tasks.crew?.hours[day] ?? 0 })),
)
function setHours(day: number, hours: number | undefined): void {
  tasks.changeCrew({ hours: (tasks.crew?.hours ?? []).map((one, at) => (at === day ? (hours ?? 0) : one)) })
}
const weekdays = words.weekdays.map((label, value) => ({ value, label }))
const closedFault = ref<string>()
function takeClosed(text: string): void {
  const all = text.split(/[\s,;]+/).filter((one) => one !== '')
  const bad = all.find((one) => !isDay(one))
  closedFault.value = bad === undefined ? undefined : words.closedBad(bad)
  if (bad === undefined) tasks.changeCrew({ closed: all.length > 0 ? [...new Set(all)].sort() : undefined })
}
</script>

<template>
  <div v-if="tasks.crew" class="crew" data-testid="crew">
    <WordChoice
      :label="words.hands"
      :options="hands"
      :value="tasks.crew.hands === 2 ? '2' : '1'"
      @choose="tasks.changeCrew({ hands: $event === '2' ? 2 : 1 })"
    />
    <div class="week">
      <FigureField
        v-for="one in days"
        :key="one.day"
        :label="one.name"
        unit="h"
        of="crew.hours"
        :least="0"
        :most="24"
        :value="one.hours"
        @change="setHours(one.day, $event)"
      />
    </div>
    <UFormField v-if="tasks.crew.hands === 1" :label="words.helper">
      <USelectMenu
        :model-value="[...(tasks.crew.helperDays ?? [])]"
        :items="weekdays"
        value-key="value"
        multiple
        class="w-full"
        :placeholder="words.fields.nothing"
        @update:model-value="
          tasks.changeCrew({ helperDays: $event.length > 0 ? [...$event].sort() : undefined })
        "
      />
    </UFormField>
    <div class="pair">
      <DayField :label="words.from" :value="tasks.crew.from" @change="tasks.changeCrew({ from: $event })" />
      <DayField
        :label="words.wanted"
        :value="tasks.crew.wanted"
        @change="tasks.changeCrew({ wanted: $event })"
      />
    </div>
    <div class="pair">
      <FigureField
        :label="words.money.rate"
        of="crew.rate"
        :unit="tasks.crew.money ?? ''"
        :value="tasks.crew.rate"
        @change="tasks.changeCrew({ rate: $event })"
      />
      <TextField
        :label="words.money.name"
        :value="tasks.crew.money ?? ''"
        :most="12"
        @change="tasks.changeCrew({ money: $event || undefined })"
      />
    </div>
    <TextField
      :label="words.closed"
      :value="(tasks.crew.closed ?? []).join(' ')"
      :help="words.closedHelp"
      :error="closedFault"
      :most="2000"
      @change="takeClosed($event)"
    />
  </div>
</template>

<style scoped>
.crew {
  display: grid;
  gap: 10px;
}
.week {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px 8px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
