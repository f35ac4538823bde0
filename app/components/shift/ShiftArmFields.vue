<script setup lang="ts">
import { ARM_WAYS, quarterOf, type ArmLies } from '~~/core/file/parts/armWays'
import type { Shift, ShiftEnd } from '~~/core/file/parts/shiftLinkage'
import { shift as words } from '~/texts/shift'
import { useShifts } from '~/stores/shifts'
import { useWorkbench } from '~/stores/workbench'

/** One arm of a linkage: how it turns, how long it is, how its pin fits. */
const { shift, end } = defineProps<{ shift: Shift; end: ShiftEnd }>()
const shifts = useShifts()
const workbench = useWorkbench()
const HOLES = { what: words.hole, range: [1, 1000] } as const
const arm = computed(() => shift[end])
const lies = (Object.keys(words.liesAs) as ArmLies[]).map((value) => ({ value, label: words.liesAs[value] }))
const ways = computed(() =>
  ARM_WAYS.filter((way) => quarterOf(arm.value.lies, way) !== null).map((value) => ({
    value,
    label: words.ways[value],
  })),
)
const axes = computed(() => (workbench.build?.axes ?? []).map(({ id, name }) => ({ value: id, label: name })))
const bearing = computed(
  () => workbench.build?.points.find(({ id }) => id === arm.value.pivot)?.name ?? arm.value.pivot,
)
</script>

<template>
  <fieldset class="arm">
    <legend>{{ words.ends[end] }}</legend>
    <p class="soft">{{ bearing }}</p>
    <div class="fields">
      <FigureField
        :label="words.arm"
        kind="length"
        of="shifts.lever.armMm"
        :value="arm.armMm"
        required
        @change="shifts.changeArm(end, { armMm: $event })"
      />
      <FigureField
        :label="words.play"
        :help="words.playHelp"
        kind="length"
        of="shifts.lever.playMm"
        :value="arm.playMm"
        @change="shifts.changeArm(end, { playMm: $event })"
      />
      <ChoiceField
        :label="words.lies"
        :value="arm.lies"
        :items="lies"
        @change="shifts.changeArm(end, { lies: $event })"
      />
      <ChoiceField
        :label="words.points"
        :value="arm.points"
        :items="ways"
        @change="shifts.changeArm(end, { points: $event })"
      />
      <ChoiceField
        v-if="axes.length > 0"
        :label="words.axis"
        :value="arm.axis"
        :items="axes"
        :unsaid="words.noAxis"
        @change="shifts.changeArm(end, { axis: $event })"
      />
    </div>
    <SpacersField
      :label="words.holesMm"
      :help="words.holesHelp"
      :most="12"
      :typed="HOLES"
      :value="arm.holesMm"
      @change="shifts.changeArm(end, { holesMm: $event })"
    />
  </fieldset>
</template>

<style scoped>
.arm {
  padding-top: 4px;
  border-top: 1px solid var(--hair);
}
legend {
  padding-right: 8px;
  font-weight: 600;
}
</style>
