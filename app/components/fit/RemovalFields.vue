<script setup lang="ts">
import { tasks as words } from '~/texts/tasks'
import { useTasks } from '~/stores/tasks'

/** What comes off the vehicle and goes back on, and what that takes. */
const tasks = useTasks()
const others = (id: string) =>
  tasks.removals.filter((one) => one.id !== id).map((one) => ({ value: one.id, label: one.name }))
</script>

<template>
  <div class="removals">
    <p class="soft">{{ words.removalsLead }}</p>
    <fieldset v-for="one in tasks.removals" :key="one.id" class="one" data-testid="removal">
      <legend class="sr-only">{{ one.name }}</legend>
      <TextField
        class="wide"
        :label="words.removal.name"
        :value="one.name"
        required
        @change="tasks.changeRemoval(one.id, { name: $event })"
      />
      <FigureField
        v-for="way in ['offH', 'onH'] as const"
        :key="way"
        :label="words.removal[way]"
        unit="h"
        :of="`removals.${way}`"
        required
        :value="one[way]"
        @change="$event !== undefined && tasks.changeRemoval(one.id, { [way]: $event })"
      />
      <UCheckbox
        v-for="how in ['isOff', 'endsOff'] as const"
        :key="how"
        class="wide"
        :model-value="one[how] === true"
        :label="words.removal[how]"
        @update:model-value="tasks.changeRemoval(one.id, { [how]: $event === true ? true : undefined })"
      />
      <UFormField v-if="tasks.removals.length > 1" class="wide" :label="words.removal.once">
        <USelectMenu
          :model-value="[...(one.once ?? [])]"
          :items="others(one.id)"
          value-key="value"
          multiple
          class="w-full"
          :placeholder="words.fields.nothing"
          @update:model-value="
            tasks.changeRemoval(one.id, { once: $event.length > 0 ? [...$event] : undefined })
          "
        />
      </UFormField>
      <RemoveButton :label="words.remove(one.name)" @click="tasks.removeRemoval(one.id)" />
    </fieldset>
    <UButton variant="outline" icon="i-lucide-plus" class="add" @click="tasks.addRemoval()">{{
      words.addRemoval
    }}</UButton>
  </div>
</template>

<style scoped>
.removals {
  display: grid;
  gap: 10px;
}
.one {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--hair);
}
.wide {
  grid-column: 1 / -1;
}
.add {
  justify-self: start;
}
</style>
