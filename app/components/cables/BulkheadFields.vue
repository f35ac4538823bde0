<script setup lang="ts">
import type { ArmWay } from '~~/core/file/parts/armWays'
import type { Cable } from '~~/core/file/parts/cable'
import { cables as words } from '~/texts/cables'
import { useBulkheads } from '~/stores/bulkheads'
import { useWorkbench } from '~/stores/workbench'

/** The bulkhead that a cable passes, where its hole is, and what of it is not drilled. */
const { cable } = defineProps<{ cable: Cable }>()
const bulkheads = useBulkheads()
const workbench = useWorkbench()
const NEW = 'new-bulkhead'
const sheets = computed(() => [
  ...(workbench.build?.bulkheads ?? []).map(({ id, name }) => ({ value: id, label: name })),
  { value: NEW, label: words.newSheet },
])
const points = computed(() =>
  (workbench.build?.points ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const facing = (Object.keys(words.facing) as ArmWay[]).map((value) => ({
  value,
  label: words.facing[value],
}))
const sheet = computed(() => bulkheads.bulkhead)
const passes = (id: string | undefined) => bulkheads.passes(id === NEW ? null : id)
</script>

<template>
  <section aria-labelledby="cable-bulkhead">
    <h2 id="cable-bulkhead">{{ words.bulkhead }}</h2>
    <div class="fields">
      <ChoiceField
        :label="words.passes"
        :value="cable.hole?.bulkhead"
        :items="sheets"
        :unsaid="words.passesNone"
        @change="passes($event)"
      />
      <template v-if="cable.hole && sheet">
        <TextField
          :label="words.name"
          :value="sheet.name"
          required
          @change="bulkheads.changeSheet({ name: $event })"
        />
        <FigureField
          v-for="[key, label] in words.holeFields"
          :key="key"
          :label="label"
          kind="length"
          :of="`cables.hole.${key}`"
          :value="cable.hole[key]"
          :required="key !== 'holeMm'"
          @change="bulkheads.changeHole({ [key]: $event })"
        />
        <ChoiceField
          :label="words.mark"
          :value="sheet.mark"
          :items="points"
          @change="bulkheads.changeSheet({ mark: $event })"
        />
        <ChoiceField
          :label="words.faces"
          :value="sheet.faces"
          :items="facing"
          @change="bulkheads.changeSheet({ faces: $event })"
        />
        <FigureField
          :label="words.lean"
          unit="°"
          of="bulkheads.leanDeg"
          :value="sheet.leanDeg"
          @change="bulkheads.changeSheet({ leanDeg: $event })"
        />
        <FigureField
          v-for="[key, label] in words.roomFields"
          :key="`room-${key}`"
          :label="label"
          kind="length"
          :of="`bulkheads.room.${key}`"
          :value="sheet.room[key]"
          required
          @change="bulkheads.changeRoom({ [key]: $event })"
        />
      </template>
    </div>
    <template v-if="sheet">
      <h3>{{ words.kept }}</h3>
      <p class="soft">{{ words.keptHelp }}</p>
      <fieldset v-for="kept in sheet.keepOff ?? []" :key="kept.id" class="kept">
        <legend class="sr-only">{{ kept.name }}</legend>
        <div class="fields">
          <TextField
            :label="words.name"
            :value="kept.name"
            required
            @change="bulkheads.changeKept(kept.id, { name: $event })"
          />
          <RemoveButton :label="words.removeKept(kept.name)" @click="bulkheads.removeKept(kept.id)" />
          <FigureField
            v-for="[key, label] in words.keptFields"
            :key="key"
            :label="label"
            kind="length"
            :of="`bulkheads.keepOff.${key}`"
            :value="kept[key]"
            required
            @change="bulkheads.changeKept(kept.id, { [key]: $event })"
          />
        </div>
      </fieldset>
      <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="bulkheads.keepOff()">{{
        words.addKept
      }}</UButton>
    </template>
  </section>
</template>

<style scoped>
h3 {
  margin-top: 6px;
  font-weight: 600;
}
.kept {
  border-top: 1px solid var(--hair);
}
</style>
