<script setup lang="ts">
import type { Draft } from 'immer'
import type { Shaft, ShaftEnd, Tube } from '~~/core/project/lineSpec'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** Ends, tube and phase of one shaft. */
const { shaft, lineId, index } = defineProps<{ shaft: Shaft; lineId: string; index: number }>()
const workbench = useWorkbench()
const words = texts.parts.fields
const tube = ref<Partial<Tube>>({ ...shaft.tube })
watch(
  () => shaft.tube,
  (next) => (tube.value = { ...next }),
)
const materials = Object.entries(words.materials).map(([value, label]) => ({ value, label }))

function change(label: string, recipe: (draft: Draft<Shaft>) => void) {
  workbench.change(label, (draft) => {
    const shafts = draft.lines.find(({ id }) => id === lineId)?.shafts ?? []
    // A shaft stands between two joints; one without a name of its own is told by its place.
    const there = shaft.id === undefined ? shafts[index] : shafts.find(({ id }) => id === shaft.id)
    if (there) recipe(there)
  })
}
function takeTube(part: Partial<Tube>) {
  tube.value = { ...tube.value, ...part }
  const { outerMm, wallMm, material = 'steel' } = tube.value
  if (outerMm && wallMm && wallMm * 2 <= outerMm) {
    change('Set the tube', (draft) => void (draft.tube = { outerMm, wallMm, material }))
  } else if (!outerMm && !wallMm) change('Remove the tube', (draft) => void delete draft.tube)
}
const setEnd = (key: 'drivingEnd' | 'drivenEnd', end: ShaftEnd) =>
  change('Set a shaft end', (draft) => void (draft[key] = end))
</script>

<template>
  <ShaftEndFields :title="words.drivingEnd" :end="shaft.drivingEnd" @change="setEnd('drivingEnd', $event)" />
  <ShaftEndFields :title="words.drivenEnd" :end="shaft.drivenEnd" @change="setEnd('drivenEnd', $event)" />
  <PartsCard :title="texts.parts.tube">
    <FigureField
      :label="words.outer"
      kind="length"
      :least="1"
      :most="1000"
      :value="tube.outerMm"
      @change="takeTube({ outerMm: $event })"
    />
    <FigureField
      :label="words.wall"
      kind="length"
      :least="0.1"
      :most="(tube.outerMm ?? 1000) / 2"
      :value="tube.wallMm"
      @change="takeTube({ wallMm: $event })"
    />
    <UFormField :label="words.material">
      <USelect
        :model-value="tube.material ?? 'steel'"
        :items="materials"
        class="w-full"
        @update:model-value="takeTube({ material: $event as Tube['material'] })"
      />
    </UFormField>
    <FigureField
      :label="words.phase"
      unit="°"
      :least="-360"
      :most="360"
      :help="words.phaseHelp"
      :value="shaft.phaseDeg ?? 0"
      @change="change('Set the phase', (draft) => void (draft.phaseDeg = $event ?? 0))"
    />
    <FigureField
      :label="words.teeth"
      :least="2"
      :most="200"
      :value="shaft.splineTeeth"
      @change="
        change(
          'Set the spline',
          (draft) => void (draft.splineTeeth = $event === undefined ? undefined : Math.round($event)),
        )
      "
    />
  </PartsCard>
</template>
