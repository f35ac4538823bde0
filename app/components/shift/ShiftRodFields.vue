<script setup lang="ts">
import type { Shift } from '~~/core/file/parts/shiftLinkage'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'
import { useWorkbench } from '~/stores/workbench'

/** The rod of a linkage and both arms that it joins. */
const { shift } = defineProps<{ shift: Shift }>()
const shifts = useShifts()
const SIZES = [
  ['rodMm', words.rodLength],
  ['rodFromMm', words.rodFrom],
  ['rodToMm', words.rodTo],
] as const
const workbench = useWorkbench()
const cables = computed(() =>
  (workbench.build?.cables ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const sizes = computed(() =>
  shift.cable === undefined ? SIZES.filter(([key]) => key !== 'rodMm' || shift.setIn === undefined) : [],
)
const settable = computed(() =>
  shift.gates.filter(({ only }) => only === undefined).map(({ id, name }) => ({ value: id, label: name })),
)
</script>

<template>
  <section aria-labelledby="shift-sizes">
    <h2 id="shift-sizes">{{ shift.cable === undefined ? words.rod : words.cable }}</h2>
    <div class="fields">
      <TextField :label="words.name" :value="shift.name" required @change="shifts.change({ name: $event })" />
      <ChoiceField
        v-if="cables.length > 0"
        :label="words.worksBy"
        :value="shift.cable"
        :items="cables"
        :unsaid="words.byRod"
        @change="shifts.change({ cable: $event })"
      />
      <ChoiceField
        :label="words.setIn"
        :value="shift.setIn"
        :items="settable"
        :unsaid="words.setNowhere"
        @change="shifts.change({ setIn: $event })"
      />
      <FigureField
        v-for="[key, label] in sizes"
        :key="key"
        :label="label"
        kind="length"
        :of="`shifts.${key}`"
        :value="shift[key]"
        @change="shifts.change({ [key]: $event })"
      />
    </div>
    <TextField
      :label="words.goBack"
      :value="shift.note"
      :most="2000"
      @change="shifts.change({ note: $event === '' ? undefined : $event })"
    />
    <ShiftArmFields :shift="shift" end="lever" />
    <ShiftArmFields :shift="shift" end="box" />
  </section>
</template>
