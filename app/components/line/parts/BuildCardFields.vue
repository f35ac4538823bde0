<script setup lang="ts">
import { LENGTH_UNITS } from '~~/core/base/units/unitSettings'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Name, vehicle and units. */
const workbench = useWorkbench()
const words = texts.parts.fields
const units = computed(() => workbench.build?.units)
const isInch = computed(() => units.value?.length === 'in' || units.value?.length === 'ft')
const fractions = [16, 32].map((value) => ({ value, label: `1/${value}"` }))
const angles = [
  { value: 'decimal', label: words.decimal },
  { value: 'minutes', label: words.minutes },
]
</script>

<template>
  <PartsCard v-if="workbench.build && units" :title="texts.parts.build">
    <TextField
      :label="words.name"
      :value="workbench.build.name"
      required
      @change="workbench.change('Rename the build', (draft) => void (draft.name = $event))"
    />
    <TextField
      :label="words.vehicle"
      class="col-span-full"
      :value="workbench.build.vehicle"
      @change="workbench.change('Describe the vehicle', (draft) => void (draft.vehicle = $event))"
    />
    <ChoiceField
      :label="words.lengths"
      :value="units.length"
      :items="[...LENGTH_UNITS]"
      @change="workbench.change('Change units', (draft) => void (draft.units.length = $event))"
    />
    <ChoiceField
      v-if="isInch"
      :label="words.fraction"
      :value="units.inchFraction"
      :items="fractions"
      @change="workbench.change('Change units', (draft) => void (draft.units.inchFraction = $event))"
    />
    <ChoiceField
      :label="words.angles"
      :value="units.angle"
      :items="angles"
      @change="
        workbench.change(
          'Change units',
          (draft) => void (draft.units.angle = $event as 'decimal' | 'minutes'),
        )
      "
    />
  </PartsCard>
</template>
