<script setup lang="ts">
import { LENGTH_UNITS, type LengthUnit } from '~~/core/units/unitSettings'
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
const rename = (text: string) => {
  const name = text.trim()
  if (name) workbench.change('Rename the build', (draft) => void (draft.name = name))
}
</script>

<template>
  <PartsCard v-if="workbench.build && units" :title="texts.parts.build">
    <UFormField :label="words.name">
      <UInput
        :model-value="workbench.build.name"
        class="w-full"
        maxlength="200"
        @change="rename(($event.target as HTMLInputElement).value)"
      />
    </UFormField>
    <UFormField :label="words.vehicle" class="col-span-full">
      <UInput
        :model-value="workbench.build.vehicle ?? ''"
        class="w-full"
        maxlength="200"
        @change="
          workbench.change(
            'Describe the vehicle',
            (draft) => void (draft.vehicle = ($event.target as HTMLInputElement).value),
          )
        "
      />
    </UFormField>
    <UFormField :label="words.lengths">
      <USelect
        :model-value="units.length"
        :items="[...LENGTH_UNITS]"
        class="w-full"
        @update:model-value="
          workbench.change('Change units', (draft) => void (draft.units.length = $event as LengthUnit))
        "
      />
    </UFormField>
    <UFormField v-if="isInch" :label="words.fraction">
      <USelect
        :model-value="units.inchFraction"
        :items="fractions"
        class="w-full"
        @update:model-value="
          workbench.change('Change units', (draft) => void (draft.units.inchFraction = $event as 16 | 32))
        "
      />
    </UFormField>
    <UFormField :label="words.angles">
      <USelect
        :model-value="units.angle"
        :items="angles"
        class="w-full"
        @update:model-value="
          workbench.change(
            'Change units',
            (draft) => void (draft.units.angle = $event as 'decimal' | 'minutes'),
          )
        "
      />
    </UFormField>
  </PartsCard>
</template>
