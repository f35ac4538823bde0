<script setup lang="ts">
import type { Joint, JointKind, Line, PointMeaning, School } from '~~/core/project/lineSpec'
import type { Draft } from 'immer'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** School and joints of a line. */
const { line, index } = defineProps<{ line: Line; index: number }>()
const workbench = useWorkbench()
const words = texts.parts.fields
const schools = Object.entries(texts.schools).map(([value, { name }]) => ({ value, label: name }))
const kinds = Object.entries(texts.jointKinds).map(([value, label]) => ({ value, label }))
const meanings = Object.entries(words.meanings).map(([value, label]) => ({ value, label }))
const isEnd = (joint: number) => joint === 0 || joint === line.joints.length - 1

function change(label: string, recipe: (draft: Draft<Line>) => void) {
  workbench.change(label, (draft) => {
    const there = draft.lines[index]
    if (there) recipe(there)
  })
}
function changeJoint(joint: number, part: Partial<Joint>) {
  change('Change a joint', (draft) => {
    const there = draft.joints[joint]
    if (there) Object.assign(there, part)
  })
}
</script>

<template>
  <PartsCard :title="`${texts.parts.line}: ${line.name}`" :note="texts.schools[line.school].aim">
    <UFormField :label="words.school">
      <USelect
        :model-value="line.school"
        :items="schools"
        class="w-full"
        @update:model-value="change('Choose the school', (draft) => void (draft.school = $event as School))"
      />
    </UFormField>
    <UFormField :label="words.schoolReason" class="col-span-full">
      <UInput
        :model-value="line.schoolReason ?? ''"
        class="w-full"
        maxlength="500"
        @change="
          change(
            'Say why this school',
            (draft) => void (draft.schoolReason = ($event.target as HTMLInputElement).value),
          )
        "
      />
    </UFormField>
    <FigureField
      v-if="line.school === 'low-pinion'"
      :label="words.rise"
      unit="°"
      :least="-15"
      :most="15"
      :help="words.riseHelp"
      :value="line.expectedRiseDeg"
      @change="change('Set the expected rise', (draft) => void (draft.expectedRiseDeg = $event))"
    />
  </PartsCard>
  <PartsCard v-for="(joint, i) in line.joints" :key="joint.id" :title="`${words.joint} ${i + 1}`">
    <UFormField :label="words.kind">
      <USelect
        :model-value="joint.kind"
        :items="kinds"
        class="w-full"
        @update:model-value="changeJoint(i, { kind: $event as JointKind })"
      />
    </UFormField>
    <UFormField v-if="isEnd(i)" :label="words.pointIs">
      <USelect
        :model-value="joint.pointIs ?? 'centre'"
        :items="meanings"
        class="w-full"
        @update:model-value="changeJoint(i, { pointIs: $event as PointMeaning })"
      />
    </UFormField>
    <FigureField
      :label="words.limit"
      unit="°"
      :most="90"
      :value="joint.limitDeg"
      :help="words.limitHelp"
      @change="changeJoint(i, { limitDeg: $event })"
    />
    <UCheckbox
      v-if="joint.kind === 'flex-disc'"
      :model-value="joint.centringPilot === true"
      :label="words.pilot"
      @update:model-value="changeJoint(i, { centringPilot: $event === true })"
    />
  </PartsCard>
</template>
