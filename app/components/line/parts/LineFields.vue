<script setup lang="ts">
import type { Line } from '~~/core/file/parts/lineSpec'
import type { Draft } from 'immer'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** School of a line, and what its axle does under torque. */
const { line } = defineProps<{ line: Line }>()
const workbench = useWorkbench()
const words = texts.parts.fields
const schools = Object.entries(texts.schools).map(([value, { name }]) => ({ value, label: name }))

function change(label: string, recipe: (draft: Draft<Line>) => void) {
  workbench.change(label, (draft) => {
    const there = draft.lines.find(({ id }) => id === line.id)
    if (there) recipe(there)
  })
}
/** An emptied field takes its figure out of the file. */
function setOrClear(label: string, key: 'expectedRiseDeg' | 'expectedDropDeg', value: number | undefined) {
  change(label, (draft) => {
    if (value === undefined) Reflect.deleteProperty(draft, key)
    else draft[key] = value
  })
}
</script>

<template>
  <PartsCard :title="`${texts.parts.line}: ${line.name}`" :note="texts.schools[line.school].aim">
    <ChoiceField
      :label="words.school"
      :value="line.school"
      :items="schools"
      @change="change('Choose the school', (draft) => void (draft.school = $event))"
    />
    <TextField
      :label="words.schoolReason"
      class="col-span-full"
      :value="line.schoolReason"
      :most="500"
      @change="change('Say why this school', (draft) => void (draft.schoolReason = $event))"
    />
    <FigureField
      :label="words.rise"
      unit="°"
      :help="words.riseHelp"
      of="lines.expectedRiseDeg"
      :value="line.expectedRiseDeg"
      @change="setOrClear('Set the expected rise', 'expectedRiseDeg', $event)"
    />
    <FigureField
      v-if="line.expectedRiseDeg"
      :label="words.drop"
      unit="°"
      :help="words.dropHelp"
      of="lines.expectedDropDeg"
      :value="line.expectedDropDeg"
      @change="setOrClear('Set the drop on overrun', 'expectedDropDeg', $event)"
    />
  </PartsCard>
</template>
