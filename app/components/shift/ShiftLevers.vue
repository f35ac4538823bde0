<script setup lang="ts">
import { shift as words } from '~/texts/shift'
import { texts } from '~/texts/en'
import { useLevers } from '~/stores/levers'
import { SHIFT_LEVERS, useShiftLevers } from '~/stores/shiftLevers'
import { useWorkbench } from '~/stores/workbench'

/** Which sizes of a linkage are free, each moved right here; cures may then be made of them. */
const shiftLevers = useShiftLevers()
const levers = useLevers()
const workbench = useWorkbench()
const marked = ref('')
</script>

<template>
  <section aria-labelledby="shift-levers">
    <h2 id="shift-levers">{{ words.levers.title }}</h2>
    <p class="soft">{{ words.levers.help }}</p>
    <UCheckbox
      v-for="kind in SHIFT_LEVERS"
      :key="kind"
      :label="texts.bay.body.kinds[kind]"
      :model-value="shiftLevers.own.some((lever) => lever.kind === kind)"
      @update:model-value="shiftLevers.free(kind, $event === true)"
    />
    <template v-if="workbench.build">
      <LeverCard
        v-for="lever in shiftLevers.own"
        :key="lever.id"
        :build="workbench.build"
        :lever="lever"
        :amount="levers.settings[lever.id] ?? 0"
        :marked="marked === lever.id"
        @hold="levers.hold(lever.id, $event)"
        @release="levers.release(words.levers.release)"
        @mark="marked = lever.id"
        @lock="levers.lock(lever.id)"
      />
    </template>
  </section>
</template>
