<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import { MISTAKES } from '~~/core/file/kinds/logKinds'
import type { LogLine } from '~~/core/jobs/log/logLines'
import { dayText } from '~~/core/show/text/dayText'
import { today } from '~/storage/today'
import { log as words } from '~/texts/log'
import { useLog } from '~/stores/log'
import { useTasks } from '~/stores/tasks'

/** One line of the log; an entry can be told more of. */
const { line } = defineProps<{ line: LogLine }>()
const store = useLog()
const tasks = useTasks()
const isOpen = ref(false)
const entry = computed(() => line.entry)
const change = (changed: Parameters<typeof store.change>[1]) =>
  entry.value && store.change(entry.value.id, changed)
const mistakes = MISTAKES.map((value) => ({ value, label: words.mistakeNames[value] }))
const facts = computed(() =>
  [
    entry.value?.hours === undefined ? '' : words.hours(fixed(entry.value.hours, 1)),
    entry.value?.cost === undefined ? '' : words.cost(fixed(entry.value.cost, 0), tasks.crew?.money ?? ''),
    entry.value?.mistake ? words.mistakeNames[entry.value.mistake] : '',
  ].filter(Boolean),
)
</script>

<template>
  <li class="log-row" :data-sort="entry?.sort ?? 'build'">
    <p class="day">{{ line.day ? dayText(line.day, today()) : words.noDay }}</p>
    <div class="said">
      <p>
        <VerdictMark v-if="entry?.defect === 'open'" verdict="out" silent />
        <b>{{ line.what }}</b>
        <span v-if="line.detail" class="soft"> {{ line.detail }}</span>
        <span v-if="facts.length > 0" class="facts">{{ facts.join(' · ') }}</span>
      </p>
      <LogPhoto v-for="photo in line.photos" :key="photo" :photo="photo" :name="line.what" />
      <UButton
        v-if="entry?.defect === 'open'"
        size="sm"
        icon="i-lucide-check"
        @click="change({ defect: 'mended' })"
        >{{ words.mended }}</UButton
      >
      <div v-if="entry && isOpen" class="fields">
        <TextField
          :label="words.fields.name"
          :value="entry.name"
          required
          @change="change({ name: $event })"
        />
        <DayField :label="words.fields.at" :value="entry.at" @change="$event && change({ at: $event })" />
        <TextField
          :label="words.fields.who"
          :value="entry.who"
          @change="change({ who: $event || undefined })"
        />
        <FigureField
          :label="words.fields.hours"
          of="log.hours"
          unit="h"
          :value="entry.hours"
          @change="change({ hours: $event })"
        />
        <FigureField
          :label="words.fields.cost"
          of="log.cost"
          :unit="tasks.crew?.money ?? ''"
          :value="entry.cost"
          @change="change({ cost: $event })"
        />
        <ChoiceField
          :label="words.fields.mistake"
          :value="entry.mistake"
          :items="mistakes"
          :unsaid="words.fields.noMistake"
          @change="change({ mistake: $event })"
        />
        <TextField
          class="wide"
          :label="words.fields.note"
          :value="entry.note"
          :most="5000"
          @change="change({ note: $event || undefined })"
        />
        <UCheckbox
          :model-value="entry.isReversible === true"
          :label="words.fields.reversible"
          @update:model-value="change({ isReversible: $event === true })"
        />
        <UCheckbox
          :model-value="entry.defect === 'open'"
          :label="words.fields.defect"
          @update:model-value="change({ defect: $event === true ? 'open' : undefined })"
        />
        <PictureInput :label="words.photo" size="sm" @pick="store.photograph($event, { id: entry.id })" />
        <RemoveButton is-worded :label="words.remove(entry.name)" @click="store.remove(entry.id)" />
      </div>
    </div>
    <UButton
      v-if="entry"
      class="more"
      variant="ghost"
      size="sm"
      icon="i-lucide-pencil"
      :aria-label="words.edit(entry.name)"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    />
  </li>
</template>

<style scoped>
.log-row {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  gap: 4px 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.day {
  color: var(--soft);
  font-variant-numeric: tabular-nums;
}
.said {
  display: grid;
  gap: 6px;
  justify-items: start;
}
b {
  font-weight: 600;
}
.said p > * + * {
  margin-left: 8px;
}
.more {
  align-self: start;
}
.facts {
  font-family: var(--font-figure);
  font-variant-numeric: tabular-nums;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 8px 12px;
  width: 100%;
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
@media (max-width: 720px) {
  .log-row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .day {
    grid-column: 1 / -1;
  }
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
